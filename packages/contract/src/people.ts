import { z } from 'zod';
import type { ExpectedReason } from './expectedTexts.ts';
import { ROLES } from './words.ts';
import { momentSchema } from './storable.ts';

/** Long enough that a list of guesses does not get there; more words are better than odd characters. */
export const LEAST_PASSWORD = 10;
const password = z.string().min(LEAST_PASSWORD).max(200);

/** A colleague as the lead sees them. */
export const staffMemberSchema = z
  .strictObject({
    id: z.uuid(),
    name: z.string(),
    email: z.string(),
    role: z.enum(ROLES),
    suspended: z.boolean(),
    /** False until an invitation has been taken up. */
    hasPassword: z.boolean(),
    hasSecondFactor: z.boolean(),
  })
  .meta({ id: 'StaffMember' });
export type StaffMember = z.infer<typeof staffMemberSchema>;
export const staffListSchema = z.array(staffMemberSchema).meta({ id: 'StaffList' });

/** A colleague whom the lead invites; without a password they choose one by a link. */
export const newPersonSchema = z
  .strictObject({
    id: z.uuid(),
    name: z.string().trim().min(1).max(80),
    email: z.email().max(200),
    password: password.optional(),
    role: z.enum(ROLES),
  })
  .meta({ id: 'NewPerson' });
export type NewPerson = z.infer<typeof newPersonSchema>;

/** What a lead changes about a colleague. */
export const changePersonSchema = z
  .strictObject({
    name: z.string().trim().min(1).max(80),
    role: z.enum(ROLES),
    suspended: z.boolean(),
    /** Only ever taken away: its owner sets up a new one. */
    hasSecondFactor: z.literal(false),
  })
  .partial()
  .meta({ id: 'ChangePerson' });
export type ChangePerson = z.infer<typeof changePersonSchema>;

/** A link by which somebody chooses a password, once. */
export const passwordLinkSchema = z
  .strictObject({ token: z.string(), endsAt: momentSchema })
  .meta({ id: 'PasswordLink' });
export type PasswordLink = z.infer<typeof passwordLinkSchema>;

/** Whom a password link is for. */
export const passwordLinkOwnerSchema = z
  .strictObject({ name: z.string(), email: z.string(), shopName: z.string() })
  .meta({ id: 'PasswordLinkOwner' });
export type PasswordLinkOwner = z.infer<typeof passwordLinkOwnerSchema>;

/** A new password: chosen by a link, or given by the lead. */
export const newPasswordSchema = z.strictObject({ password }).meta({ id: 'NewPassword' });
export type NewPassword = z.infer<typeof newPasswordSchema>;

/** One's own new password; the old one is asked for. */
export const changePasswordSchema = z
  .strictObject({ old: z.string().min(1).max(200), password })
  .meta({ id: 'ChangePassword' });
export type ChangePassword = z.infer<typeof changePasswordSchema>;

/** One's own sessions, by what their owner recognises them by. */
export const ownSessionListSchema = z
  .array(
    z.strictObject({
      name: z.string(),
      agent: z.string(),
      address: z.string(),
      since: momentSchema,
      isThis: z.boolean(),
    }),
  )
  .meta({ id: 'OwnSessionList' });
export type OwnSession = z.infer<typeof ownSessionListSchema>[number];

/** The key of a second factor that is being set up, as text and as a QR code to scan. */
export const newSecondFactorSchema = z
  .strictObject({ secret: z.string(), uri: z.string(), qrSvg: z.string() })
  .meta({ id: 'NewSecondFactor' });
export type NewSecondFactor = z.infer<typeof newSecondFactorSchema>;

/** The first code of a new second factor proves that it was set up. */
export const confirmSecondFactorSchema = z
  .strictObject({
    secret: z
      .string()
      .min(16)
      .max(64)
      .regex(/^[A-Z2-7]+$/, 'shownSecret' satisfies ExpectedReason),
    code: z.string().min(6).max(8),
  })
  .meta({ id: 'ConfirmSecondFactor' });
export type ConfirmSecondFactor = z.infer<typeof confirmSecondFactorSchema>;

/** Codes that each let one in once when the second factor is lost; shown once. */
export const recoveryCodesSchema = z
  .strictObject({ codes: z.array(z.string()) })
  .meta({ id: 'RecoveryCodes' });
export type RecoveryCodes = z.infer<typeof recoveryCodesSchema>;

/** Asked again before something that weakens one's own account. */
export const ownPasswordSchema = z
  .strictObject({ password: z.string().min(1).max(200) })
  .meta({ id: 'OwnPassword' });
