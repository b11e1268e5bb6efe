CREATE TABLE "car_merges" (
	"id" uuid PRIMARY KEY NOT NULL,
	"shop_id" uuid NOT NULL,
	"vehicle_id" uuid NOT NULL,
	"merged_id" uuid NOT NULL,
	"visit_ids" jsonb NOT NULL,
	"person_id" uuid NOT NULL,
	"created_at" timestamp with time zone DEFAULT now() NOT NULL,
	"undone_at" timestamp with time zone
);
--> statement-breakpoint
ALTER TABLE "car_merges" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
ALTER TABLE "vehicles" ADD COLUMN "sizes" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "vehicles" ADD COLUMN "customer_key" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "vehicles" ADD COLUMN "last_visit_at" timestamp with time zone DEFAULT now() NOT NULL;--> statement-breakpoint
ALTER TABLE "vehicles" ADD COLUMN "merged_into" uuid;--> statement-breakpoint
ALTER TABLE "car_merges" ADD CONSTRAINT "car_merges_own_vehicle" FOREIGN KEY ("shop_id","vehicle_id") REFERENCES "public"."vehicles"("shop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "car_merges" ADD CONSTRAINT "car_merges_own_merged" FOREIGN KEY ("shop_id","merged_id") REFERENCES "public"."vehicles"("shop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "car_merges" ADD CONSTRAINT "car_merges_own_person" FOREIGN KEY ("shop_id","person_id") REFERENCES "public"."people"("shop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "car_merges_vehicle" ON "car_merges" USING btree ("shop_id","vehicle_id");--> statement-breakpoint
CREATE INDEX "car_merges_merged" ON "car_merges" USING btree ("shop_id","merged_id");--> statement-breakpoint
CREATE INDEX "car_merges_shop_person" ON "car_merges" USING btree ("shop_id","person_id");--> statement-breakpoint
ALTER TABLE "vehicles" ADD CONSTRAINT "vehicles_own_merged_into" FOREIGN KEY ("shop_id","merged_into") REFERENCES "public"."vehicles"("shop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
DROP INDEX "vehicles_shop_created";--> statement-breakpoint
CREATE INDEX "vehicles_shop_latest" ON "vehicles" USING btree ("shop_id","last_visit_at","id");--> statement-breakpoint
CREATE INDEX "vehicles_shop_customer" ON "vehicles" USING btree ("shop_id","customer_key","last_visit_at","id");--> statement-breakpoint
CREATE INDEX "vehicles_shop_merged" ON "vehicles" USING btree ("shop_id","merged_into");--> statement-breakpoint
CREATE POLICY "car_merges_own_shop" ON "car_merges" AS PERMISSIVE FOR ALL TO public USING ("car_merges"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid) WITH CHECK ("car_merges"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid);
--> statement-breakpoint
-- What a car is found by now has the sizes of its tires; its customer's cars are found by the name as it is
-- compared.
CREATE OR REPLACE FUNCTION "keen_vehicle_search"() RETURNS trigger
LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $$
BEGIN
  -- It begins with a space, so that each word has one before it.
  new.search := ' ' || keen_plain(concat_ws(' ', new.plate, new.plate_key, new.label, new.customer, new.phone,
    regexp_replace(new.phone, '\D', '', 'g'), new.vin, new.sizes));
  new.customer_key := trim(keen_plain(new.customer));
  RETURN new;
END
$$;
--> statement-breakpoint
DROP TRIGGER "vehicles_search" ON "vehicles";
--> statement-breakpoint
CREATE TRIGGER "vehicles_search" BEFORE INSERT OR UPDATE OF plate, plate_key, label, customer, phone, vin, sizes ON "vehicles"
FOR EACH ROW EXECUTE FUNCTION keen_vehicle_search();
--> statement-breakpoint
CREATE FUNCTION "keen_tire_sizes"(draft jsonb) RETURNS text
LANGUAGE sql IMMUTABLE AS $$
  SELECT coalesce(string_agg(DISTINCT left(tire.value ->> 'size', 40), ' '), '') FROM jsonb_each(draft -> 'tires') AS tire
$$;
--> statement-breakpoint
CREATE FUNCTION "keen_visit_arrived"() RETURNS trigger
LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $$
BEGIN
  UPDATE vehicles SET
    last_visit_at = (SELECT max(arrived_at) FROM visits WHERE shop_id = new.shop_id AND vehicle_id = new.vehicle_id)
  WHERE id = new.vehicle_id AND shop_id = new.shop_id;
  IF new.draft -> 'tires' IS NOT NULL THEN
    UPDATE vehicles SET sizes = keen_tire_sizes(new.draft)
    WHERE id = new.vehicle_id AND shop_id = new.shop_id AND last_visit_at <= new.arrived_at
      AND sizes IS DISTINCT FROM keen_tire_sizes(new.draft);
  END IF;
  RETURN NULL;
END
$$;
--> statement-breakpoint
CREATE TRIGGER "visits_arrived" AFTER INSERT ON "visits"
FOR EACH ROW EXECUTE FUNCTION keen_visit_arrived();
--> statement-breakpoint
CREATE FUNCTION "keen_visit_sizes"() RETURNS trigger
LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $$
BEGIN
  UPDATE vehicles SET sizes = keen_tire_sizes(new.draft)
  WHERE id = new.vehicle_id AND shop_id = new.shop_id AND last_visit_at <= new.arrived_at
    AND sizes IS DISTINCT FROM keen_tire_sizes(new.draft);
  RETURN NULL;
END
$$;
--> statement-breakpoint
CREATE TRIGGER "visits_sizes" AFTER UPDATE ON "visits"
FOR EACH ROW WHEN (
  old.draft #> '{tires,lf,size}' IS DISTINCT FROM new.draft #> '{tires,lf,size}'
  OR old.draft #> '{tires,rf,size}' IS DISTINCT FROM new.draft #> '{tires,rf,size}'
  OR old.draft #> '{tires,lr,size}' IS DISTINCT FROM new.draft #> '{tires,lr,size}'
  OR old.draft #> '{tires,rr,size}' IS DISTINCT FROM new.draft #> '{tires,rr,size}')
EXECUTE FUNCTION keen_visit_sizes();
--> statement-breakpoint
-- Each car's latest list counts; what a later visit has put down replaces what an earlier one had.
CREATE FUNCTION "keen_due_of"(shop uuid, car uuid) RETURNS void
LANGUAGE sql VOLATILE SET search_path = public, pg_temp AS $$
  DELETE FROM due_looks WHERE shop_id = shop AND vehicle_id = car;
  INSERT INTO due_looks (visit_id, place, shop_id, vehicle_id, number, due_on, look)
  SELECT latest.id, (looks.place - 1)::int, shop, car, latest.number, (looks.look ->> 'on')::date, looks.look
  FROM (
    SELECT id, number, draft #> '{visit,handOver,next}' AS next FROM visits
    WHERE shop_id = shop AND vehicle_id = car
      AND jsonb_array_length(draft #> '{visit,handOver,next}') > 0
    ORDER BY arrived_at DESC, number DESC LIMIT 1
  ) AS latest, jsonb_array_elements(latest.next) WITH ORDINALITY AS looks (look, place)
  WHERE looks.look ->> 'state' = 'open';
$$;
--> statement-breakpoint
CREATE OR REPLACE FUNCTION "keen_visit_due"() RETURNS trigger
LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $$
BEGIN
  PERFORM keen_due_of(new.shop_id, new.vehicle_id);
  RETURN NULL;
END
$$;
--> statement-breakpoint
-- Visits of an entry that is joined to another one, or taken apart again: what is derived goes along.
CREATE FUNCTION "keen_visit_moved"() RETURNS trigger
LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $$
BEGIN
  DELETE FROM due_looks WHERE shop_id = new.shop_id AND vehicle_id IN (old.vehicle_id, new.vehicle_id);
  PERFORM keen_due_of(new.shop_id, old.vehicle_id), keen_due_of(new.shop_id, new.vehicle_id);
  UPDATE vehicles SET
    last_visit_at = coalesce(
      (SELECT max(arrived_at) FROM visits WHERE visits.shop_id = new.shop_id AND visits.vehicle_id = vehicles.id), created_at),
    sizes = coalesce(
      (SELECT keen_tire_sizes(draft) FROM visits WHERE visits.shop_id = new.shop_id AND visits.vehicle_id = vehicles.id
       ORDER BY arrived_at DESC, number DESC LIMIT 1), '')
  WHERE shop_id = new.shop_id AND id IN (old.vehicle_id, new.vehicle_id);
  UPDATE visit_search SET text = keen_visit_text(vehicles.search, new.number, new.draft)
  FROM vehicles WHERE vehicles.id = new.vehicle_id AND visit_search.visit_id = new.id;
  RETURN NULL;
END
$$;
--> statement-breakpoint
CREATE TRIGGER "visits_moved" AFTER UPDATE OF vehicle_id ON "visits"
FOR EACH ROW WHEN (old.vehicle_id IS DISTINCT FROM new.vehicle_id) EXECUTE FUNCTION keen_visit_moved();
--> statement-breakpoint
CREATE OR REPLACE FUNCTION "keen_find_cars"(words text, most integer) RETURNS SETOF uuid
LANGUAGE plpgsql STABLE SECURITY DEFINER SET search_path = public, pg_temp SET enable_seqscan = off SET jit = off AS $$
DECLARE
  shop uuid := nullif(current_setting('keen.shop', true), '')::uuid;
  wanted record := keen_has_words(words);
  bare text := upper(regexp_replace(words, '[^[:alnum:]]', '', 'g'));
  plates uuid[] := '{}';
  latest uuid[];
BEGIN
  -- Plates that begin so first, then whatever else fits, the cars seen last first.
  IF bare <> '' THEN
    EXECUTE 'SELECT array_agg(id) FROM (SELECT id FROM vehicles WHERE shop_id = $1 AND plate_key LIKE '
      || quote_literal(bare || '%') || ' ORDER BY plate_key, id LIMIT $2) AS begun' INTO plates USING shop, most;
  END IF;
  plates := coalesce(plates, '{}');
  RETURN QUERY SELECT unnest(plates);
  IF cardinality(plates) >= most THEN RETURN; END IF;
  IF keen_is_common('SELECT 1 FROM vehicles WHERE shop_id = $1 AND keen_parts(search) @@ $2', shop, wanted.parts) THEN
    EXECUTE
      'SELECT array_agg(id) FROM (SELECT s.id FROM (SELECT id, last_visit_at, search AS text FROM vehicles
         WHERE shop_id = $1 ORDER BY last_visit_at DESC, id DESC LIMIT 2000) s
       WHERE ' || wanted.condition || ' ORDER BY s.last_visit_at DESC, s.id DESC LIMIT $2) AS latest'
      INTO latest USING shop, most;
  END IF;
  IF coalesce(cardinality(latest), 0) < most THEN
    EXECUTE
      'WITH found AS MATERIALIZED (
         SELECT s.id, s.last_visit_at FROM (SELECT id, last_visit_at, shop_id, search AS text FROM vehicles) s
         WHERE s.shop_id = $1 AND keen_parts(s.text) @@ $3 AND ' || wanted.condition || ')
       SELECT array_agg(id) FROM (SELECT id FROM found ORDER BY last_visit_at DESC, id DESC LIMIT $2) AS others'
      INTO latest USING shop, most, wanted.parts;
  END IF;
  RETURN QUERY SELECT id FROM unnest(latest) AS id WHERE id <> ALL (plates) LIMIT most - cardinality(plates);
END
$$;
--> statement-breakpoint
REVOKE EXECUTE ON FUNCTION keen_tire_sizes(jsonb), keen_visit_arrived(), keen_visit_sizes(), keen_due_of(uuid, uuid),
  keen_visit_moved() FROM PUBLIC;
--> statement-breakpoint
-- What is there already, once.
UPDATE vehicles SET
  last_visit_at = coalesce(latest.arrived_at, vehicles.created_at),
  sizes = coalesce(keen_tire_sizes(latest.draft), '')
FROM vehicles AS same LEFT JOIN LATERAL (
  SELECT arrived_at, draft FROM visits
  WHERE visits.shop_id = same.shop_id AND visits.vehicle_id = same.id
  ORDER BY arrived_at DESC, number DESC LIMIT 1
) AS latest ON true
WHERE same.id = vehicles.id;
