CREATE TABLE "stored_tires" (
	"vehicle_id" uuid PRIMARY KEY NOT NULL,
	"shop_id" uuid NOT NULL,
	"visit_id" uuid NOT NULL,
	"since" date NOT NULL,
	"stored" jsonb NOT NULL
);
--> statement-breakpoint
ALTER TABLE "stored_tires" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "stored_tires" ADD CONSTRAINT "stored_tires_visit_id_visits_id_fk" FOREIGN KEY ("visit_id") REFERENCES "public"."visits"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "stored_tires" ADD CONSTRAINT "stored_tires_own_vehicle" FOREIGN KEY ("shop_id","vehicle_id") REFERENCES "public"."vehicles"("shop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "stored_tires_latest" ON "stored_tires" USING btree ("shop_id","since","visit_id");--> statement-breakpoint
CREATE INDEX "stored_tires_shop_vehicle" ON "stored_tires" USING btree ("shop_id","vehicle_id");--> statement-breakpoint
CREATE INDEX "stored_tires_visit" ON "stored_tires" USING btree ("visit_id");--> statement-breakpoint
CREATE POLICY "stored_tires_own_shop" ON "stored_tires" AS PERMISSIVE FOR ALL TO public USING ("stored_tires"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid) WITH CHECK ("stored_tires"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid);--> statement-breakpoint
-- What a car's latest visit says counts: an earlier one has come along to it, or is over.
CREATE FUNCTION "keen_stored_of"(shop uuid, car uuid) RETURNS void
LANGUAGE sql VOLATILE SECURITY DEFINER SET search_path = public, pg_temp AS $$
  DELETE FROM stored_tires WHERE vehicle_id = car AND shop_id = shop;
  INSERT INTO stored_tires (vehicle_id, shop_id, visit_id, since, stored)
  SELECT car, shop, latest.id, (latest.stored ->> 'since')::date, latest.stored
  FROM (
    SELECT id, draft #> '{visit,handOver,stored}' AS stored FROM visits
    WHERE shop_id = shop AND vehicle_id = car
    ORDER BY arrived_at DESC, number DESC LIMIT 1
  ) AS latest
  WHERE jsonb_typeof(latest.stored) = 'object';
$$;
--> statement-breakpoint
CREATE FUNCTION "keen_visit_stored"() RETURNS trigger
LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $$
BEGIN
  IF TG_OP = 'UPDATE' AND old.vehicle_id IS DISTINCT FROM new.vehicle_id THEN
    PERFORM keen_stored_of(new.shop_id, old.vehicle_id);
  ELSIF TG_OP = 'INSERT' AND new.draft #> '{visit,handOver,stored}' IS NULL
    AND NOT EXISTS (SELECT 1 FROM stored_tires WHERE vehicle_id = new.vehicle_id AND shop_id = new.shop_id) THEN
    RETURN NULL;
  END IF;
  PERFORM keen_stored_of(new.shop_id, new.vehicle_id);
  RETURN NULL;
END
$$;
--> statement-breakpoint
CREATE TRIGGER "visits_stored_new" AFTER INSERT ON "visits"
FOR EACH ROW EXECUTE FUNCTION keen_visit_stored();
--> statement-breakpoint
CREATE TRIGGER "visits_stored_changed" AFTER UPDATE ON "visits"
FOR EACH ROW WHEN (old.vehicle_id IS DISTINCT FROM new.vehicle_id
  OR old.draft #> '{visit,handOver,stored}' IS DISTINCT FROM new.draft #> '{visit,handOver,stored}')
EXECUTE FUNCTION keen_visit_stored();
--> statement-breakpoint
REVOKE EXECUTE ON FUNCTION keen_stored_of(uuid, uuid), keen_visit_stored() FROM PUBLIC;
