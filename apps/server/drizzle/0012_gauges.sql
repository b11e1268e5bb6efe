CREATE TABLE "gauge_studies" (
	"id" uuid PRIMARY KEY NOT NULL,
	"shop_id" uuid NOT NULL,
	"name" text NOT NULL,
	"read_in" text NOT NULL,
	"readers" jsonb NOT NULL,
	"marks" jsonb NOT NULL,
	"trials" smallint NOT NULL,
	"seed" integer NOT NULL,
	"person_id" uuid NOT NULL,
	"created_at" timestamp (3) with time zone DEFAULT now() NOT NULL,
	"closed_at" timestamp with time zone,
	CONSTRAINT "gauge_studies_read_in" CHECK ("gauge_studies"."read_in" in ('mm', 'in32')),
	CONSTRAINT "gauge_studies_name" CHECK (char_length("gauge_studies"."name") <= 60),
	CONSTRAINT "gauge_studies_trials" CHECK ("gauge_studies"."trials" >= 2)
);
--> statement-breakpoint
ALTER TABLE "gauge_studies" ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE TABLE "instrument_checks" (
	"id" uuid PRIMARY KEY NOT NULL,
	"shop_id" uuid NOT NULL,
	"instrument_id" uuid NOT NULL,
	"points" jsonb NOT NULL,
	"note" text NOT NULL,
	"person_id" uuid NOT NULL,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "instrument_checks_note" CHECK (char_length("instrument_checks"."note") <= 200)
);
--> statement-breakpoint
ALTER TABLE "instrument_checks" ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE TABLE "instruments" (
	"id" uuid PRIMARY KEY NOT NULL,
	"shop_id" uuid NOT NULL,
	"name" text NOT NULL,
	"kind" text NOT NULL,
	"certified" double precision,
	"block" jsonb NOT NULL,
	"retired" boolean NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "instruments_kind" CHECK ("instruments"."kind" in ('depth', 'readout', 'gauges', 'tape', 'helperTape', 'strings', 'level', 'square', 'swing')),
	CONSTRAINT "instruments_name" CHECK (char_length("instruments"."name") <= 60)
);
--> statement-breakpoint
ALTER TABLE "instruments" ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE TABLE "study_readings" (
	"shop_id" uuid NOT NULL,
	"study_id" uuid NOT NULL,
	"reader" smallint NOT NULL,
	"trial" smallint NOT NULL,
	"mark" smallint NOT NULL,
	"mm" double precision NOT NULL,
	"person_id" uuid NOT NULL,
	"at" timestamp with time zone DEFAULT now() NOT NULL,
	CONSTRAINT "study_readings_study_id_reader_trial_mark_pk" PRIMARY KEY("study_id","reader","trial","mark")
);
--> statement-breakpoint
ALTER TABLE "study_readings" ENABLE ROW LEVEL SECURITY;
--> statement-breakpoint
CREATE UNIQUE INDEX "gauge_studies_own" ON "gauge_studies" USING btree ("shop_id","id");
--> statement-breakpoint
CREATE UNIQUE INDEX "instruments_own" ON "instruments" USING btree ("shop_id","id");
--> statement-breakpoint
ALTER TABLE "gauge_studies" ADD CONSTRAINT "gauge_studies_own_person" FOREIGN KEY ("shop_id","person_id") REFERENCES "public"."people"("shop_id","id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE "instrument_checks" ADD CONSTRAINT "instrument_checks_own_instrument" FOREIGN KEY ("shop_id","instrument_id") REFERENCES "public"."instruments"("shop_id","id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE "instrument_checks" ADD CONSTRAINT "instrument_checks_own_person" FOREIGN KEY ("shop_id","person_id") REFERENCES "public"."people"("shop_id","id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE "study_readings" ADD CONSTRAINT "study_readings_own_study" FOREIGN KEY ("shop_id","study_id") REFERENCES "public"."gauge_studies"("shop_id","id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
ALTER TABLE "study_readings" ADD CONSTRAINT "study_readings_own_person" FOREIGN KEY ("shop_id","person_id") REFERENCES "public"."people"("shop_id","id") ON DELETE no action ON UPDATE no action;
--> statement-breakpoint
CREATE INDEX "gauge_studies_latest" ON "gauge_studies" USING btree ("shop_id","created_at");
--> statement-breakpoint
CREATE INDEX "gauge_studies_shop_person" ON "gauge_studies" USING btree ("shop_id","person_id");
--> statement-breakpoint
CREATE INDEX "instrument_checks_latest" ON "instrument_checks" USING btree ("shop_id","instrument_id","at");
--> statement-breakpoint
CREATE INDEX "instrument_checks_shop_person" ON "instrument_checks" USING btree ("shop_id","person_id");
--> statement-breakpoint
CREATE INDEX "study_readings_shop_study" ON "study_readings" USING btree ("shop_id","study_id");
--> statement-breakpoint
CREATE INDEX "study_readings_shop_person" ON "study_readings" USING btree ("shop_id","person_id");
--> statement-breakpoint
CREATE POLICY "gauge_studies_own_shop" ON "gauge_studies" AS PERMISSIVE FOR ALL TO public USING ("gauge_studies"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid) WITH CHECK ("gauge_studies"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid);
--> statement-breakpoint
CREATE POLICY "instrument_checks_own_shop" ON "instrument_checks" AS PERMISSIVE FOR ALL TO public USING ("instrument_checks"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid) WITH CHECK ("instrument_checks"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid);
--> statement-breakpoint
CREATE POLICY "instruments_own_shop" ON "instruments" AS PERMISSIVE FOR ALL TO public USING ("instruments"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid) WITH CHECK ("instruments"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid);
--> statement-breakpoint
CREATE POLICY "study_readings_own_shop" ON "study_readings" AS PERMISSIVE FOR ALL TO public USING ("study_readings"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid) WITH CHECK ("study_readings"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid);