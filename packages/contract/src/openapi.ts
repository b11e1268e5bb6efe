import { OpenApiGeneratorV31, OpenAPIRegistry } from '@asteasolutions/zod-to-openapi';
import { z } from 'zod';
import * as api from './api.ts';
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

interface Path {
  method: 'get' | 'post' | 'put' | 'delete';
  path: string;
  summary: string;
  open?: boolean;
  query?: z.ZodObject;
  body?: z.ZodType;
  reply?: z.ZodType;
  replyType?: string;
}

const id = z.strictObject({ id: z.uuid() });
const token = z.strictObject({ token: z.string() });

const PATHS: Path[] = [
  {
    method: 'get',
    path: '/api/health',
    summary: 'Is the database there',
    open: true,
    reply: api.healthSchema,
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
  { method: 'delete', path: '/api/session', summary: 'Sign out' },
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
    method: 'get',
    path: '/api/photos/{id}',
    summary: 'One picture',
    replyType: 'image/jpeg',
  },
  {
    method: 'delete',
    path: '/api/photos/{id}',
    summary: 'Take a picture away',
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
    summary: 'A car arrives',
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
    summary: 'Keep a decision beside the diagnosis',
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
    method: 'post',
    path: '/api/shop/people',
    summary: 'Let a colleague in; for the lead',
    body: api.newPersonSchema,
    reply: api.personSchema,
  },
  {
    method: 'put',
    path: '/api/shop/people/{id}/password',
    summary: 'Give a colleague a new password; for the lead',
    body: api.newPasswordSchema,
  },
  {
    method: 'get',
    path: '/api/shop/logo',
    summary: 'The picture on the papers; PUT takes a PNG or JPEG, DELETE takes it away',
    replyType: 'image/png',
  },
  {
    method: 'get',
    path: '/api/shop/archive',
    summary: 'The whole shop as a zip of open files',
    replyType: 'application/zip',
  },
  {
    method: 'post',
    path: '/api/shop/archive',
    summary: 'Bring such a zip in, sent as application/zip; for the lead',
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

/** The API described as OpenAPI 3.1, made from the schemas that check it. */
export function openApiDocument() {
  const registry = new OpenAPIRegistry();
  registry.registerComponent('securitySchemes', 'session', {
    type: 'apiKey',
    in: 'cookie',
    name: 'keen.sid',
  });
  for (const path of PATHS) registry.registerPath(routeOf(path));
  return new OpenApiGeneratorV31(registry.definitions).generateDocument({
    openapi: '3.1.0',
    info: { title: 'Keen Groove', version: '1' },
  });
}

function routeOf(path: Path): Parameters<OpenAPIRegistry['registerPath']>[0] {
  const content = path.replyType
    ? { [path.replyType]: { schema: z.string() } }
    : path.reply && { 'application/json': { schema: path.reply } };
  return {
    method: path.method,
    path: path.path,
    summary: path.summary,
    ...(path.open ? {} : { security: [{ session: [] }] }),
    request: {
      ...(path.path.includes('{id}') ? { params: id } : {}),
      ...(path.path.includes('{token}') ? { params: token } : {}),
      ...(path.query ? { query: path.query } : {}),
      ...(path.body ? { body: { content: { 'application/json': { schema: path.body } } } } : {}),
    },
    responses: {
      ...(content ? { 200: { description: 'Done', content } } : { 204: { description: 'Done' } }),
      default: {
        description: 'A problem document (RFC 9457)',
        content: { 'application/problem+json': { schema: api.problemSchema } },
      },
    },
  };
}
