import type { Role } from './words.ts';

/**
 * Who may do what, in one table: the server refuses by it, the screens offer by it, the docs print it.
 * Everybody is held to their own shop before any of this counts.
 */
export const RIGHTS = {
  /** One's own account: who one is, preferences, password, second factor, sessions. */
  ownAccount: ['advisor', 'technician', 'lead'],
  /** Sees visits, cars, sheets, devices, papers. */
  read: ['advisor', 'technician', 'lead'],
  /** Starts visits, enters what is seen and measured, decides, makes papers and links. */
  workOnVisits: ['advisor', 'technician', 'lead'],
  /** Changes what is known of a car and its customer. */
  changeCars: ['advisor', 'technician', 'lead'],
  /** Sets angles and closes the technician's list. */
  setAngles: ['technician', 'lead'],
  /** Specification sheets, and the shims and bolts in stock. */
  editSheets: ['technician', 'lead'],
  /** Lays out gauge studies; the shop's gauges and their records. */
  manageGauges: ['technician', 'lead'],
  /** Takes readings of a gauge study, checks a gauge. */
  checkGauges: ['advisor', 'technician', 'lead'],
  /** Practises on made-up cars; the lead sees those who show how they do. */
  practise: ['advisor', 'technician', 'lead'],
  /** Plays the simulated devices. */
  playDevices: ['advisor', 'technician', 'lead'],
  /** Prices, hours, packages, limits, house rules, papers, logo. */
  changeShop: ['lead'],
  /** Invites, changes roles, suspends, gives new passwords. */
  managePeople: ['lead'],
  /** Takes the whole shop out and brings one in. */
  useArchive: ['lead'],
  /** Gives other programs keys to the shop, and sees what they have diagnosed. */
  manageKeys: ['lead'],
  /** Shows, exports and erases what is stored of one customer. */
  manageCustomers: ['lead'],
  /** What was advised and answered, by person and action. */
  readInsights: ['lead'],
  /** Reads who did what. */
  readAudit: ['lead'],
  /** Sees whether the installation is well: backups, disk, queue, errors, versions. */
  seeSystem: ['lead'],
} as const satisfies Record<string, readonly Role[]>;
export type Right = keyof typeof RIGHTS;

export function roleMay(role: Role, right: Right): boolean {
  return (RIGHTS[right] as readonly Role[]).includes(role);
}

/** Settings that say what is in stock; whoever may change sheets may change these. */
export const STOCK_SETTINGS = ['hubShims', 'hubShimParts', 'armShims', 'offsetBolts'] as const;
