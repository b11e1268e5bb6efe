CREATE TABLE "practice_deals" (
	"shop_id" uuid NOT NULL,
	"lesson" text NOT NULL,
	"code" text NOT NULL,
	"seed" integer NOT NULL,
	CONSTRAINT "practice_deals_shop_id_lesson_code_pk" PRIMARY KEY("shop_id","lesson","code"),
	CONSTRAINT "practice_deals_lesson" CHECK ("practice_deals"."lesson" in ('softSet', 'saw', 'innerEdge', 'waves', 'keenDriver', 'rotated', 'twoCauses', 'fixedArm', 'falseToe', 'mixedAges', 'wrongReading', 'free')),
	CONSTRAINT "practice_deals_code" CHECK (char_length("practice_deals"."code") <= 40)
);
--> statement-breakpoint
ALTER TABLE "practice_deals" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "practice_tries" (
	"id" uuid PRIMARY KEY NOT NULL,
	"shop_id" uuid NOT NULL,
	"person_id" uuid NOT NULL,
	"lesson" text NOT NULL,
	"code" text NOT NULL,
	"started_at" timestamp (3) with time zone DEFAULT now() NOT NULL,
	"finished_at" timestamp (3) with time zone,
	"draft" jsonb NOT NULL,
	"done" jsonb NOT NULL,
	"readings" jsonb NOT NULL,
	"minutes" double precision DEFAULT 0 NOT NULL,
	"minor" integer DEFAULT 0 NOT NULL,
	"answer" jsonb,
	"result" jsonb,
	CONSTRAINT "practice_tries_lesson" CHECK ("practice_tries"."lesson" in ('softSet', 'saw', 'innerEdge', 'waves', 'keenDriver', 'rotated', 'twoCauses', 'fixedArm', 'falseToe', 'mixedAges', 'wrongReading', 'free')),
	CONSTRAINT "practice_tries_code" CHECK (char_length("practice_tries"."code") <= 40)
);
--> statement-breakpoint
ALTER TABLE "practice_tries" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "people" ADD COLUMN "shows_practice" boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE "practice_tries" ADD CONSTRAINT "practice_tries_own_person" FOREIGN KEY ("shop_id","person_id") REFERENCES "public"."people"("shop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "practice_tries_one" ON "practice_tries" USING btree ("shop_id","person_id","lesson","code");--> statement-breakpoint
CREATE INDEX "practice_tries_latest" ON "practice_tries" USING btree ("shop_id","person_id","started_at");--> statement-breakpoint
CREATE POLICY "practice_deals_own_shop" ON "practice_deals" AS PERMISSIVE FOR ALL TO public USING ("practice_deals"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid) WITH CHECK ("practice_deals"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid);--> statement-breakpoint
CREATE POLICY "practice_tries_own_shop" ON "practice_tries" AS PERMISSIVE FOR ALL TO public USING ("practice_tries"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid) WITH CHECK ("practice_tries"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid);