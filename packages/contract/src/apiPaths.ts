import { z } from 'zod';
import * as api from './api.ts';
import { auditPageSchema } from './audit.ts';
import { customerRecordSchema } from './customers.ts';
import * as people from './people.ts';
import { caseFileSchema } from './caseFile.ts';
import {
  gaugeStateSchema,
  playGaugeSchema,
  pressGaugeSchema,
  rigReadingSchema,
  rigStateSchema,
} from './devices.ts';
import { LANGUAGES } from './words.ts';
import { readerStateSchema } from './treadPass.ts';
import { diagnosisSchema } from './diagnosis.ts';
import { archiveTakenSchema } from './archive.ts';
import { dueListSchema } from './handOver.ts';
import { newSheetLinkSchema, sharedSheetSchema, sheetLinkListSchema } from './papers.ts';
import { keptSheetListSchema, newSheetsSchema } from './specSheet.ts';

/** A route of the API as it is described outside. */
export interface ApiPath {
  method: 'get' | 'post' | 'put' | 'delete';
  path: string;
  summary: string;
  /** Needs nobody signed in. */
  open?: boolean;
  query?: z.ZodObject;
  body?: z.ZodType;
  /** Of a body that is no JSON. */
  bodyType?: string;
  reply?: z.ZodType;
  /** Of a reply that is no JSON. */
  replyType?: string;
}

/** The whole API; a test walks the mounted routes and finds each of them here. */
export const API_PATHS: readonly ApiPath[] = [
  {
    method: 'get',
    path: '/api/health',
    summary: 'Is the server alive',
    open: true,
    reply: api.healthSchema,
  },
  {
    method: 'get',
    path: '/api/ready',
    summary: 'Is the server ready to work: alive, and with its database',
    open: true,
    reply: api.healthSchema,
  },
  {
    method: 'get',
    path: '/api/openapi.json',
    summary: 'This document',
    open: true,
    replyType: 'application/json',
  },
  {
    method: 'get',
    path: '/api/schema/{name}.json',
    summary:
      'The JSON Schema of an open format: case, diagnosis, specification, angles, tread-pass',
    open: true,
    replyType: 'application/schema+json',
  },
  {
    method: 'get',
    path: '/api/welcome',
    summary: 'Is there a shop, and is it the made-up one',
    open: true,
    reply: api.welcomeSchema,
  },
  {
    method: 'post',
    path: '/api/setup',
    summary: 'The first shop and its lead',
    open: true,
    body: api.setupSchema,
    reply: api.sessionSchema,
  },
  {
    method: 'post',
    path: '/api/session',
    summary: 'Sign in',
    open: true,
    body: api.signInSchema,
    reply: api.sessionSchema,
  },
  {
    method: 'post',
    path: '/api/session/demo',
    summary: 'Sign in as made-up staff',
    open: true,
    body: api.demoSignInSchema,
    reply: api.sessionSchema,
  },
  { method: 'get', path: '/api/session', summary: 'Who is signed in', reply: api.sessionSchema },
  { method: 'delete', path: '/api/session', summary: 'Sign out', open: true },
  {
    method: 'get',
    path: '/api/session/all',
    summary: 'One’s own open sessions',
    reply: people.ownSessionListSchema,
  },
  {
    method: 'delete',
    path: '/api/session/others',
    summary: 'Sign out everywhere else',
  },
  {
    method: 'put',
    path: '/api/session/password',
    summary: 'Change one’s own password; ends one’s other sessions',
    body: people.changePasswordSchema,
  },
  {
    method: 'post',
    path: '/api/session/second-factor',
    summary: 'A new key for a second factor (TOTP); nothing changes until it is confirmed',
    reply: people.newSecondFactorSchema,
  },
  {
    method: 'put',
    path: '/api/session/second-factor',
    summary: 'Turn the second factor on with a first code',
    body: people.confirmSecondFactorSchema,
    reply: people.recoveryCodesSchema,
  },
  {
    method: 'post',
    path: '/api/session/second-factor/off',
    summary: 'Turn the second factor off',
    body: people.ownPasswordSchema,
  },
  {
    method: 'get',
    path: '/api/password-links/{token}',
    summary: 'Whom a password link is for',
    open: true,
    reply: people.passwordLinkOwnerSchema,
  },
  {
    method: 'post',
    path: '/api/password-links/{token}',
    summary: 'Choose a password by a link, which works once',
    open: true,
    body: people.newPasswordSchema,
  },
  {
    method: 'put',
    path: '/api/session/preferences',
    summary: 'Own units, reading order, theme',
    body: api.preferencesSchema,
    reply: api.preferencesSchema,
  },
  {
    method: 'get',
    path: '/api/vehicles',
    summary: 'Cars by plate, label or customer',
    query: z.object({ q: z.string().optional() }),
    reply: api.vehicleListSchema,
  },
  {
    method: 'put',
    path: '/api/vehicles/{id}',
    summary: 'Change what is known of a car and its customer',
    body: api.changeVehicleSchema,
    reply: api.vehicleRecordSchema,
  },
  {
    method: 'get',
    path: '/api/tire-lines',
    summary: 'Depth when new by line of tire, as the shop knows it',
    reply: api.tireLineListSchema,
  },
  {
    method: 'get',
    path: '/api/visits/{id}/photos',
    summary: 'Pictures of a visit',
    reply: api.photoListSchema,
  },
  {
    method: 'put',
    path: '/api/visits/{id}/photos/{photoId}',
    summary: 'Add a picture to a visit',
    query: z.object({ subject: z.string().optional() }),
    bodyType: 'image/jpeg',
    reply: api.photoListSchema,
  },
  {
    method: 'get',
    path: '/api/photos/{id}',
    summary: 'One picture',
    replyType: 'image/jpeg',
  },
  {
    method: 'delete',
    path: '/api/photos/{id}',
    summary: 'Delete a picture',
  },
  {
    method: 'get',
    path: '/api/visits',
    summary: 'Open visits, or all',
    query: z.object({ all: z.enum(['true']).optional() }),
    reply: api.visitListSchema,
  },
  {
    method: 'post',
    path: '/api/visits',
    summary: 'Start a visit',
    body: api.newVisitSchema,
    reply: api.visitSchema,
  },
  {
    method: 'post',
    path: '/api/visits/import',
    summary: 'A visit from a case file',
    body: caseFileSchema,
    reply: api.visitSchema,
  },
  {
    method: 'get',
    path: '/api/visits/{id}',
    summary: 'A visit with its entries, decisions and history',
    reply: api.visitDetailSchema,
  },
  {
    method: 'post',
    path: '/api/visits/{id}/entries',
    summary: 'Append entries; sent twice counts once',
    body: api.newEntriesSchema,
    reply: api.entriesKeptSchema,
  },
  {
    method: 'post',
    path: '/api/visits/{id}/decisions',
    summary: 'Save a decision beside the diagnosis',
    body: api.newDecisionSchema,
    reply: api.decisionSchema,
  },
  {
    method: 'put',
    path: '/api/visits/{id}/closed',
    summary: 'Close or reopen',
    body: api.closeVisitSchema,
    reply: api.visitSchema,
  },
  {
    method: 'get',
    path: '/api/visits/{id}/diagnosis',
    summary: 'The full answer',
    reply: diagnosisSchema,
  },
  {
    method: 'get',
    path: '/api/visits/{id}/case',
    summary: 'The visit as a case file',
    reply: caseFileSchema,
  },
  {
    method: 'get',
    path: '/api/visits/{id}/sheet',
    summary: "The customer's or the technician's sheet",
    query: z.object({
      paper: z.enum(['A4', 'LETTER']).optional(),
      kind: z.enum(['customer', 'technician']).optional(),
      language: z.enum(LANGUAGES).optional(),
    }),
    replyType: 'application/pdf',
  },
  {
    method: 'get',
    path: '/api/visits/{id}/due.ics',
    summary: 'What is due of a visit, for a calendar',
    replyType: 'text/calendar',
  },
  {
    method: 'get',
    path: '/api/visits/{id}/links',
    summary: "Links to the customer's sheet that have not ended",
    reply: sheetLinkListSchema,
  },
  {
    method: 'post',
    path: '/api/visits/{id}/links',
    summary: "A link to the customer's sheet as it is now; asked twice makes one",
    body: newSheetLinkSchema,
    reply: sheetLinkListSchema,
  },
  { method: 'delete', path: '/api/links/{id}', summary: 'End a link' },
  {
    method: 'get',
    path: '/api/shared/{token}',
    summary: 'The sheet behind a link, for whoever has it',
    open: true,
    reply: sharedSheetSchema,
  },
  {
    method: 'get',
    path: '/api/due',
    summary: 'What the cars of the shop are due for, soonest first',
    reply: dueListSchema,
  },
  {
    method: 'get',
    path: '/api/sheets',
    summary: 'Specification sheets of the shop, each in its latest revision',
    reply: keptSheetListSchema,
  },
  {
    method: 'post',
    path: '/api/sheets',
    summary: 'New revisions of sheets, all or none; sent twice counts once',
    body: newSheetsSchema,
    reply: keptSheetListSchema,
  },
  {
    method: 'put',
    path: '/api/shop/settings',
    summary: 'Settle something for everybody; what is not named stays',
    body: api.changeSettingsSchema,
    reply: api.shopSettingsSchema,
  },
  {
    method: 'get',
    path: '/api/shop/people',
    summary: 'The people of the shop',
    reply: people.staffListSchema,
  },
  {
    method: 'post',
    path: '/api/shop/people',
    summary: 'Let a colleague in; without a password they choose one by a link',
    body: people.newPersonSchema,
    reply: people.staffMemberSchema,
  },
  {
    method: 'put',
    path: '/api/shop/people/{id}',
    summary: 'Change name or role, suspend or take back',
    body: people.changePersonSchema,
    reply: people.staffMemberSchema,
  },
  {
    method: 'put',
    path: '/api/shop/people/{id}/password',
    summary: 'Give a colleague a new password',
    body: people.newPasswordSchema,
  },
  {
    method: 'post',
    path: '/api/shop/people/{id}/password-link',
    summary: 'A link by which a colleague chooses a password',
    reply: people.passwordLinkSchema,
  },
  {
    method: 'get',
    path: '/api/shop/audit',
    summary: 'Who did what, latest first',
    query: z.object({ before: z.coerce.number().int().optional() }),
    reply: auditPageSchema,
  },
  {
    method: 'get',
    path: '/api/customers/{carId}',
    summary: 'What is stored of one customer; as a file with export=true',
    query: z.object({ export: z.enum(['true']).optional() }),
    reply: customerRecordSchema,
  },
  {
    method: 'delete',
    path: '/api/customers/{carId}',
    summary: 'Erase a customer; readings stay without a name',
  },
  {
    method: 'get',
    path: '/api/shop/logo',
    summary: 'The picture on the papers',
    replyType: 'image/png',
  },
  {
    method: 'put',
    path: '/api/shop/logo',
    summary: 'Another picture on the papers: PNG or JPEG',
    bodyType: 'image/png',
  },
  { method: 'delete', path: '/api/shop/logo', summary: 'No picture on the papers' },
  {
    method: 'get',
    path: '/api/shop/archive',
    summary: 'The whole shop as a zip of open files',
    replyType: 'application/zip',
  },
  {
    method: 'post',
    path: '/api/shop/archive',
    summary: 'Bring such a zip in',
    bodyType: 'application/zip',
    reply: archiveTakenSchema,
  },
  {
    method: 'get',
    path: '/api/devices/rig',
    summary: 'The simulated rig: the car on it and its faults',
    reply: rigStateSchema,
  },
  {
    method: 'put',
    path: '/api/devices/rig',
    summary: 'Play car and fault on the simulated rig',
    body: rigStateSchema,
    reply: rigStateSchema,
  },
  {
    method: 'get',
    path: '/api/devices/rig/reading',
    summary: 'One look of the simulated rig',
    reply: rigReadingSchema,
  },
  {
    method: 'get',
    path: '/api/devices/gauge',
    summary: 'The simulated depth gauge; it speaks over a WebSocket at /api/devices/gauge/stream',
    reply: gaugeStateSchema,
  },
  {
    method: 'put',
    path: '/api/devices/gauge',
    summary: 'Play battery and fault on the simulated gauge',
    body: playGaugeSchema,
    reply: gaugeStateSchema,
  },
  {
    method: 'post',
    path: '/api/devices/gauge/press',
    summary: 'Set the simulated gauge down and press its trigger',
    body: pressGaugeSchema,
    reply: gaugeStateSchema,
  },
  {
    method: 'get',
    path: '/api/devices/reader',
    summary:
      'The simulated drive-over reader; it speaks over a WebSocket at /api/devices/reader/stream',
    reply: readerStateSchema,
  },
  {
    method: 'put',
    path: '/api/devices/reader',
    summary: 'Play car and fault on the simulated drive-over reader',
    body: readerStateSchema,
    reply: readerStateSchema,
  },
  {
    method: 'post',
    path: '/api/devices/reader/pass',
    summary: 'Send the made-up car over the simulated reader',
    reply: readerStateSchema,
  },
  {
    method: 'get',
    path: '/api/live',
    summary: 'Live changes of the shop, as server-sent events',
    replyType: 'text/event-stream',
  },
];
