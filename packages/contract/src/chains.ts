import { z } from 'zod';
import { ANSWERS } from './api.ts';
import { changeSettingsSchema, shopSettingsSchema } from './shopSettings.ts';
import { momentSchema } from './storable.ts';
import { ACTIONS } from './words.ts';

/** Several shops of one house. */

const nameSchema = z.string().trim().min(1).max(80);
/** Of a setting, such as `prices.items.align`. */
const pathSchema = z.string().min(1).max(80);

/** A chain begins with the shop at hand. */
export const newChainSchema = z.strictObject({ name: nameSchema }).meta({ id: 'NewChain' });
export type NewChain = z.infer<typeof newChainSchema>;

/** What a chain's lead settles for all its shops; what is not named stays. */
export const changeChainSchema = z
  .strictObject({
    name: nameSchema,
    settings: changeSettingsSchema,
    /** The same in all shops from now on, as the chain has it. */
    settle: z.array(pathSchema).max(200),
    /** Left to each shop from now on: it goes back to its own. */
    leave: z.array(pathSchema).max(200),
  })
  .partial()
  .meta({ id: 'ChangeChain' });
export type ChangeChain = z.infer<typeof changeChainSchema>;

/** A shop that a chain opens, with the lead who is to run it. */
export const newShopSchema = z
  .strictObject({
    shopId: z.uuid(),
    name: nameSchema,
    town: z.string().trim().max(80),
    leadId: z.uuid(),
    leadName: nameSchema,
    leadEmail: z.email().max(200),
  })
  .meta({ id: 'NewShop' });
export type NewShop = z.infer<typeof newShopSchema>;

/** The link by which a new shop's lead chooses a password; null for who has one already. */
export const openedShopSchema = z
  .strictObject({ link: z.strictObject({ token: z.string(), endsAt: momentSchema }).nullable() })
  .meta({ id: 'OpenedShop' });
export type OpenedShop = z.infer<typeof openedShopSchema>;

/** A sheet of this shop that all shops are to have as it is now. */
export const giveSheetSchema = z.strictObject({ sheetId: z.uuid() }).meta({ id: 'GiveSheet' });

/** Somebody of one of the shops who leads the chain too, or does no longer. */
export const chainLeadSchema = z
  .strictObject({ email: z.email().max(200), leads: z.boolean() })
  .meta({ id: 'ChainLead' });
export type ChainLead = z.infer<typeof chainLeadSchema>;

export const CHAIN_KINDS = [
  'made',
  'renamed',
  'shopOpened',
  'settled',
  'left',
  'leadAdded',
  'leadRemoved',
  'sheetGiven',
] as const;
export type ChainKind = (typeof CHAIN_KINDS)[number];

/** A chain as its leads see it. */
export const chainSchema = z
  .strictObject({
    id: z.uuid(),
    name: z.string(),
    /** What holds in every shop that keeps nothing to itself. */
    settings: shopSettingsSchema,
    /** Paths of what is settled; the rest is left to the shops. */
    settled: z.array(pathSchema),
    leads: z.array(z.strictObject({ name: z.string(), email: z.string(), isSelf: z.boolean() })),
    /** What was changed by whom, latest first. */
    log: z.array(
      z.strictObject({
        kind: z.enum(CHAIN_KINDS),
        by: z.string(),
        /** A name, or the paths of settings. */
        what: z.array(z.string()),
        at: momentSchema,
      }),
    ),
  })
  .meta({ id: 'Chain' });
export type Chain = z.infer<typeof chainSchema>;
export type ChainEvent = Chain['log'][number];

/** How each shop of a chain does: numbers only, and of nobody by name. */
export const chainFiguresSchema = z
  .array(
    z.strictObject({
      shopId: z.uuid(),
      name: z.string(),
      town: z.string(),
      /** Visits begun. */
      visits: z.int(),
      /** Visits decided on, by what was advised, chosen and answered. */
      counts: z.array(
        z.strictObject({
          advised: z.enum(ACTIONS),
          chosen: z.enum(ACTIONS),
          answer: z.enum(ANSWERS),
          count: z.int(),
        }),
      ),
      /** What the shop keeps to itself of what the chain has settled. */
      own: z.array(z.strictObject({ path: pathSchema, by: z.string(), at: momentSchema })),
    }),
  )
  .meta({ id: 'ChainFigures' });
export type ChainFigures = z.infer<typeof chainFiguresSchema>;
export type ShopFigures = ChainFigures[number];

/** A shop takes the chain's values again. */
export const resetToChainSchema = z
  .strictObject({ paths: z.array(pathSchema).min(1).max(200) })
  .meta({ id: 'ResetToChain' });
export type ResetToChain = z.infer<typeof resetToChainSchema>;

/** A code by which a customer takes a car to another shop of the chain; told once. */
export const carCodeSchema = z
  .strictObject({ code: z.string(), endsAt: momentSchema })
  .meta({ id: 'CarCode' });
export type CarCode = z.infer<typeof carCodeSchema>;

/** What became of a car's codes, the latest first. */
export const carCodeListSchema = z
  .array(
    z.strictObject({
      madeAt: momentSchema,
      endsAt: momentSchema,
      /** When and by which shop the car was taken; null as long as it was not. */
      taken: z.strictObject({ at: momentSchema, shop: z.string() }).nullable(),
    }),
  )
  .meta({ id: 'CarCodeList' });
export type CarCodeState = z.infer<typeof carCodeListSchema>[number];

/** A code as the customer reads it out: blanks, dashes and small letters do not matter. */
export const receiveCarSchema = z
  .strictObject({ code: z.string().trim().min(8).max(40) })
  .meta({ id: 'ReceiveCar' });
export type ReceiveCar = z.infer<typeof receiveCarSchema>;

/** The car that came, and how many of its visits. */
export const carReceivedSchema = z
  .strictObject({ carId: z.uuid(), visits: z.int() })
  .meta({ id: 'CarReceived' });
export type CarReceived = z.infer<typeof carReceivedSchema>;
