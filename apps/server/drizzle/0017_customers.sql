CREATE TABLE "customer_merges" (
	"id" uuid PRIMARY KEY NOT NULL,
	"shop_id" uuid NOT NULL,
	"name" text NOT NULL,
	"key" text NOT NULL,
	"merged_name" text NOT NULL,
	"merged_key" text NOT NULL,
	"cars" jsonb NOT NULL,
	"person_id" uuid NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"undone_at" timestamp with time zone,
	CONSTRAINT "customer_merges_name" CHECK (char_length("customer_merges"."name") <= 120),
	CONSTRAINT "customer_merges_merged_name" CHECK (char_length("customer_merges"."merged_name") <= 120)
);
--> statement-breakpoint
ALTER TABLE "customer_merges" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "customer_merges" ADD CONSTRAINT "customer_merges_own_person" FOREIGN KEY ("shop_id","person_id") REFERENCES "public"."people"("shop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "customer_merges_key" ON "customer_merges" USING btree ("shop_id","key");--> statement-breakpoint
CREATE INDEX "customer_merges_merged" ON "customer_merges" USING btree ("shop_id","merged_key");--> statement-breakpoint
CREATE INDEX "customer_merges_shop_person" ON "customer_merges" USING btree ("shop_id","person_id");--> statement-breakpoint
CREATE POLICY "customer_merges_own_shop" ON "customer_merges" AS PERMISSIVE FOR ALL TO public USING ("customer_merges"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid) WITH CHECK ("customer_merges"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid);
