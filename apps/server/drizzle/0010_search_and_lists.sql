CREATE TABLE "due_looks" (
	"visit_id" uuid NOT NULL,
	"place" integer NOT NULL,
	"shop_id" uuid NOT NULL,
	"vehicle_id" uuid NOT NULL,
	"number" integer NOT NULL,
	"due_on" date NOT NULL,
	"look" jsonb NOT NULL,
	CONSTRAINT "due_looks_visit_id_place_pk" PRIMARY KEY("visit_id","place")
);
--> statement-breakpoint
ALTER TABLE "due_looks" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "tire_lines" (
	"shop_id" uuid NOT NULL,
	"key" text NOT NULL,
	"line" text NOT NULL,
	"new_depth" double precision NOT NULL,
	"at" timestamp with time zone NOT NULL,
	CONSTRAINT "tire_lines_shop_id_key_pk" PRIMARY KEY("shop_id","key")
);
--> statement-breakpoint
ALTER TABLE "tire_lines" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
CREATE TABLE "visit_search" (
	"visit_id" uuid PRIMARY KEY NOT NULL,
	"shop_id" uuid NOT NULL,
	"arrived_at" timestamp with time zone NOT NULL,
	"number" integer NOT NULL,
	"text" text NOT NULL
);
--> statement-breakpoint
ALTER TABLE "visit_search" ENABLE ROW LEVEL SECURITY;--> statement-breakpoint
DROP INDEX "entries_shop_visit";--> statement-breakpoint
DROP INDEX "visits_vehicle";--> statement-breakpoint
DROP INDEX "entries_visit_seq";--> statement-breakpoint
DROP INDEX "visits_shop_arrived";--> statement-breakpoint
DROP INDEX "visits_turned";--> statement-breakpoint
DROP INDEX "visits_shop_vehicle";--> statement-breakpoint
ALTER TABLE "vehicles" ADD COLUMN "search" text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE "visits" ADD COLUMN "sheet_id" text GENERATED ALWAYS AS (draft #>> '{visit,sheet,sheetId}') STORED;--> statement-breakpoint
ALTER TABLE "visits" ADD COLUMN "has_turns" boolean GENERATED ALWAYS AS (draft #> '{visit,setRight,turns}' is not null) STORED;--> statement-breakpoint
ALTER TABLE "due_looks" ADD CONSTRAINT "due_looks_visit_id_visits_id_fk" FOREIGN KEY ("visit_id") REFERENCES "public"."visits"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "due_looks" ADD CONSTRAINT "due_looks_own_vehicle" FOREIGN KEY ("shop_id","vehicle_id") REFERENCES "public"."vehicles"("shop_id","id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "tire_lines" ADD CONSTRAINT "tire_lines_shop_id_shops_id_fk" FOREIGN KEY ("shop_id") REFERENCES "public"."shops"("id") ON DELETE no action ON UPDATE no action;--> statement-breakpoint
ALTER TABLE "visit_search" ADD CONSTRAINT "visit_search_visit_id_visits_id_fk" FOREIGN KEY ("visit_id") REFERENCES "public"."visits"("id") ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX "due_looks_soonest" ON "due_looks" USING btree ("shop_id","due_on","number","place");--> statement-breakpoint
CREATE INDEX "due_looks_shop_vehicle" ON "due_looks" USING btree ("shop_id","vehicle_id");--> statement-breakpoint
CREATE INDEX "tire_lines_latest" ON "tire_lines" USING btree ("shop_id","at");--> statement-breakpoint
CREATE INDEX "visit_search_arrived" ON "visit_search" USING btree ("shop_id","arrived_at","number");--> statement-breakpoint
CREATE INDEX "vehicles_shop_created" ON "vehicles" USING btree ("shop_id","created_at");--> statement-breakpoint
CREATE INDEX "visits_shop_open" ON "visits" USING btree ("shop_id","arrived_at","number") WHERE closed_at is null;--> statement-breakpoint
CREATE UNIQUE INDEX "entries_visit_seq" ON "entries" USING btree ("shop_id","visit_id","seq");--> statement-breakpoint
CREATE INDEX "visits_shop_arrived" ON "visits" USING btree ("shop_id","arrived_at","number");--> statement-breakpoint
CREATE INDEX "visits_turned" ON "visits" USING btree ("shop_id","sheet_id","arrived_at") WHERE has_turns;--> statement-breakpoint
CREATE INDEX "visits_shop_vehicle" ON "visits" USING btree ("shop_id","vehicle_id","arrived_at");--> statement-breakpoint
CREATE POLICY "due_looks_own_shop" ON "due_looks" AS PERMISSIVE FOR ALL TO public USING ("due_looks"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid) WITH CHECK ("due_looks"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid);--> statement-breakpoint
CREATE POLICY "tire_lines_own_shop" ON "tire_lines" AS PERMISSIVE FOR ALL TO public USING ("tire_lines"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid) WITH CHECK ("tire_lines"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid);--> statement-breakpoint
CREATE POLICY "visit_search_own_shop" ON "visit_search" AS PERMISSIVE FOR ALL TO public USING ("visit_search"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid) WITH CHECK ("visit_search"."shop_id" = nullif(current_setting('keen.shop', true), '')::uuid);
--> statement-breakpoint
-- Room beside each visit, so that a saved reading is written in place without touching an index.
ALTER TABLE "visits" SET (fillfactor = 85);
--> statement-breakpoint
CREATE EXTENSION IF NOT EXISTS "btree_gin";
--> statement-breakpoint
CREATE EXTENSION IF NOT EXISTS "unaccent";
--> statement-breakpoint
-- Texts are compared without capitals and accents, with one space between words.
CREATE FUNCTION "keen_plain"(words text) RETURNS text
LANGUAGE sql STABLE PARALLEL SAFE SET search_path = public, pg_temp AS $$
  SELECT regexp_replace(lower(unaccent(words)), '\s+', ' ', 'g')
$$;
--> statement-breakpoint
-- What a text is found by: the ends of its words, so that a part of a word begins one of them, and the
-- words themselves behind a mark, for one or two letters. Far more telling than three letters at a time.
CREATE FUNCTION "keen_parts"(words text) RETURNS tsvector
LANGUAGE plpgsql IMMUTABLE PARALLEL SAFE AS $$
DECLARE
  parts text[] := '{}';
  word text;
BEGIN
  FOREACH word IN ARRAY string_to_array(words, ' ') LOOP
    CONTINUE WHEN word = '';
    word := left(word, 40);
    parts := parts || ('^' || word);
    -- A visit's number is told by how it begins.
    CONTINUE WHEN word ~ '^#\d+$';
    FOR i IN 1 .. char_length(word) - 2 LOOP
      parts := parts || substr(word, i);
    END LOOP;
  END LOOP;
  RETURN array_to_tsvector(parts);
END
$$;
--> statement-breakpoint
CREATE FUNCTION "keen_like"(word text) RETURNS text
LANGUAGE sql IMMUTABLE AS $$
  SELECT CASE WHEN char_length(word) < 3 THEN '% ' ELSE '%' END
    || regexp_replace(word, '([\\%_])', '\\\1', 'g') || '%'
$$;
--> statement-breakpoint
CREATE FUNCTION "keen_part"(word text) RETURNS text
LANGUAGE sql IMMUTABLE AS $$
  -- Quotes and backslashes are doubled, as a text search query has them.
  SELECT '''' || regexp_replace(
    CASE WHEN char_length(word) < 3 OR word ~ '^#\d+$' THEN '^' ELSE '' END || left(word, 40), '([''\\])', '\1\1', 'g') || ''':*'
$$;
--> statement-breakpoint
-- A condition that every word typed is somewhere in a text, and the same for the index of parts; one or
-- two letters begin a word. A word also counts without its dashes and dots.
CREATE FUNCTION "keen_has_words"(words text, OUT condition text, OUT parts tsquery)
LANGUAGE plpgsql STABLE SET search_path = public, pg_temp AS $$
DECLARE
  word text;
  bare text;
  query text := '';
BEGIN
  condition := 'true';
  FOR word IN SELECT DISTINCT unnest(string_to_array(keen_plain(words), ' ')) LOOP
    CONTINUE WHEN word = '';
    bare := regexp_replace(word, '[^[:alnum:]]', '', 'g');
    condition := condition || format(' AND (s.text LIKE %L', keen_like(word));
    query := query || ' & (' || keen_part(word);
    IF bare <> word AND bare <> '' THEN
      condition := condition || format(' OR s.text LIKE %L', keen_like(bare));
      query := query || ' | ' || keen_part(bare);
    END IF;
    condition := condition || ')';
    query := query || ')';
  END LOOP;
  parts := ltrim(query, ' &')::tsquery;
END
$$;
--> statement-breakpoint
-- Row security hides a table's rows before a text is compared, and so keeps the index of parts from being
-- used. These two search as the owner, within the shop at hand, and give ids only. A word that is common, as
-- the planner sees it, is found among the latest rows; what is rare is asked of the index.
CREATE FUNCTION "keen_is_common"(query text, shop uuid, parts tsquery) RETURNS boolean
LANGUAGE plpgsql VOLATILE SET search_path = public, pg_temp AS $$
DECLARE
  plan json;
BEGIN
  EXECUTE 'EXPLAIN (FORMAT JSON) ' || query USING shop, parts INTO plan;
  RETURN (plan -> 0 -> 'Plan' ->> 'Plan Rows')::float8 > 3000;
END
$$;
--> statement-breakpoint
CREATE FUNCTION "keen_find_visits"(words text, before_number integer, most integer) RETURNS SETOF uuid
LANGUAGE plpgsql STABLE SECURITY DEFINER SET search_path = public, pg_temp SET enable_seqscan = off SET jit = off AS $$
DECLARE
  shop uuid := nullif(current_setting('keen.shop', true), '')::uuid;
  wanted record := keen_has_words(words);
  before timestamptz := 'infinity';
  found_latest integer := 0;
BEGIN
  IF before_number IS NOT NULL THEN
    SELECT arrived_at INTO before FROM visits WHERE shop_id = shop AND number = before_number;
    IF NOT FOUND THEN RETURN; END IF;
  END IF;
  IF keen_is_common('SELECT 1 FROM visit_search WHERE shop_id = $1 AND keen_parts(text) @@ $2', shop, wanted.parts) THEN
    RETURN QUERY EXECUTE
      'SELECT s.visit_id FROM (SELECT * FROM visit_search WHERE shop_id = $1 AND (arrived_at, number) < ($2, $3)
         ORDER BY arrived_at DESC, number DESC LIMIT 2000) s
       WHERE ' || wanted.condition || ' ORDER BY s.arrived_at DESC, s.number DESC LIMIT $4'
      USING shop, before, coalesce(before_number, 0), most;
    GET DIAGNOSTICS found_latest = ROW_COUNT;
    IF found_latest >= most THEN RETURN; END IF;
  END IF;
  RETURN QUERY EXECUTE
    'WITH found AS MATERIALIZED (
       SELECT s.visit_id, s.arrived_at, s.number FROM visit_search s
       WHERE s.shop_id = $1 AND keen_parts(s.text) @@ $5 AND (s.arrived_at, s.number) < ($2, $3) AND ' || wanted.condition || ')
     SELECT visit_id FROM found ORDER BY arrived_at DESC, number DESC LIMIT $4 OFFSET $6'
    USING shop, before, coalesce(before_number, 0), most - found_latest, wanted.parts, found_latest;
END
$$;
--> statement-breakpoint
CREATE FUNCTION "keen_find_cars"(words text, most integer) RETURNS SETOF uuid
LANGUAGE plpgsql STABLE SECURITY DEFINER SET search_path = public, pg_temp SET enable_seqscan = off SET jit = off AS $$
DECLARE
  shop uuid := nullif(current_setting('keen.shop', true), '')::uuid;
  wanted record := keen_has_words(words);
  bare text := upper(regexp_replace(words, '[^[:alnum:]]', '', 'g'));
  plates uuid[] := '{}';
  latest uuid[];
BEGIN
  -- Plates that begin so first, then whatever else fits, the latest cars first.
  IF bare <> '' THEN
    EXECUTE 'SELECT array_agg(id) FROM (SELECT id FROM vehicles WHERE shop_id = $1 AND plate_key LIKE '
      || quote_literal(bare || '%') || ' ORDER BY plate_key LIMIT $2) AS begun' INTO plates USING shop, most;
  END IF;
  plates := coalesce(plates, '{}');
  RETURN QUERY SELECT unnest(plates);
  IF cardinality(plates) >= most THEN RETURN; END IF;
  IF keen_is_common('SELECT 1 FROM vehicles WHERE shop_id = $1 AND keen_parts(search) @@ $2', shop, wanted.parts) THEN
    EXECUTE
      'SELECT array_agg(id) FROM (SELECT s.id FROM (SELECT id, created_at, search AS text FROM vehicles
         WHERE shop_id = $1 ORDER BY created_at DESC LIMIT 2000) s
       WHERE ' || wanted.condition || ' ORDER BY s.created_at DESC LIMIT $2) AS latest'
      INTO latest USING shop, most;
  END IF;
  IF coalesce(cardinality(latest), 0) < most THEN
    EXECUTE
      'WITH found AS MATERIALIZED (
         SELECT s.id, s.created_at FROM (SELECT id, created_at, shop_id, search AS text FROM vehicles) s
         WHERE s.shop_id = $1 AND keen_parts(s.text) @@ $3 AND ' || wanted.condition || ')
       SELECT array_agg(id) FROM (SELECT id FROM found ORDER BY created_at DESC LIMIT $2) AS others'
      INTO latest USING shop, most, wanted.parts;
  END IF;
  RETURN QUERY SELECT id FROM unnest(latest) AS id WHERE id <> ALL (plates) LIMIT most - cardinality(plates);
END
$$;
--> statement-breakpoint
CREATE FUNCTION "keen_vehicle_search"() RETURNS trigger
LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $$
BEGIN
  -- It begins with a space, so that each word has one before it.
  new.search := ' ' || keen_plain(concat_ws(' ', new.plate, new.plate_key, new.label, new.customer, new.phone,
    regexp_replace(new.phone, '\D', '', 'g'), new.vin));
  RETURN new;
END
$$;
--> statement-breakpoint
CREATE TRIGGER "vehicles_search" BEFORE INSERT OR UPDATE OF plate, plate_key, label, customer, phone, vin ON "vehicles"
FOR EACH ROW EXECUTE FUNCTION keen_vehicle_search();
--> statement-breakpoint
CREATE FUNCTION "keen_visit_text"(car_search text, number integer, draft jsonb) RETURNS text
LANGUAGE sql STABLE SET search_path = public, pg_temp AS $$
  SELECT car_search || ' ' || keen_plain(concat_ws(' ', '#' || number, draft #>> '{visit,words}'))
$$;
--> statement-breakpoint
CREATE FUNCTION "keen_vehicle_renamed"() RETURNS trigger
LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $$
BEGIN
  UPDATE visit_search SET text = keen_visit_text(new.search, visits.number, visits.draft)
  FROM visits WHERE visits.id = visit_search.visit_id AND visits.shop_id = new.shop_id AND visits.vehicle_id = new.id;
  RETURN NULL;
END
$$;
--> statement-breakpoint
CREATE TRIGGER "vehicles_renamed" AFTER UPDATE ON "vehicles"
FOR EACH ROW WHEN (old.search IS DISTINCT FROM new.search) EXECUTE FUNCTION keen_vehicle_renamed();
--> statement-breakpoint
CREATE FUNCTION "keen_visit_search"() RETURNS trigger
LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $$
BEGIN
  INSERT INTO visit_search (visit_id, shop_id, arrived_at, number, text)
  SELECT new.id, new.shop_id, new.arrived_at, new.number, keen_visit_text(vehicles.search, new.number, new.draft)
  FROM vehicles WHERE vehicles.id = new.vehicle_id
  ON CONFLICT (visit_id) DO UPDATE SET text = excluded.text;
  RETURN NULL;
END
$$;
--> statement-breakpoint
CREATE TRIGGER "visits_search_new" AFTER INSERT ON "visits"
FOR EACH ROW EXECUTE FUNCTION keen_visit_search();
--> statement-breakpoint
CREATE TRIGGER "visits_search_words" AFTER UPDATE ON "visits"
FOR EACH ROW WHEN (old.draft #>> '{visit,words}' IS DISTINCT FROM new.draft #>> '{visit,words}')
EXECUTE FUNCTION keen_visit_search();
--> statement-breakpoint
-- Each car's latest list counts; what a later visit has put down replaces what an earlier one had.
CREATE FUNCTION "keen_visit_due"() RETURNS trigger
LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $$
BEGIN
  DELETE FROM due_looks WHERE shop_id = new.shop_id AND vehicle_id = new.vehicle_id;
  INSERT INTO due_looks (visit_id, place, shop_id, vehicle_id, number, due_on, look)
  SELECT latest.id, (looks.place - 1)::int, new.shop_id, new.vehicle_id, latest.number, (looks.look ->> 'on')::date, looks.look
  FROM (
    SELECT id, number, draft #> '{visit,handOver,next}' AS next FROM visits
    WHERE shop_id = new.shop_id AND vehicle_id = new.vehicle_id
      AND jsonb_array_length(draft #> '{visit,handOver,next}') > 0
    ORDER BY arrived_at DESC, number DESC LIMIT 1
  ) AS latest, jsonb_array_elements(latest.next) WITH ORDINALITY AS looks (look, place)
  WHERE looks.look ->> 'state' = 'open';
  RETURN NULL;
END
$$;
--> statement-breakpoint
CREATE TRIGGER "visits_due_new" AFTER INSERT ON "visits"
FOR EACH ROW WHEN (jsonb_array_length(new.draft #> '{visit,handOver,next}') > 0)
EXECUTE FUNCTION keen_visit_due();
--> statement-breakpoint
CREATE TRIGGER "visits_due_changed" AFTER UPDATE ON "visits"
FOR EACH ROW WHEN (old.draft #> '{visit,handOver,next}' IS DISTINCT FROM new.draft #> '{visit,handOver,next}')
EXECUTE FUNCTION keen_visit_due();
--> statement-breakpoint
CREATE FUNCTION "keen_visit_lines"() RETURNS trigger
LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $$
BEGIN
  INSERT INTO tire_lines (shop_id, key, line, new_depth, at)
  SELECT DISTINCT ON (lower(wheel.value ->> 'line'))
    new.shop_id, lower(wheel.value ->> 'line'), wheel.value ->> 'line',
    (new.draft -> 'tires' -> wheel.key ->> 'newDepth')::float8, new.arrived_at
  FROM jsonb_each(new.draft #> '{visit,tires}') AS wheel
  WHERE wheel.value ->> 'line' IS NOT NULL AND new.draft -> 'tires' -> wheel.key ->> 'newDepth' IS NOT NULL
  ORDER BY lower(wheel.value ->> 'line')
  ON CONFLICT (shop_id, key) DO UPDATE
    SET line = excluded.line, new_depth = excluded.new_depth, at = excluded.at
    WHERE excluded.at >= tire_lines.at;
  RETURN NULL;
END
$$;
--> statement-breakpoint
CREATE TRIGGER "visits_lines_new" AFTER INSERT ON "visits"
FOR EACH ROW WHEN (new.draft #> '{visit,tires}' IS NOT NULL) EXECUTE FUNCTION keen_visit_lines();
--> statement-breakpoint
CREATE TRIGGER "visits_lines_changed" AFTER UPDATE ON "visits"
FOR EACH ROW WHEN (new.draft #> '{visit,tires}' IS NOT NULL AND (
  old.draft #> '{visit,tires}' IS DISTINCT FROM new.draft #> '{visit,tires}'
  OR old.draft #> '{tires,lf,newDepth}' IS DISTINCT FROM new.draft #> '{tires,lf,newDepth}'
  OR old.draft #> '{tires,rf,newDepth}' IS DISTINCT FROM new.draft #> '{tires,rf,newDepth}'
  OR old.draft #> '{tires,lr,newDepth}' IS DISTINCT FROM new.draft #> '{tires,lr,newDepth}'
  OR old.draft #> '{tires,rr,newDepth}' IS DISTINCT FROM new.draft #> '{tires,rr,newDepth}'))
EXECUTE FUNCTION keen_visit_lines();
--> statement-breakpoint
-- What is there already, once.
UPDATE "vehicles" SET "plate" = "plate";
--> statement-breakpoint
INSERT INTO visit_search (visit_id, shop_id, arrived_at, number, text)
SELECT visits.id, visits.shop_id, visits.arrived_at, visits.number, keen_visit_text(vehicles.search, visits.number, visits.draft)
FROM visits JOIN vehicles ON vehicles.id = visits.vehicle_id;
--> statement-breakpoint
INSERT INTO due_looks (visit_id, place, shop_id, vehicle_id, number, due_on, look)
SELECT latest.id, (looks.place - 1)::int, latest.shop_id, latest.vehicle_id, latest.number, (looks.look ->> 'on')::date, looks.look
FROM (
  SELECT DISTINCT ON (vehicle_id) id, shop_id, vehicle_id, number, draft #> '{visit,handOver,next}' AS next FROM visits
  WHERE jsonb_array_length(draft #> '{visit,handOver,next}') > 0
  ORDER BY vehicle_id, arrived_at DESC, number DESC
) AS latest, jsonb_array_elements(latest.next) WITH ORDINALITY AS looks (look, place)
WHERE looks.look ->> 'state' = 'open';
--> statement-breakpoint
INSERT INTO tire_lines (shop_id, key, line, new_depth, at)
SELECT DISTINCT ON (shop_id, lower(wheel.value ->> 'line'))
  shop_id, lower(wheel.value ->> 'line'), wheel.value ->> 'line', (draft -> 'tires' -> wheel.key ->> 'newDepth')::float8, arrived_at
FROM visits, jsonb_each(draft #> '{visit,tires}') AS wheel
WHERE wheel.value ->> 'line' IS NOT NULL AND draft -> 'tires' -> wheel.key ->> 'newDepth' IS NOT NULL
ORDER BY shop_id, lower(wheel.value ->> 'line'), arrived_at DESC;
--> statement-breakpoint
CREATE INDEX "visit_search_parts" ON "visit_search" USING gin ("shop_id", keen_parts("text")) WITH (gin_pending_list_limit = 512);
--> statement-breakpoint
CREATE INDEX "vehicles_search_parts" ON "vehicles" USING gin ("shop_id", keen_parts("search")) WITH (gin_pending_list_limit = 512);
--> statement-breakpoint
CREATE INDEX "vehicles_plate_begins" ON "vehicles" USING btree ("shop_id", "plate_key" text_pattern_ops);
--> statement-breakpoint
-- Functions of the owner are nobody's by default; the app's role is granted what it asks for at the start.
-- An index of cars is written as the app's role, and so its function stays everybody's.
REVOKE EXECUTE ON FUNCTION keen_is_common(text, uuid, tsquery), keen_plain(text), keen_like(text), keen_part(text), keen_has_words(text),
  keen_find_visits(text, integer, integer),
  keen_find_cars(text, integer), keen_vehicle_search(), keen_visit_text(text, integer, jsonb), keen_vehicle_renamed(),
  keen_visit_search(), keen_visit_due(), keen_visit_lines() FROM PUBLIC;
