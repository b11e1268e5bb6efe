import { z } from 'zod';
import { TOE_UNITS } from './calculators.ts';
import { unitsSchema } from './caseFile.ts';
import { usedSpreadSchema } from './gauges.ts';
import { DEFAULT_PRICES, priceListSchema } from './prices.ts';
import { LANGUAGES } from './words.ts';

/** What each person chooses for themselves, and what a shop settles for everybody in it. */

export const READING_ORDERS = ['walkAround', 'axleByAxle', 'outerFirst'] as const;
export type ReadingOrder = (typeof READING_ORDERS)[number];

export const preferencesSchema = z
  .strictObject({
    units: unitsSchema,
    /** What toe is typed and shown in, where a visit says nothing else. */
    toe: z.enum(TOE_UNITS),
    /** Own order, or the shop's. */
    readingOrder: z.enum(['shop', ...READING_ORDERS]),
    /** Whether each reading is answered by a short tone. */
    sound: z.boolean(),
    theme: z.enum(['system', 'light', 'dark']),
    paper: z.enum(['A4', 'LETTER']),
  })
  .meta({ id: 'Preferences' });
export type Preferences = z.infer<typeof preferencesSchema>;

export const DEFAULT_PREFERENCES: Preferences = {
  units: { depth: 'mm', distance: 'km', pressure: 'kPa' },
  toe: 'deg',
  readingOrder: 'shop',
  sound: true,
  theme: 'system',
  paper: 'A4',
};

const depthLimitSchema = z.number().min(0).max(12);

const yearsSchema = z.number().min(1).max(30);

/** What a shop uses where no law settles it and makers say nothing. */
export const houseRulesSchema = z
  .strictObject({
    /** A new tire beside one lower by this much asks for a pair, mm. */
    pair: z.number().gt(0).max(12),
    /** An all-wheel-drive set differs by no more, mm, unless the car says otherwise. */
    awdMatch: z.number().gt(0).max(12),
    /** Years from the date code after which a tire is looked at closely, and after which it goes. */
    ageLook: yearsSchema,
    ageReplace: yearsSchema,
  })
  .meta({ id: 'HouseRules' });
export type HouseRules = z.infer<typeof houseRulesSchema>;

const monthsSchema = z.int().min(1).max(240).nullable();

/** What a shop has settled for everybody in it. */
export const shopSettingsSchema = z
  .strictObject({
    /** Tapers of full-contact hub shims in stock, degrees. */
    hubShims: z.array(z.number().gt(0).max(5)).max(60),
    /** What a taper is ordered and marked by: part number, index of its template. */
    hubShimParts: z
      .array(
        z.strictObject({
          taper: z.number().gt(0).max(5),
          part: z.string().trim().min(1).max(30),
          template: z.string().trim().max(10),
        }),
      )
      .max(60),
    /** Thicknesses of arm shims in stock, mm. */
    armShims: z.array(z.number().gt(0).max(30)).max(60),
    /** Camber that each offset bolt in stock gives, degrees. */
    offsetBolts: z.array(z.number().gt(0).max(5)).max(60),
    /** The order in which the shop reads the ribs. */
    readingOrder: z.enum(READING_ORDERS),
    prices: priceListSchema,
    /** Depths for new visits, mm: where law ends, and what is advised for wet roads and for snow. */
    limits: z.strictObject({
      legal: depthLimitSchema,
      advise: depthLimitSchema,
      snow: depthLimitSchema,
    }),
    houseRules: houseRulesSchema,
    /** Of one reading of a new visit, as a gauge study found it; null for the usual one. */
    readingSpread: usedSpreadSchema.nullable(),
    /** Wear that returns within this distance after work is a comeback, km. */
    comebackKm: z.number().min(500).max(100_000),
    /** Units for a new colleague; each may choose their own. */
    units: unitsSchema,
    /** Under the shop's name on every paper: address, telephone, one a line. */
    sheetHeader: z.string().trim().max(200),
    /** Whether leads sign in with a second factor. */
    secondFactorForLeads: z.boolean(),
    /** Months after a car's last visit when its customer is erased, and its pictures; null keeps them. */
    retention: z.strictObject({ customerMonths: monthsSchema, photoMonths: monthsSchema }),
    /** A sentence of the shop's own at the end of the customer's sheet, in each language. */
    sheetNote: z.record(z.enum(LANGUAGES), z.string().trim().max(300)),
  })
  .meta({ id: 'ShopSettings' });
export type ShopSettings = z.infer<typeof shopSettingsSchema>;

/** Some of the settings; the others stay as they are. */
export const changeSettingsSchema = shopSettingsSchema.partial().meta({ id: 'ChangeSettings' });
export type ChangeSettings = z.infer<typeof changeSettingsSchema>;

export const DEFAULT_SHOP_SETTINGS: ShopSettings = {
  hubShims: [],
  hubShimParts: [],
  armShims: [],
  offsetBolts: [],
  readingOrder: 'walkAround',
  prices: DEFAULT_PRICES,
  // Legal and advised depths as published; for snow 4 mm (common practice, and law in some places).
  limits: { legal: 1.6, advise: 3, snow: 4 },
  // All four are common practice, no source; 2.4 mm is 3/32 in.
  houseRules: { pair: 1.6, awdMatch: 2.4, ageLook: 6, ageReplace: 10 },
  readingSpread: null,
  // Common practice differs; within this a tread shows it and an alignment should hold.
  comebackKm: 10_000,
  units: DEFAULT_PREFERENCES.units,
  secondFactorForLeads: false,
  retention: { customerMonths: null, photoMonths: null },
  sheetHeader: '',
  sheetNote: { en: '', es: '' },
};
/** Of the picture on the papers. */
export const MOST_LOGO_BYTES = 200_000;
