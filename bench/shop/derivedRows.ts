import type pg from 'pg';

/**
 * What the product's triggers derive from visits, row by row, as one query a table: for filling a shop with
 * more visits than triggers could be waited for. {@link checkDerivedRows} holds them to the triggers.
 */
const QUERIES = {
  visit_search: `select visits.id as visit_id, visits.shop_id, visits.arrived_at, visits.number,
      keen_visit_text(vehicles.search, visits.number, visits.draft) as text
    from visits join vehicles on vehicles.id = visits.vehicle_id`,
  reminders: `select latest.id as visit_id, (listed.place - 1)::int as place, latest.shop_id, latest.vehicle_id, latest.number,
      (listed.reminder ->> 'on')::date as due_on, listed.reminder
    from (
      select distinct on (vehicle_id) id, shop_id, vehicle_id, number, draft #> '{visit,handOver,next}' as next from visits
      where jsonb_array_length(draft #> '{visit,handOver,next}') > 0
      order by vehicle_id, arrived_at desc, number desc
    ) as latest, jsonb_array_elements(latest.next) with ordinality as listed (reminder, place)
    where listed.reminder ->> 'state' = 'open'`,
  stored_tires: `select latest.vehicle_id, latest.shop_id, latest.id as visit_id, (latest.stored ->> 'since')::date as since, latest.stored
    from (
      select distinct on (vehicle_id) vehicle_id, shop_id, id, draft #> '{visit,handOver,stored}' as stored from visits
      order by vehicle_id, arrived_at desc, number desc
    ) as latest
    where jsonb_typeof(latest.stored) = 'object'`,
  advice_days: `select shop_id, (created_at at time zone 'UTC')::date as day, person_id, coalesce(advised, action) as advised,
      action as chosen, answer, count(*)::int as count
    from (select distinct on (visit_id) * from decisions order by visit_id, created_at desc, id desc) as last
    group by 1, 2, 3, 4, 5, 6`,
  tire_lines: `select distinct on (visits.shop_id, lower(wheel.value ->> 'line')) visits.shop_id, lower(wheel.value ->> 'line') as key,
      wheel.value ->> 'line' as line, (visits.draft -> 'tires' -> wheel.key ->> 'newDepth')::float8 as new_depth, visits.arrived_at as at
    from visits, jsonb_each(visits.draft #> '{visit,tires}') as wheel
    where wheel.value ->> 'line' is not null and visits.draft -> 'tires' -> wheel.key ->> 'newDepth' is not null
    order by visits.shop_id, lower(wheel.value ->> 'line'), visits.arrived_at desc`,
} as const;

/** Of each car: when it was here last, and the sizes of its tires. */
const LATEST = `select distinct on (vehicle_id) vehicle_id, arrived_at, keen_tire_sizes(draft) as sizes
  from visits order by vehicle_id, arrived_at desc, number desc`;

/** A line that is seen again within a week keeps its day. */
const COMPARED: Record<keyof typeof QUERIES, string> = {
  visit_search: 'visit_id, shop_id, arrived_at, number, text',
  reminders: 'visit_id, place, shop_id, vehicle_id, number, due_on, reminder',
  stored_tires: 'vehicle_id, shop_id, visit_id, since, stored',
  advice_days: 'shop_id, day, person_id, advised, chosen, answer, count',
  tire_lines: 'shop_id, key, line, new_depth',
};

/** Compares what the triggers made with what the queries would make. @throws where they differ */
export async function checkDerivedRows(owner: pg.Client): Promise<void> {
  const differences = Object.entries(QUERIES).map(([table, query]) => {
    const columns = COMPARED[table as keyof typeof QUERIES];
    const [made, derived] = [
      `select ${columns} from ${table}`,
      `select ${columns} from (${query}) as derived`,
    ];
    return [table, `((${made}) except (${derived})) union all ((${derived}) except (${made}))`];
  });
  differences.push([
    'vehicles',
    `select 1 from vehicles join (${LATEST}) as latest on latest.vehicle_id = vehicles.id
     where (last_visit_at, vehicles.sizes) is distinct from (latest.arrived_at, latest.sizes)`,
  ]);
  for (const [table, query] of differences) {
    const { rows } = await owner.query<{ n: number }>(
      `select count(*)::int as n from (${query}) as differing`,
    );
    if (rows[0]!.n > 0) throw new Error(`${table}: ${rows[0]!.n} rows are not as derived`);
  }
}

/**
 * Fills the derived tables again from all visits, the indexes of words built at the end as any bulk load does.
 * @param owner - connection of the owner, a superuser
 */
export async function deriveRows(owner: pg.Client, say: (text: string) => void): Promise<void> {
  const { rows: indexes } = await owner.query<{ indexname: string; indexdef: string }>(
    `select indexname, indexdef from pg_indexes where schemaname = 'public' and indexdef like '%USING gin%'`,
  );
  for (const { indexname } of indexes) await owner.query(`drop index ${indexname}`);
  await owner.query('begin');
  say('cars');
  // The words of a visit follow its car's: they are made below, all at once.
  await owner.query('alter table vehicles disable trigger vehicles_renamed');
  await owner.query(
    `update vehicles set last_visit_at = latest.arrived_at, sizes = latest.sizes
     from (${LATEST}) as latest where latest.vehicle_id = vehicles.id`,
  );
  await owner.query('alter table vehicles enable trigger vehicles_renamed');
  await owner.query('set local session_replication_role = replica');
  for (const [table, query] of Object.entries(QUERIES)) {
    say(table);
    await owner.query(`truncate ${table}`);
    await owner.query(
      `insert into ${table} (${COMPARED[table as keyof typeof QUERIES]}${table === 'tire_lines' ? ', at' : ''})
       select ${COMPARED[table as keyof typeof QUERIES]}${table === 'tire_lines' ? ', at' : ''} from (${query}) as derived`,
    );
  }
  await owner.query('commit');
  for (const { indexname, indexdef } of indexes) {
    say(indexname);
    await owner.query(indexdef);
  }
}
