CREATE TABLE "practice_drills" (
	"id" uuid PRIMARY KEY NOT NULL,
	"shop_id" uuid NOT NULL,
	"person_id" uuid NOT NULL,
	"seed" integer NOT NULL,
	"started_at" timestamp (3) with time zone DEFAULT now() NOT NULL,
	"given" jsonb NOT NULL,
	"right" integer DEFAULT 0 NOT NULL
);
--> statement-breakpoint
ALTER TABLE "practice_drills" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "practice_drills" ADD CONSTRAINT "practice_drills_own_person" FOREIGN KEY ("shop_id","person_id") REFERENCES "public"."people"("shop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "practice_drills_latest" ON "practice_drills" USING btree ("shop_id","person_id","started_at");--> statement-breakpoint
CREATE POLICY "practice_drills_own_shop" ON "practice_drills" AS PERMISSIVE FOR ALL TO public USING ("practice_drills"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid) WITH CHECK ("practice_drills"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid);