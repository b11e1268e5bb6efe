import { z } from 'zod';
import { wheelSchema } from './caseFile.ts';
import { diagnosisSchema } from './diagnosis.ts';
import { expectationFields } from './expectationFields.ts';
import type { ExpectedReason } from './expectedTexts.ts';
import { preferencesSchema, shopSettingsSchema } from './shopSettings.ts';
import { shopChainSchema } from './shopChain.ts';
import { visitDraftSchema } from './visit/draft.ts';
import { entrySchema, storedEntrySchema } from './visit/entries.ts';
import { ACTIONS, DRIVES, ROLES, WAITS } from './words.ts';
import { momentSchema, rowNumberSchema } from './storable.ts';

/** What the web app and the server say to each other; the same schema checks both ends. */

export const personSchema = z
  .strictObject({
    id: z.uuid(),
    name: z.string(),
    role: z.enum(ROLES),
    /** Left the shop, or may not sign in for now; what they did keeps their name. */
    suspended: z.boolean().optional(),
  })
  .meta({ id: 'Person' });
export type Person = z.infer<typeof personSchema>;

/** The demo shop's made-up past, which is made while the shop is open. */
export const madeUpYearsSchema = z
  .strictObject({
    /** Cars in all; none where nothing is made up. */
    cars: rowNumberSchema,
    /** Of them are there with all their visits. */
    made: rowNumberSchema,
    /** Some of it was given up; it is tried again at the next start. */
    brokeOff: z.boolean(),
  })
  .meta({ id: 'MadeUpYears' });
export type MadeUpYears = z.infer<typeof madeUpYearsSchema>;

export const sessionSchema = z
  .strictObject({
    person: personSchema,
    shop: z.strictObject({
      id: z.uuid(),
      name: z.string(),
      town: z.string(),
      isDemo: z.boolean(),
      /** Whether there is a logo to print. */
      hasLogo: z.boolean(),
      settings: shopSettingsSchema,
      /** Null for a shop on its own. */
      chain: shopChainSchema.nullable(),
    }),
    /** Where this person may work, this shop among them; more than one where they may change. */
    shops: z.array(
      z.strictObject({
        id: z.uuid(),
        name: z.string(),
        town: z.string(),
        role: z.enum(ROLES),
      }),
    ),
    people: z.array(personSchema),
    preferences: preferencesSchema,
    account: z.strictObject({
      hasPassword: z.boolean(),
      hasSecondFactor: z.boolean(),
      /** The shop asks leads for a second factor, and this one has none yet: nothing else goes on. */
      mustSetUpSecondFactor: z.boolean(),
    }),
  })
  .meta({ id: 'Session' });
export type Session = z.infer<typeof sessionSchema>;

export const signInSchema = z
  .strictObject({
    email: z.email().max(200),
    password: z.string().min(1).max(200),
    /** Of the second factor, or one of its recovery codes. */
    code: z.string().trim().max(40).optional(),
  })
  .meta({ id: 'SignIn' });
export type SignIn = z.infer<typeof signInSchema>;

/** Another of one's own shops to go on in. */
export const changeShopSchema = z.strictObject({ shopId: z.uuid() }).meta({ id: 'ChangeShop' });
export type ChangeShop = z.infer<typeof changeShopSchema>;

export const demoSignInSchema = z.strictObject({ personId: z.uuid() }).meta({ id: 'DemoSignIn' });

/** What the front door needs to know: whether a shop exists, and whether it is the made-up one. */
export const welcomeSchema = z
  .strictObject({
    needsSetup: z.boolean(),
    /** The made-up staff offered for one-press sign-in; null unless demo data is loaded. */
    demo: z.strictObject({ shopName: z.string(), people: z.array(personSchema) }).nullable(),
  })
  .meta({ id: 'Welcome' });
export type Welcome = z.infer<typeof welcomeSchema>;

/** The first start of an empty installation: the shop and its lead. */
export const setupSchema = z
  .strictObject({
    shopName: z.string().trim().min(1).max(80),
    town: z.string().trim().max(80),
    name: z.string().trim().min(1).max(80),
    email: z.email().max(200),
    password: z.string().min(10).max(200),
  })
  .meta({ id: 'Setup' });
export type Setup = z.infer<typeof setupSchema>;

const plate = z.string().trim().min(1).max(15);
export const vehicleRecordSchema = z
  .strictObject({
    id: z.uuid(),
    plate: z.string(),
    label: z.string(),
    customer: z.string(),
    phone: z.string(),
    vin: z.string(),
    drive: z.enum(DRIVES).nullable(),
  })
  .meta({ id: 'Vehicle' });
export type VehicleRecord = z.infer<typeof vehicleRecordSchema>;

const phone = z
  .string()
  .trim()
  .max(30)
  .regex(/^[+()\d\s/.-]*$/, 'telephone' satisfies ExpectedReason);
const vin = z
  .string()
  .trim()
  .max(17)
  .regex(/^[0-9A-HJ-NPR-Z]*$/, 'vinLetters' satisfies ExpectedReason);
export const newVehicleSchema = z.strictObject({
  id: z.uuid(),
  plate,
  label: z.string().trim().max(120),
  customer: z.string().trim().max(120),
  phone: phone.optional(),
  vin: vin.optional(),
});
export type NewVehicle = z.infer<typeof newVehicleSchema>;

/** What may be changed about a car and its customer later. */
export const changeVehicleSchema = z
  .strictObject({
    plate,
    label: z.string().trim().max(120),
    customer: z.string().trim().max(120),
    phone,
    vin,
  })
  .partial()
  .meta({ id: 'ChangeVehicle' });
export type ChangeVehicle = z.infer<typeof changeVehicleSchema>;

/** Depth when new of a line of tires, as this shop entered it last. */
export const tireLineListSchema = z
  .array(z.strictObject({ line: z.string(), newDepth: z.number() }))
  .meta({ id: 'TireLineList' });
export type TireLine = z.infer<typeof tireLineListSchema>[number];

/** A picture of a visit; the picture itself is fetched by its id. */
export const photoSchema = z
  .strictObject({
    id: z.uuid(),
    /** What it shows: a part at a wheel, or a tire. */
    subject: z.string().max(80),
    bytes: z.int(),
    personId: z.uuid(),
    at: momentSchema,
  })
  .meta({ id: 'Photo' });
export type Photo = z.infer<typeof photoSchema>;
export const photoListSchema = z.array(photoSchema).meta({ id: 'PhotoList' });
export const MOST_PHOTO_BYTES = 4_000_000;
export const MOST_PHOTOS = 40;

/** A new visit names a car we know, or brings a new one along. */
export const newVisitSchema = z
  .strictObject({
    id: z.uuid(),
    vehicle: z.union([z.strictObject({ id: z.uuid() }), newVehicleSchema]),
    entries: z.array(entrySchema).max(200),
  })
  .meta({ id: 'NewVisit' });
export type NewVisit = z.infer<typeof newVisitSchema>;

export const ANSWERS = ['yes', 'no', 'open'] as const;

/** What the advisor decides; a reason is demanded when it is not what was recommended. */
export const newDecisionSchema = z
  .strictObject({
    id: z.uuid(),
    action: z.enum(ACTIONS),
    replace: z.array(wheelSchema).max(4),
    answer: z.enum(ANSWERS),
    reason: z.string().trim().max(500),
  })
  .meta({ id: 'NewDecision' });
export type NewDecision = z.infer<typeof newDecisionSchema>;

export const decisionSchema = z
  .strictObject({
    id: z.uuid(),
    action: z.enum(ACTIONS),
    replace: z.array(wheelSchema),
    answer: z.enum(ANSWERS),
    reason: z.string(),
    /** What was advised at that moment, at the shop's prices. */
    advised: z.enum(ACTIONS).nullable(),
    /** The diagnosis of that moment, kept beside what was chosen. */
    diagnosis: diagnosisSchema,
    /** Number of the last entry that the diagnosis knew. */
    entrySeq: rowNumberSchema,
    personId: z.uuid(),
    at: momentSchema,
  })
  .meta({ id: 'Decision' });
export type Decision = z.infer<typeof decisionSchema>;

export const visitSchema = z
  .strictObject({
    id: z.uuid(),
    number: rowNumberSchema,
    vehicle: vehicleRecordSchema,
    arrivedAt: momentSchema,
    closedAt: momentSchema.nullable(),
    draft: visitDraftSchema,
    /** Number of the last entry folded into the draft. */
    seq: rowNumberSchema,
    waits: z.enum(WAITS).nullable(),
    decision: decisionSchema.omit({ diagnosis: true }).nullable(),
  })
  .meta({ id: 'Visit' });
export type Visit = z.infer<typeof visitSchema>;

export const visitDetailSchema = z
  .strictObject({
    visit: visitSchema,
    entries: z.array(storedEntrySchema),
    decisions: z.array(decisionSchema),
    /** Earlier visits of the same car, latest first. */
    history: z.array(visitSchema),
  })
  .meta({ id: 'VisitDetail' });
export type VisitDetail = z.infer<typeof visitDetailSchema>;

/** Which of the shop's visits are asked for. */
export const visitsQuerySchema = z.object({
  /** All visits instead of those that have not been closed. */
  all: z.enum(['true']).optional(),
  /** Of all visits those that fit every word: plate, car, customer, telephone, VIN, complaint, #number. */
  words: z.string().trim().max(100).optional(),
  /** The page that comes before this visit's number; only of all visits. */
  before: z.coerce.number().pipe(rowNumberSchema).optional(),
});

/** Some of the shop's visits, latest first. */
export const visitPageSchema = z
  .strictObject({
    visits: z.array(visitSchema),
    /** Number of the visit that the next page comes before; null on the last page. */
    before: rowNumberSchema.nullable(),
  })
  .meta({ id: 'VisitPage' });
export type VisitPage = z.infer<typeof visitPageSchema>;

export const vehicleListSchema = z.array(vehicleRecordSchema).meta({ id: 'VehicleList' });

export const newEntriesSchema = z
  .strictObject({ entries: z.array(entrySchema).min(1).max(500) })
  .meta({ id: 'NewEntries' });
export const entriesSavedSchema = z
  .strictObject({ entries: z.array(storedEntrySchema), seq: rowNumberSchema })
  .meta({ id: 'EntriesSaved' });
export type EntriesSaved = z.infer<typeof entriesSavedSchema>;

export const closeVisitSchema = z.strictObject({ closed: z.boolean() }).meta({ id: 'CloseVisit' });

/** What a live stream tells: new entries of a visit, or that something else about it changed. */
/** How long ago the page asked for what it shows, ms: what changed since then it does not have. */
export const liveQuerySchema = z.strictObject({
  shownForMs: z.coerce.number().int().min(0).max(600_000).optional(),
});

export const liveEventSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('entries'),
    visitId: z.uuid(),
    entries: z.array(storedEntrySchema),
  }),
  z.strictObject({ kind: z.literal('visit'), visit: visitSchema }),
  z.strictObject({ kind: z.literal('sheets') }),
  z.strictObject({ kind: z.literal('settings') }),
  /** A gauge study, a gauge, or a check of one. */
  z.strictObject({ kind: z.literal('gauges') }),
  /** A run that learns the shop's constants moved on, or other ones are in use. */
  z.strictObject({ kind: z.literal('learning') }),
  /** How far the making or taking in of an archive is; none of none once it is over. */
  z.strictObject({
    kind: z.literal('archive'),
    way: z.enum(['in', 'out']),
    done: rowNumberSchema,
    total: rowNumberSchema,
  }),
  /** Changes may have been missed: what is shown must be fetched again. */
  z.strictObject({ kind: z.literal('missed') }),
]);
export type LiveEvent = z.infer<typeof liveEventSchema>;

/** RFC 9457 problem document; `errors` point at fields. */
export const problemSchema = z
  .object({
    type: z.string(),
    title: z.string(),
    status: z.int(),
    detail: z.string().optional(),
    code: z.string(),
    /** What the title says, by name, and what stands in it. */
    reason: z.string().optional(),
    values: z.record(z.string(), z.union([z.string(), z.number()])).optional(),
    /** Of the request, as the log has it. */
    requestId: z.string().optional(),
    errors: z.array(z.object({ path: z.string(), ...expectationFields })).optional(),
  })
  .meta({ id: 'Problem' });
export type Problem = z.infer<typeof problemSchema>;

export const healthSchema = z.strictObject({ status: z.literal('ok') }).meta({ id: 'Health' });
