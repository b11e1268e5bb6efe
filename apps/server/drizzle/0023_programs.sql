CREATE TABLE "api_keys" (
	"id" uuid PRIMARY KEY NOT NULL,
	"shop_id" uuid NOT NULL,
	"person_id" uuid NOT NULL,
	"name" text NOT NULL,
	"scopes" jsonb NOT NULL,
	"hash" text NOT NULL,
	"ending" text NOT NULL,
	"old_hash" text,
	"old_until" timestamp with time zone,
	"signing_secret" text NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"ends_at" timestamp with time zone,
	"revoked_at" timestamp with time zone,
	"last_used_at" timestamp with time zone,
	"minute" timestamp with time zone,
	"asked" integer DEFAULT 0 NOT NULL,
	CONSTRAINT "api_keys_name" CHECK (char_length("api_keys"."name") <= 60)
);
--> statement-breakpoint
ALTER TABLE "api_keys" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "batch_cases" (
	"shop_id" uuid NOT NULL,
	"batch_id" uuid NOT NULL,
	"line" integer NOT NULL,
	"file" jsonb,
	"answer" jsonb,
	"refusal" jsonb,
	CONSTRAINT "batch_cases_batch_id_line_pk" PRIMARY KEY("batch_id","line")
);
--> statement-breakpoint
ALTER TABLE "batch_cases" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "batches" (
	"id" uuid PRIMARY KEY NOT NULL,
	"shop_id" uuid NOT NULL,
	"key_id" uuid NOT NULL,
	"name" text NOT NULL,
	"state" text NOT NULL,
	"cases" integer NOT NULL,
	"done" integer NOT NULL,
	"refused" integer NOT NULL,
	"callback_url" text,
	"callback_state" text,
	"callback_status" integer,
	"created_at" timestamp (3) with time zone DEFAULT now() NOT NULL,
	"ended_at" timestamp (3) with time zone,
	CONSTRAINT "batches_name" CHECK (char_length("batches"."name") <= 80),
	CONSTRAINT "batches_state" CHECK ("batches"."state" in ('running', 'done', 'canceled')),
	CONSTRAINT "batches_callback_state" CHECK ("batches"."callback_state" in ('waiting', 'delivered', 'failed'))
);
--> statement-breakpoint
ALTER TABLE "batches" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE UNIQUE INDEX "api_keys_own" ON "api_keys" USING btree ("shop_id","id");--> statement-breakpoint
CREATE UNIQUE INDEX "batches_own" ON "batches" USING btree ("shop_id","id");--> statement-breakpoint
ALTER TABLE "api_keys" ADD CONSTRAINT "api_keys_own_person" FOREIGN KEY ("shop_id","person_id") REFERENCES "public"."people"("shop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "batch_cases" ADD CONSTRAINT "batch_cases_own_batch" FOREIGN KEY ("shop_id","batch_id") REFERENCES "public"."batches"("shop_id","id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "batches" ADD CONSTRAINT "batches_own_key" FOREIGN KEY ("shop_id","key_id") REFERENCES "public"."api_keys"("shop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "api_keys_hash" ON "api_keys" USING btree ("hash");--> statement-breakpoint
CREATE INDEX "api_keys_old_hash" ON "api_keys" USING btree ("old_hash") WHERE "api_keys"."old_hash" is not null;--> statement-breakpoint
CREATE INDEX "api_keys_shop_person" ON "api_keys" USING btree ("shop_id","person_id");--> statement-breakpoint
CREATE INDEX "batch_cases_waiting" ON "batch_cases" USING btree ("batch_id","line") WHERE "batch_cases"."file" is not null;--> statement-breakpoint
CREATE INDEX "batch_cases_shop_batch" ON "batch_cases" USING btree ("shop_id","batch_id");--> statement-breakpoint
CREATE INDEX "batches_shop_created" ON "batches" USING btree ("shop_id","created_at");--> statement-breakpoint
CREATE INDEX "batches_shop_key" ON "batches" USING btree ("shop_id","key_id");--> statement-breakpoint
CREATE POLICY "api_keys_own_shop" ON "api_keys" AS PERMISSIVE FOR ALL TO public USING ("api_keys"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid) WITH CHECK ("api_keys"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid);--> statement-breakpoint
CREATE POLICY "batch_cases_own_shop" ON "batch_cases" AS PERMISSIVE FOR ALL TO public USING ("batch_cases"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid) WITH CHECK ("batch_cases"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid);--> statement-breakpoint
CREATE POLICY "batches_own_shop" ON "batches" AS PERMISSIVE FOR ALL TO public USING ("batches"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid) WITH CHECK ("batches"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid);--> statement-breakpoint
-- Whose key a program sent, by the hash of its secret; counts the try, so that one that asks too often is known.
CREATE FUNCTION "keen_api_key"(wanted text) RETURNS TABLE (id uuid, shop_id uuid, name text, scopes jsonb, asked integer)
LANGUAGE sql VOLATILE SECURITY DEFINER SET search_path = public, pg_temp AS $$
  UPDATE api_keys AS key SET
    last_used_at = now(),
    minute = date_trunc('minute', now()),
    asked = CASE WHEN key.minute = date_trunc('minute', now()) THEN key.asked + 1 ELSE 1 END
  WHERE (key.hash = wanted OR (key.old_hash = wanted AND key.old_until > now()))
    AND key.revoked_at IS NULL AND (key.ends_at IS NULL OR key.ends_at > now())
  RETURNING key.id, key.shop_id, key.name, key.scopes, key.asked
$$;
--> statement-breakpoint
REVOKE EXECUTE ON FUNCTION keen_api_key(text) FROM PUBLIC;
