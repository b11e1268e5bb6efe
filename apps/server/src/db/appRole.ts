import type pg from 'pg';

/** What the app's role may do with each table; everything else it may not. */
const GRANTS: Record<string, string> = {
  shops: 'select, insert, update',
  people: 'select, insert, update',
  accounts: 'select, update',
  // Written by functions of the owner only.
  chains: 'select',
  chain_leads: 'select',
  chain_log: 'select',
  chain_sheets: 'select',
  car_codes: 'select, insert, delete',
  vehicles: 'select, insert, update',
  visits: 'select, insert, update',
  car_merges: 'select, insert, update',
  customer_merges: 'select, insert, update',
  gauge_studies: 'select, insert, update',
  study_readings: 'select, insert, update, delete',
  instruments: 'select, insert, update',
  learning_runs: 'select, insert, update',
  learning_evidence: 'select, insert, delete',
  api_keys: 'select, insert, update',
  batches: 'select, insert, update, delete',
  batch_cases: 'select, insert, update, delete',
  practice_deals: 'select, insert',
  practice_drills: 'select, insert, update',
  practice_tries: 'select, insert, update',
  // Derived from the visits by triggers.
  advice_days: 'select',
  visit_search: 'select',
  reminders: 'select',
  tire_lines: 'select',
  stored_tires: 'select',
  // Appended, never changed.
  entries: 'select, insert',
  decisions: 'select, insert',
  spec_sheets: 'select, insert',
  audit_log: 'select, insert',
  instrument_checks: 'select, insert',
  photos: 'select, insert, delete',
  sheet_links: 'select, insert, delete',
  shop_logos: 'select, insert, update, delete',
  password_links: 'select, insert, update, delete',
  session: 'select, insert, update, delete',
  sign_in_tries: 'select, insert, delete',
  secrets: 'select, insert',
};
const SEQUENCES = ['audit_log_id_seq', 'sign_in_tries_id_seq'];
const FUNCTIONS = [
  'keen_front_door()',
  'keen_sign_in(text)',
  'keen_demo_person(uuid)',
  'keen_places(uuid)',
  'keen_join(text, text)',
  'keen_make_chain(uuid, text, jsonb)',
  'keen_open_shop(uuid, uuid, text, text)',
  'keen_lock_chain(uuid)',
  'keen_settle(uuid, text, jsonb, jsonb, jsonb)',
  'keen_chain_lead(uuid, text, boolean)',
  'keen_chain_leads(uuid)',
  'keen_give_sheet(uuid, uuid)',
  'keen_share(uuid)',
  'keen_works_elsewhere(uuid)',
  'keen_chain_figures(uuid, date, date)',
  'keen_use_car_code(text)',
  'keen_password_link(text)',
  'keen_shared_sheet(text)',
  'keen_shop_ids()',
  'keen_learning_runs()',
  'keen_api_key(text)',
  'keen_erase_customer(uuid, text[])',
  'keen_find_visits(text, integer, integer)',
  'keen_find_cars(text, integer)',
  'keen_plain(text)',
];

/** Where the queue of work has its tables; they hold ids of shops and of work, never what anybody typed. */
export const QUEUE_SCHEMA = 'keen_jobs';

/**
 * Gives the app's role just what it needs, again at each start, so that a table added by a migration is
 * out of its reach until it stands in the list above. Runs as the owner.
 * @param role - name of the role that the app connects as
 */
export async function grantToApp(owner: pg.ClientBase, role: string): Promise<void> {
  const to = owner.escapeIdentifier(role);
  const statements = [
    `revoke all on all tables in schema public from ${to}`,
    `grant usage on schema public to ${to}`,
    ...Object.entries(GRANTS).map(([table, rights]) => `grant ${rights} on ${table} to ${to}`),
    ...SEQUENCES.map((sequence) => `grant usage on sequence ${sequence} to ${to}`),
    ...FUNCTIONS.map((name) => `grant execute on function ${name} to ${to}`),
    `grant usage on schema ${QUEUE_SCHEMA} to ${to}`,
    `grant select, insert, update, delete on all tables in schema ${QUEUE_SCHEMA} to ${to}`,
  ];
  // All at once: a server that is running loses nothing in between.
  await owner.query('begin');
  for (const statement of statements) await owner.query(statement);
  await owner.query('commit');
}

/** How the wall stands between the app and the rows of other shops. */
export type Wall = 'rowSecurity' | 'queriesOnly';

/** Whether row security holds for the role that is connected: it does not for owners and superusers. */
export async function wallOf(pool: pg.Pool): Promise<Wall> {
  const { rows } = await pool.query<{ holds: boolean }>(
    `select row_security_active('entries') and row_security_active('people') as holds`,
  );
  return rows[0]?.holds ? 'rowSecurity' : 'queriesOnly';
}
