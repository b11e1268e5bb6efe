-- A line that is known already is left alone for a week: saving a visit then locks no row that others save too,
-- and transactions of many visits, as an import, do not wait for one another in a circle.
CREATE OR REPLACE FUNCTION "keen_visit_lines"() RETURNS trigger
LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $$
BEGIN
  INSERT INTO tire_lines (shop_id, key, line, new_depth, at)
  SELECT DISTINCT ON (named.key) new.shop_id, named.key, named.line, named.new_depth, new.arrived_at
  FROM (
    SELECT lower(wheel.value ->> 'line') AS key, wheel.value ->> 'line' AS line,
      (new.draft -> 'tires' -> wheel.key ->> 'newDepth')::float8 AS new_depth
    FROM jsonb_each(new.draft #> '{visit,tires}') AS wheel
    WHERE wheel.value ->> 'line' IS NOT NULL AND new.draft -> 'tires' -> wheel.key ->> 'newDepth' IS NOT NULL
  ) AS named
  WHERE NOT EXISTS (
    SELECT 1 FROM tire_lines AS known
    WHERE known.shop_id = new.shop_id AND known.key = named.key AND (
      known.at > new.arrived_at
      OR (known.line = named.line AND known.new_depth = named.new_depth
        AND known.at > new.arrived_at - interval '7 days'))
  )
  ORDER BY named.key
  ON CONFLICT (shop_id, key) DO UPDATE
    SET line = excluded.line, new_depth = excluded.new_depth, at = excluded.at
    WHERE excluded.at >= tire_lines.at;
  RETURN NULL;
END
$$;
