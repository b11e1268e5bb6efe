CREATE TABLE "learning_evidence" (
	"shop_id" uuid NOT NULL,
	"run_id" uuid NOT NULL,
	"pass" smallint NOT NULL,
	"visit_id" uuid NOT NULL,
	"evidence" jsonb,
	"line" text,
	CONSTRAINT "learning_evidence_run_id_pass_visit_id_pk" PRIMARY KEY("run_id","pass","visit_id")
);
--> statement-breakpoint
ALTER TABLE "learning_evidence" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "learning_runs" (
	"id" uuid PRIMARY KEY NOT NULL,
	"shop_id" uuid NOT NULL,
	"version" integer NOT NULL,
	"person_id" uuid NOT NULL,
	"created_at" timestamp (3) with time zone DEFAULT now() NOT NULL,
	"state" text NOT NULL,
	"stage" text NOT NULL,
	"done" integer DEFAULT 0 NOT NULL,
	"total" integer DEFAULT 0 NOT NULL,
	"visit_ids" jsonb NOT NULL,
	"result" jsonb,
	"used_since" timestamp (3) with time zone,
	CONSTRAINT "learning_runs_state" CHECK ("learning_runs"."state" in ('running', 'canceled', 'failed', 'done')),
	CONSTRAINT "learning_runs_stage" CHECK ("learning_runs"."stage" in ('reading', 'readingAgain', 'trying'))
);
--> statement-breakpoint
ALTER TABLE "learning_runs" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE UNIQUE INDEX "learning_runs_own" ON "learning_runs" USING btree ("shop_id","id");--> statement-breakpoint
ALTER TABLE "learning_evidence" ADD CONSTRAINT "learning_evidence_own_run" FOREIGN KEY ("shop_id","run_id") REFERENCES "public"."learning_runs"("shop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "learning_evidence" ADD CONSTRAINT "learning_evidence_own_visit" FOREIGN KEY ("shop_id","visit_id") REFERENCES "public"."visits"("shop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "learning_runs" ADD CONSTRAINT "learning_runs_own_person" FOREIGN KEY ("shop_id","person_id") REFERENCES "public"."people"("shop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "learning_evidence_shop_run" ON "learning_evidence" USING btree ("shop_id","run_id");--> statement-breakpoint
CREATE INDEX "learning_evidence_shop_visit" ON "learning_evidence" USING btree ("shop_id","visit_id");--> statement-breakpoint
CREATE UNIQUE INDEX "learning_runs_version" ON "learning_runs" USING btree ("shop_id","version");--> statement-breakpoint
CREATE UNIQUE INDEX "learning_runs_running" ON "learning_runs" USING btree ("shop_id") WHERE "learning_runs"."state" = 'running';--> statement-breakpoint
CREATE UNIQUE INDEX "learning_runs_used" ON "learning_runs" USING btree ("shop_id") WHERE "learning_runs"."used_since" is not null;--> statement-breakpoint
CREATE INDEX "learning_runs_shop_person" ON "learning_runs" USING btree ("shop_id","person_id");--> statement-breakpoint
CREATE POLICY "learning_evidence_own_shop" ON "learning_evidence" AS PERMISSIVE FOR ALL TO public USING ("learning_evidence"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid) WITH CHECK ("learning_evidence"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid);--> statement-breakpoint
CREATE POLICY "learning_runs_own_shop" ON "learning_runs" AS PERMISSIVE FOR ALL TO public USING ("learning_runs"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid) WITH CHECK ("learning_runs"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid);--> statement-breakpoint
-- Runs that somebody should be working on, of all shops: a server takes them up when it starts.
CREATE FUNCTION "keen_learning_runs"() RETURNS TABLE (shop_id uuid, id uuid)
LANGUAGE sql STABLE SECURITY DEFINER SET search_path = public, pg_temp AS $$
  SELECT run.shop_id, run.id FROM learning_runs AS run WHERE run.state = 'running' ORDER BY run.created_at
$$;
--> statement-breakpoint
REVOKE EXECUTE ON FUNCTION keen_learning_runs() FROM PUBLIC;
