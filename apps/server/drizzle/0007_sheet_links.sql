CREATE TABLE "sheet_links" (
	"id" uuid PRIMARY KEY NOT NULL,
	"shop_id" uuid NOT NULL,
	"visit_id" uuid NOT NULL,
	"token" text NOT NULL,
	"paper" jsonb NOT NULL,
	"ends_at" timestamp with time zone NOT NULL,
	"opened" integer DEFAULT 0 NOT NULL,
	"person_id" uuid NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "sheet_links_token_unique" UNIQUE("token")
);
--> statement-breakpoint
CREATE TABLE "shop_logos" (
	"shop_id" uuid PRIMARY KEY NOT NULL,
	"type" text NOT NULL,
	"picture" "bytea" NOT NULL
);
--> statement-breakpoint
ALTER TABLE "sheet_links" ADD CONSTRAINT "sheet_links_shop_id_shops_id_fk" FOREIGN KEY ("shop_id") REFERENCES "public"."shops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sheet_links" ADD CONSTRAINT "sheet_links_visit_id_visits_id_fk" FOREIGN KEY ("visit_id") REFERENCES "public"."visits"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "sheet_links" ADD CONSTRAINT "sheet_links_person_id_people_id_fk" FOREIGN KEY ("person_id") REFERENCES "public"."people"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "shop_logos" ADD CONSTRAINT "shop_logos_shop_id_shops_id_fk" FOREIGN KEY ("shop_id") REFERENCES "public"."shops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "sheet_links_visit" ON "sheet_links" USING btree ("visit_id","created_at");