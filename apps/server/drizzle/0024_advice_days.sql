CREATE TABLE "advice_days" (
	"shop_id" uuid NOT NULL,
	"day" date NOT NULL,
	"person_id" uuid NOT NULL,
	"advised" text NOT NULL,
	"chosen" text NOT NULL,
	"answer" text NOT NULL,
	"count" integer NOT NULL,
	CONSTRAINT "advice_days_shop_id_day_person_id_advised_chosen_answer_pk" PRIMARY KEY("shop_id","day","person_id","advised","chosen","answer")
);
--> statement-breakpoint
ALTER TABLE "advice_days" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
DROP INDEX "decisions_advice";--> statement-breakpoint
ALTER TABLE "advice_days" ADD CONSTRAINT "advice_days_shop_id_shops_id_fk" FOREIGN KEY ("shop_id") REFERENCES "public"."shops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE POLICY "advice_days_own_shop" ON "advice_days" AS PERMISSIVE FOR ALL TO public USING ("advice_days"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid) WITH CHECK ("advice_days"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid);--> statement-breakpoint
-- A visit is counted on the day of its last decision: what is added moves it there, whatever the order or number.
CREATE FUNCTION "keen_advice_days"() RETURNS trigger
LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $$
BEGIN
  -- Two who decide on one visit at once wait for each other.
  PERFORM 1 FROM visits WHERE id IN (SELECT visit_id FROM added) ORDER BY id FOR NO KEY UPDATE;
  INSERT INTO advice_days AS days (shop_id, day, person_id, advised, chosen, answer, count)
  SELECT shop_id, (created_at AT TIME ZONE 'UTC')::date, person_id, coalesce(advised, action), action, answer, sum(change)
  FROM (
    SELECT last.*, 1 AS change FROM (SELECT DISTINCT visit_id FROM added) AS touched, LATERAL (
      SELECT shop_id, created_at, person_id, advised, action, answer FROM decisions
      WHERE decisions.visit_id = touched.visit_id ORDER BY created_at DESC, id DESC LIMIT 1
    ) AS last
    UNION ALL
    SELECT last.*, -1 FROM (SELECT DISTINCT visit_id FROM added) AS touched, LATERAL (
      SELECT shop_id, created_at, person_id, advised, action, answer FROM decisions
      WHERE decisions.visit_id = touched.visit_id AND id NOT IN (SELECT id FROM added)
      ORDER BY created_at DESC, id DESC LIMIT 1
    ) AS last
  ) AS changes
  GROUP BY 1, 2, 3, 4, 5, 6 HAVING sum(change) <> 0
  ON CONFLICT (shop_id, day, person_id, advised, chosen, answer) DO UPDATE SET count = days.count + excluded.count;
  RETURN NULL;
END
$$;
--> statement-breakpoint
REVOKE EXECUTE ON FUNCTION keen_advice_days() FROM PUBLIC;
--> statement-breakpoint
CREATE TRIGGER "decisions_advice_days" AFTER INSERT ON "decisions"
REFERENCING NEW TABLE AS added FOR EACH STATEMENT EXECUTE FUNCTION keen_advice_days();
--> statement-breakpoint
INSERT INTO advice_days (shop_id, day, person_id, advised, chosen, answer, count)
SELECT shop_id, (created_at AT TIME ZONE 'UTC')::date, person_id, coalesce(advised, action), action, answer, count(*)
FROM (SELECT DISTINCT ON (visit_id) * FROM decisions ORDER BY visit_id, created_at DESC, id DESC) AS last
GROUP BY 1, 2, 3, 4, 5, 6;
