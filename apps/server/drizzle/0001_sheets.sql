CREATE TABLE "spec_sheets" (
	"id" uuid PRIMARY KEY NOT NULL,
	"shop_id" uuid NOT NULL,
	"sheet_id" uuid NOT NULL,
	"revision" integer NOT NULL,
	"sheet" jsonb NOT NULL,
	"retired" boolean NOT NULL,
	"person_id" uuid NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL
);
--> statement-breakpoint
ALTER TABLE "shops" ADD COLUMN "settings" jsonb;--> statement-breakpoint
ALTER TABLE "shops" ADD COLUMN "rig" jsonb;--> statement-breakpoint
ALTER TABLE "spec_sheets" ADD CONSTRAINT "spec_sheets_shop_id_shops_id_fk" FOREIGN KEY ("shop_id") REFERENCES "public"."shops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "spec_sheets" ADD CONSTRAINT "spec_sheets_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE UNIQUE INDEX "spec_sheets_revision" ON "spec_sheets" USING btree ("shop_id","sheet_id","revision");