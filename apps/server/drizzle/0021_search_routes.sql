-- Two ways to find what fits some words. Read from the latest backwards until enough fit: most * all / fitting
-- rows are read. Or ask the index of parts for all that fit, and put them in order. Which is shorter follows
-- from how many fit, as the planner sees it.
DROP FUNCTION "keen_is_common"(text, uuid, tsquery);
--> statement-breakpoint
-- How many of the latest rows are worth reading first; 0 where the index is shorter. Four times what should do,
-- since what fits may be old.
CREATE FUNCTION "keen_latest_rows"(query text, searched regclass, shop uuid, parts tsquery, most integer) RETURNS bigint
LANGUAGE plpgsql VOLATILE SET search_path = public, pg_temp AS $$
DECLARE
  plan json;
  fitting float8;
  read float8;
BEGIN
  EXECUTE 'EXPLAIN (FORMAT JSON) ' || query USING shop, parts INTO plan;
  fitting := greatest((plan -> 0 -> 'Plan' ->> 'Plan Rows')::float8, 1);
  read := most * (SELECT greatest(reltuples, 0) FROM pg_class WHERE oid = searched)::float8 / fitting;
  RETURN CASE WHEN read < fitting THEN ceil(4 * read) + 1000 ELSE 0 END;
END
$$;
--> statement-breakpoint
CREATE OR REPLACE FUNCTION "keen_find_visits"(words text, before_number integer, most integer) RETURNS SETOF uuid
LANGUAGE plpgsql STABLE SECURITY DEFINER SET search_path = public, pg_temp SET enable_seqscan = off SET jit = off AS $$
DECLARE
  shop uuid := nullif(current_setting('keen.shop', true), '')::uuid;
  wanted record := keen_has_words(words);
  before timestamptz := 'infinity';
  latest bigint;
  found_latest integer := 0;
BEGIN
  IF before_number IS NOT NULL THEN
    SELECT arrived_at INTO before FROM visits WHERE shop_id = shop AND number = before_number;
    IF NOT FOUND THEN RETURN; END IF;
  END IF;
  latest := keen_latest_rows('SELECT 1 FROM visit_search WHERE shop_id = $1 AND keen_parts(text) @@ $2',
    'visit_search', shop, wanted.parts, most);
  IF latest > 0 THEN
    RETURN QUERY EXECUTE
      'SELECT s.visit_id FROM (SELECT * FROM visit_search WHERE shop_id = $1 AND (arrived_at, number) < ($2, $3)
         ORDER BY arrived_at DESC, number DESC LIMIT $5) s
       WHERE ' || wanted.condition || ' ORDER BY s.arrived_at DESC, s.number DESC LIMIT $4'
      USING shop, before, coalesce(before_number, 0), most, latest;
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
CREATE OR REPLACE FUNCTION "keen_find_cars"(words text, most integer) RETURNS SETOF uuid
LANGUAGE plpgsql STABLE SECURITY DEFINER SET search_path = public, pg_temp SET enable_seqscan = off SET jit = off AS $$
DECLARE
  shop uuid := nullif(current_setting('keen.shop', true), '')::uuid;
  wanted record := keen_has_words(words);
  bare text := upper(regexp_replace(words, '[^[:alnum:]]', '', 'g'));
  plates uuid[] := '{}';
  latest bigint;
  others uuid[];
BEGIN
  -- Plates that begin so first, then whatever else fits, the cars seen last first.
  IF bare <> '' THEN
    EXECUTE 'SELECT array_agg(id) FROM (SELECT id FROM vehicles WHERE shop_id = $1 AND plate_key LIKE '
      || quote_literal(bare || '%') || ' ORDER BY plate_key, id LIMIT $2) AS begun' INTO plates USING shop, most;
  END IF;
  plates := coalesce(plates, '{}');
  RETURN QUERY SELECT unnest(plates);
  IF cardinality(plates) >= most THEN RETURN; END IF;
  latest := keen_latest_rows('SELECT 1 FROM vehicles WHERE shop_id = $1 AND keen_parts(search) @@ $2',
    'vehicles', shop, wanted.parts, most);
  IF latest > 0 THEN
    EXECUTE
      'SELECT array_agg(id) FROM (SELECT s.id FROM (SELECT id, last_visit_at, search AS text FROM vehicles
         WHERE shop_id = $1 ORDER BY last_visit_at DESC, id DESC LIMIT $3) s
       WHERE ' || wanted.condition || ' ORDER BY s.last_visit_at DESC, s.id DESC LIMIT $2) AS read'
      INTO others USING shop, most, latest;
  END IF;
  IF coalesce(cardinality(others), 0) < most THEN
    EXECUTE
      'WITH found AS MATERIALIZED (
         SELECT s.id, s.last_visit_at FROM (SELECT id, last_visit_at, shop_id, search AS text FROM vehicles) s
         WHERE s.shop_id = $1 AND keen_parts(s.text) @@ $3 AND ' || wanted.condition || ')
       SELECT array_agg(id) FROM (SELECT id FROM found ORDER BY last_visit_at DESC, id DESC LIMIT $2) AS others'
      INTO others USING shop, most, wanted.parts;
  END IF;
  RETURN QUERY SELECT id FROM unnest(others) AS id WHERE id <> ALL (plates) LIMIT most - cardinality(plates);
END
$$;
--> statement-breakpoint
REVOKE EXECUTE ON FUNCTION keen_latest_rows(text, regclass, uuid, tsquery, integer) FROM PUBLIC;
