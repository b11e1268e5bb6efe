-- Two ways to find what fits some words: read from the latest backwards until enough fit, or ask the index of
-- parts for all that fit and put them in order. Which is shorter follows from how many of the latest thousand
-- fit; the planner cannot tell how many words begin so.
DROP FUNCTION "keen_is_common"(text, uuid, tsquery);
--> statement-breakpoint
-- How many of the latest rows are worth reading; 0 where the index is shorter. A row that the index names is
-- fetched from anywhere, which takes some eight times as long (measured at a million visits). Four times what
-- should do, since what fits may be old.
CREATE FUNCTION "keen_latest_rows"(searched regclass, most integer, sampled bigint, fitting integer) RETURNS bigint
LANGUAGE plpgsql STABLE SET search_path = public, pg_temp AS $$
DECLARE
  total float8 := (SELECT greatest(reltuples, 0) FROM pg_class WHERE oid = searched);
  read float8;
BEGIN
  IF fitting = 0 THEN RETURN 0; END IF;
  read := most::float8 * sampled / fitting;
  RETURN CASE WHEN read < 8 * total * fitting / sampled THEN ceil(4 * read) ELSE 0 END;
END
$$;
--> statement-breakpoint
CREATE OR REPLACE FUNCTION "keen_find_visits"(words text, before_number integer, most integer) RETURNS SETOF uuid
LANGUAGE plpgsql STABLE SECURITY DEFINER SET search_path = public, pg_temp SET enable_seqscan = off SET jit = off AS $$
DECLARE
  shop uuid := nullif(current_setting('keen.shop', true), '')::uuid;
  wanted record := keen_has_words(words);
  before timestamptz := 'infinity';
  sampled bigint;
  found_latest uuid[];
  rows_read bigint;
BEGIN
  IF before_number IS NOT NULL THEN
    SELECT arrived_at INTO before FROM visits WHERE shop_id = shop AND number = before_number;
    IF NOT FOUND THEN RETURN; END IF;
  END IF;
  EXECUTE
    'SELECT count(*), coalesce(array_agg(s.visit_id ORDER BY s.arrived_at DESC, s.number DESC) FILTER (WHERE '
      || wanted.condition || '), ''{}'')
     FROM (SELECT * FROM visit_search WHERE shop_id = $1 AND (arrived_at, number) < ($2, $3)
       ORDER BY arrived_at DESC, number DESC LIMIT 1000) s'
    INTO sampled, found_latest USING shop, before, coalesce(before_number, 0);
  IF sampled = 1000 AND cardinality(found_latest) < most THEN
    rows_read := keen_latest_rows('visit_search', most, sampled, cardinality(found_latest));
    IF rows_read > 0 THEN
      EXECUTE
        'SELECT coalesce(array_agg(visit_id ORDER BY arrived_at DESC, number DESC), ''{}'') FROM (
           SELECT s.* FROM (SELECT * FROM visit_search WHERE shop_id = $1 AND (arrived_at, number) < ($2, $3)
             ORDER BY arrived_at DESC, number DESC LIMIT $4) s
           WHERE ' || wanted.condition || ' ORDER BY s.arrived_at DESC, s.number DESC LIMIT $5) AS read'
        INTO found_latest USING shop, before, coalesce(before_number, 0), rows_read, most;
    END IF;
    IF cardinality(found_latest) < most THEN
      RETURN QUERY EXECUTE
        'WITH found AS MATERIALIZED (
           SELECT s.visit_id, s.arrived_at, s.number FROM visit_search s
           WHERE s.shop_id = $1 AND keen_parts(s.text) @@ $5 AND (s.arrived_at, s.number) < ($2, $3) AND ' || wanted.condition || ')
         SELECT visit_id FROM found ORDER BY arrived_at DESC, number DESC LIMIT $4'
        USING shop, before, coalesce(before_number, 0), most, wanted.parts;
      RETURN;
    END IF;
  END IF;
  RETURN QUERY SELECT unnest(found_latest[1:most]);
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
  sampled bigint;
  others uuid[];
  rows_read bigint;
BEGIN
  -- Plates that begin so first, then whatever else fits, the cars seen last first.
  IF bare <> '' THEN
    EXECUTE 'SELECT array_agg(id) FROM (SELECT id FROM vehicles WHERE shop_id = $1 AND plate_key LIKE '
      || quote_literal(bare || '%') || ' ORDER BY plate_key, id LIMIT $2) AS begun' INTO plates USING shop, most;
  END IF;
  plates := coalesce(plates, '{}');
  RETURN QUERY SELECT unnest(plates);
  IF cardinality(plates) >= most THEN RETURN; END IF;
  EXECUTE
    'SELECT count(*), coalesce(array_agg(s.id ORDER BY s.last_visit_at DESC, s.id DESC) FILTER (WHERE '
      || wanted.condition || '), ''{}'')
     FROM (SELECT id, last_visit_at, search AS text FROM vehicles WHERE shop_id = $1
       ORDER BY last_visit_at DESC, id DESC LIMIT 1000) s'
    INTO sampled, others USING shop;
  IF sampled = 1000 AND cardinality(others) < most THEN
    rows_read := keen_latest_rows('vehicles', most, sampled, cardinality(others));
    IF rows_read > 0 THEN
      EXECUTE
        'SELECT coalesce(array_agg(id ORDER BY last_visit_at DESC, id DESC), ''{}'') FROM (
           SELECT s.* FROM (SELECT id, last_visit_at, search AS text FROM vehicles WHERE shop_id = $1
             ORDER BY last_visit_at DESC, id DESC LIMIT $2) s
           WHERE ' || wanted.condition || ' ORDER BY s.last_visit_at DESC, s.id DESC LIMIT $3) AS read'
        INTO others USING shop, rows_read, most;
    END IF;
    IF cardinality(others) < most THEN
      EXECUTE
        'WITH found AS MATERIALIZED (
           SELECT s.id, s.last_visit_at FROM (SELECT id, last_visit_at, shop_id, search AS text FROM vehicles) s
           WHERE s.shop_id = $1 AND keen_parts(s.text) @@ $3 AND ' || wanted.condition || ')
         SELECT coalesce(array_agg(id), ''{}'') FROM (SELECT id FROM found ORDER BY last_visit_at DESC, id DESC LIMIT $2) AS found'
        INTO others USING shop, most, wanted.parts;
    END IF;
  END IF;
  RETURN QUERY SELECT id FROM unnest(others[1:most]) AS id WHERE id <> ALL (plates) LIMIT most - cardinality(plates);
END
$$;
--> statement-breakpoint
REVOKE EXECUTE ON FUNCTION keen_latest_rows(regclass, integer, bigint, integer) FROM PUBLIC;
