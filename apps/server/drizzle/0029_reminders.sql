ALTER TABLE "due_looks" RENAME TO "reminders";
--> statement-breakpoint
ALTER TABLE "reminders" RENAME COLUMN "look" TO "reminder";
--> statement-breakpoint
ALTER TABLE "reminders" RENAME CONSTRAINT "due_looks_visit_id_place_pk" TO "reminders_visit_id_place_pk";
--> statement-breakpoint
ALTER TABLE "reminders" RENAME CONSTRAINT "due_looks_visit_id_visits_id_fk" TO "reminders_visit_id_visits_id_fk";
--> statement-breakpoint
ALTER TABLE "reminders" RENAME CONSTRAINT "due_looks_own_vehicle" TO "reminders_own_vehicle";
--> statement-breakpoint
ALTER INDEX "due_looks_soonest" RENAME TO "reminders_soonest";
--> statement-breakpoint
ALTER INDEX "due_looks_shop_vehicle" RENAME TO "reminders_shop_vehicle";
--> statement-breakpoint
ALTER POLICY "due_looks_own_shop" ON "reminders" RENAME TO "reminders_own_shop";
--> statement-breakpoint
CREATE OR REPLACE FUNCTION "keen_due_of"(shop uuid, car uuid) RETURNS void
LANGUAGE sql VOLATILE SET search_path = public, pg_temp AS $$
  DELETE FROM reminders WHERE shop_id = shop AND vehicle_id = car;
  INSERT INTO reminders (visit_id, place, shop_id, vehicle_id, number, due_on, reminder)
  SELECT latest.id, (listed.place - 1)::int, shop, car, latest.number, (listed.reminder ->> 'on')::date, listed.reminder
  FROM (
    SELECT id, number, draft #> '{visit,handOver,next}' AS next FROM visits
    WHERE shop_id = shop AND vehicle_id = car
      AND jsonb_array_length(draft #> '{visit,handOver,next}') > 0
    ORDER BY arrived_at DESC, number DESC LIMIT 1
  ) AS latest, jsonb_array_elements(latest.next) WITH ORDINALITY AS listed (reminder, place)
  WHERE listed.reminder ->> 'state' = 'open';
$$;
--> statement-breakpoint
CREATE OR REPLACE FUNCTION "keen_visit_moved"() RETURNS trigger
LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $$
BEGIN
  DELETE FROM reminders WHERE shop_id = new.shop_id AND vehicle_id IN (old.vehicle_id, new.vehicle_id);
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
-- The order of reading round the car by the name it has in the trade.
UPDATE "shops" SET "settings" = jsonb_set("settings", '{readingOrder}', '"walkAround"')
WHERE "settings" ->> 'readingOrder' = 'walkRound';
--> statement-breakpoint
UPDATE "shops" SET "own_settings" = jsonb_set("own_settings", '{readingOrder}', '"walkAround"')
WHERE "own_settings" ->> 'readingOrder' = 'walkRound';
--> statement-breakpoint
UPDATE "chains" SET "settled" = jsonb_set("settled", '{readingOrder}', '"walkAround"')
WHERE "settled" ->> 'readingOrder' = 'walkRound';
--> statement-breakpoint
UPDATE "people" SET "preferences" = jsonb_set("preferences", '{readingOrder}', '"walkAround"')
WHERE "preferences" ->> 'readingOrder' = 'walkRound';
