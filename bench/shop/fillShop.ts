import { visitTakes } from '@keen/contract';
import { caseToChanges, createDiagnosisRun, foldEntries, forecastOf } from '@keen/core';
import { simulateCar } from '@keen/simulator';
import type pg from 'pg';
import { checkDerivedRows, deriveRows } from './derivedRows.ts';

/** What a filled shop holds of each thing. */
export const CARS_PER_VISIT = 1 / 3;
export const ENTRIES_PER_VISIT = 20;
export const OPEN_VISITS = 30;
const TEMPLATES = 200;
const AT_ONCE = 50_000;
const BY_TRIGGERS = 20_000;
/** Of so many visits one ends with a decision; its diagnosis is one of a few. */
const VISITS_PER_DECISION = 3;
const DECISION_TEMPLATES = 20;
const DECISION_SWEEPS = 100;

/** An id made from a name in SQL, of the form that the API takes. */
const idOf = (name: string) =>
  `overlay(overlay(md5(${name}) placing '4' from 13) placing '8' from 17)::uuid`;

/** Of so many cars two belong to one customer. */
const CARS_PER_SECOND_CAR = 5;
/** A whole number below `count` for the customer of car `i`, in SQL: another one for each name of a draw. */
const drawn = (name: string, count: number) =>
  `(hashtext('${name}' || (i - (i % ${CARS_PER_SECOND_CAR} = 1)::int)) & 2147483647) % ${count}`;

const SYLLABLES =
  'ba do fen gri hol jun kel lor mav nis ost pel qui ras tov und vel wim yor zan'.split(' ');
const FIRST_NAMES = SYLLABLES.flatMap((a) => SYLLABLES.map((b) => a + b));
const LAST_NAMES = FIRST_NAMES.flatMap((a) => SYLLABLES.map((b) => a + b));
const CARS = ['van', 'estate', 'pickup', 'taxi', 'hatchback', 'minibus', 'saloon', 'camper'];
const COLOURS = [
  'grey',
  'green',
  'white',
  'black',
  'red',
  'blue',
  'yellow',
  'brown',
  'silver',
  'beige',
];
const COMPLAINTS = [
  'It pulls to the left on the motorway',
  'Humming from the rear since winter',
  'The wheel is off centre',
  'Shakes above ninety',
  'One front tire is bald inside',
  'Nothing to complain about, new tires please',
  'Wanders on grooved roads',
  'Squeals round bends',
  'Hit a kerb in spring',
  'Sold with these tires on it',
];

/**
 * Brings a shop up to a number of visits with made-up rows, as the owner of the tables. Drafts are folded
 * from simulated cars. Up to {@link BY_TRIGGERS} visits at once, every derived row comes from the product's own
 * triggers, and is compared with what {@link deriveRows} would make; beyond that, from deriveRows. A visit's
 * entries are {@link ENTRIES_PER_VISIT} of those that its draft was folded from, or all of them, some 50, where
 * a real visit has 30 to 150.
 * @param owner - connection of the owner, a superuser
 */
export async function fillShop(
  owner: pg.Client,
  shopId: string,
  personId: string,
  upTo: number,
  say: (text: string) => void,
  { isWhole = false } = {},
): Promise<void> {
  await makeTemplates(owner, isWhole);
  const { rows } = await owner.query<{ n: number }>(
    'select coalesce(max(number), 0) as n from visits where shop_id = $1',
    [shopId],
  );
  const hasTriggers = upTo - rows[0]!.n <= BY_TRIGGERS;
  for (let from = rows[0]!.n + 1; from <= upTo; from += AT_ONCE) {
    const to = Math.min(upTo, from + AT_ONCE - 1);
    await owner.query('begin');
    await owner.query(
      `insert into vehicles (id, shop_id, plate, plate_key, label, customer, phone, vin, created_at)
       select ${idOf(`'car' || i`)}, $1, plate, replace(plate, ' ', ''), label, customer, phone, vin, date_trunc('second', now()) - make_interval(mins => ${upTo} - i * 3)
       from (
         select i, chr(65 + i % 26) || chr(65 + (i / 26) % 26) || ' ' || (100 + i) as plate,
           ($2::text[])[1 + i % ${COLOURS.length}] || ' ' || ($3::text[])[1 + (i / 7) % ${CARS.length}] as label,
           initcap(($4::text[])[1 + ${drawn('first', FIRST_NAMES.length)}] || ' ' || ($5::text[])[1 + ${drawn('last', LAST_NAMES.length)}]) as customer,
           '0' || (200 + ${drawn('area', 700)}) || ' 555-' || lpad((${drawn('phone', 10_000)})::text, 4, '0') as phone,
           upper(left(translate(md5('vin' || i), 'ioq', '123'), 17)) as vin
         from generate_series($6::int, $7::int) as i) as made
       on conflict do nothing`,
      [
        shopId,
        COLOURS,
        CARS,
        FIRST_NAMES,
        LAST_NAMES,
        Math.ceil(from * CARS_PER_VISIT),
        Math.ceil(to * CARS_PER_VISIT),
      ],
    );
    if (!hasTriggers) await owner.query('set local session_replication_role = replica');
    await owner.query(
      `insert into visits (id, shop_id, vehicle_id, number, arrived_at, closed_at, draft, seq)
       select ${idOf(`'visit' || n`)}, $1, ${idOf(`'car' || greatest(1, ceil((n::bigint * 7919 % $3 + 1) * ${CARS_PER_VISIT}))`)}, n,
         date_trunc('second', now()) - make_interval(mins => ${upTo} - n),
         case when n > $3 - ${OPEN_VISITS} then null else date_trunc('second', now()) end,
         jsonb_set(jsonb_set(draft, '{visit,words}', to_jsonb(($4::text[])[1 + n % ${COMPLAINTS.length}])),
           '{visit,tires,lf,line}', to_jsonb('Line ' || n % 1500)), count + ${isWhole ? 2 : 0}
       from generate_series($2::int, $3::int) as n join templates on templates.i = n % ${TEMPLATES}
       order by n`,
      [shopId, from, to, COMPLAINTS],
    );
    // Foreign keys hold by construction; checking each of millions of rows would take most of the time.
    await owner.query('set local session_replication_role = replica');
    const moment = `date_trunc('second', now())`;
    await owner.query(
      `insert into entries (id, shop_id, visit_id, seq, path, value, person_id, at, created_at)
       select ${idOf(`n || '.' || seq`)}, $1, ${idOf(`'visit' || n`)}, seq, path, value, $2, ${moment}, ${moment}
       from generate_series($3::int, $4::int) as n join template_entries on i = n % ${TEMPLATES}`,
      [shopId, personId, from, to],
    );
    if (isWhole) {
      // What differs from visit to visit, last.
      await owner.query(
        `insert into entries (id, shop_id, visit_id, seq, path, value, person_id, at, created_at)
         select ${idOf(`n || path`)}, $1, ${idOf(`'visit' || n`)}, count + place, path, value, $2, ${moment}, ${moment}
         from generate_series($3::int, $4::int) as n join templates on i = n % ${TEMPLATES},
           lateral (values
             (1, 'visit.words', to_jsonb(($5::text[])[1 + n % ${COMPLAINTS.length}])),
             (2, 'visit.tires.lf.line', to_jsonb('Line ' || n % 1500))
           ) as own (place, path, value)`,
        [shopId, personId, from, to, COMPLAINTS],
      );
    }
    if (hasTriggers) await owner.query('set local session_replication_role = origin');
    await owner.query(
      `insert into decisions (id, shop_id, visit_id, action, advised, replace, answer, reason, diagnosis, forecast, entry_seq, person_id, created_at)
       select ${idOf(`'decision' || n`)}, $1, ${idOf(`'visit' || n`)}, action, action, '[]',
         case when n % 7 = 0 then 'no' else 'yes' end, case when n % 7 = 0 then 'Sells it soon' else '' end,
         diagnosis, forecast, 1, $2, date_trunc('second', now()) - make_interval(mins => $5 - n)
       from generate_series($3::int, $4::int) as n join template_decisions on i = n % ${DECISION_TEMPLATES}
       where n % ${VISITS_PER_DECISION} = 0`,
      [shopId, personId, from, to, upTo],
    );
    // All but the newest have been given back.
    await owner.query(
      `update visits set closed_at = date_trunc('second', now()) where shop_id = $1 and closed_at is null and number <= $2`,
      [shopId, to - OPEN_VISITS],
    );
    await owner.query('commit');
    say(`${to.toLocaleString('en')} visits`);
  }
  if (hasTriggers) await checkDerivedRows(owner);
  else await deriveRows(owner, say);
  say('vacuum');
  await owner.query('vacuum analyze');
}

/** Drafts and entries of simulated cars, copied for every visit. */
async function makeTemplates(owner: pg.Client, isWhole: boolean): Promise<void> {
  await owner.query(
    'create temp table if not exists templates (i int primary key, draft jsonb, count int)',
  );
  await owner.query(
    'create temp table if not exists template_entries (i int, seq int, path text, value jsonb)',
  );
  await owner.query(
    'create temp table if not exists template_decisions (i int, action text, diagnosis jsonb, forecast jsonb)',
  );
  await owner.query('truncate templates, template_entries, template_decisions');
  for (let i = 0; i < DECISION_TEMPLATES; i++) {
    const run = createDiagnosisRun(simulateCar(i + 1).file);
    run.step(DECISION_SWEEPS);
    const { diagnosis } = run.answer();
    await owner.query('insert into template_decisions values ($1, $2, $3, $4)', [
      i,
      diagnosis.recommendation.action,
      JSON.stringify(diagnosis),
      JSON.stringify(
        forecastOf(run.ribsAfter(), {
          action: diagnosis.recommendation.action,
          answer: 'no',
          replace: [],
        }),
      ),
    ]);
  }
  for (let i = 0; i < TEMPLATES; i++) {
    const changes = [...caseToChanges(simulateCar(i + 1).file, visitTakes), ...advisorAdds(i)];
    const at = new Date().toISOString();
    const draft = foldEntries(
      {},
      changes.map((change) => ({ ...change, at })),
    );
    const kept = isWhole ? changes : changes.slice(0, ENTRIES_PER_VISIT);
    await owner.query('insert into templates values ($1, $2, $3)', [
      i,
      JSON.stringify(draft),
      kept.length,
    ]);
    for (const [seq, { path, value }] of kept.entries()) {
      await owner.query('insert into template_entries values ($1, $2, $3, $4)', [
        i,
        seq + 1,
        path,
        JSON.stringify(value),
      ]);
    }
  }
}

/** Who waits, a date code, for two in five what is due later, for one in fifty tires that are stored. */
function advisorAdds(i: number): { path: string; value: unknown }[] {
  const day = new Date(Date.now() + (i - 20) * 86_400_000).toISOString().slice(0, 10);
  const next = [{ what: 'tread', on: day, afterKm: 8_000, state: 'open' }];
  const stored = { place: `Rack ${i}`, count: 4, onRims: true, since: day };
  return [
    { path: 'visit.waits', value: 'counter' },
    { path: 'visit.words', value: 'It pulls' },
    { path: 'visit.tires.lf.dateCode', value: '2423' },
    { path: 'visit.tires.lf.line', value: 'Line' },
    ...(i % 5 < 2 ? [{ path: 'visit.handOver.next', value: next }] : []),
    ...(i % 50 === 0 ? [{ path: 'visit.handOver.stored', value: stored }] : []),
  ];
}
