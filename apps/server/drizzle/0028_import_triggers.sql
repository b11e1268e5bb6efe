-- Each line is looked up by its key. As a NOT EXISTS the planner read all lines of the shop for every visit saved.
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
  WHERE NOT coalesce((
    SELECT known.at > new.arrived_at
      OR (known.line = named.line AND known.new_depth = named.new_depth
        AND known.at > new.arrived_at - interval '7 days')
    FROM tire_lines AS known
    WHERE known.shop_id = new.shop_id AND known.key = named.key
  ), false)
  ORDER BY named.key
  ON CONFLICT (shop_id, key) DO UPDATE
    SET line = excluded.line, new_depth = excluded.new_depth, at = excluded.at
    WHERE excluded.at >= tire_lines.at;
  RETURN NULL;
END
$$;
--> statement-breakpoint
-- A car is written once, and not at all for a visit older than its latest.
CREATE OR REPLACE FUNCTION "keen_visit_arrived"() RETURNS trigger
LANGUAGE plpgsql SECURITY DEFINER SET search_path = public, pg_temp AS $$
DECLARE
  latest timestamptz;
  new_sizes text;
BEGIN
  SELECT max(arrived_at) INTO latest FROM visits WHERE shop_id = new.shop_id AND vehicle_id = new.vehicle_id;
  IF new.draft -> 'tires' IS NOT NULL AND latest <= new.arrived_at THEN
    new_sizes := keen_tire_sizes(new.draft);
    -- Named only where it changes: the search text of a car is made anew when its sizes are written.
    UPDATE vehicles SET last_visit_at = latest, sizes = new_sizes
    WHERE id = new.vehicle_id AND shop_id = new.shop_id AND sizes IS DISTINCT FROM new_sizes;
    IF FOUND THEN
      RETURN NULL;
    END IF;
  END IF;
  UPDATE vehicles SET last_visit_at = latest
  WHERE id = new.vehicle_id AND shop_id = new.shop_id AND last_visit_at IS DISTINCT FROM latest;
  RETURN NULL;
END
$$;
