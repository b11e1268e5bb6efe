import { z } from 'zod';
import { duePageSchema, dueQuerySchema } from '../handOver.ts';
import { newSheetLinkSchema, sharedSheetSchema, sheetLinkListSchema } from '../papers.ts';
import { LANGUAGES } from '../words.ts';
import type { ApiPath } from './apiPath.ts';

/** What the customer is handed, and when they are due again. */
export const PAPERS_PATHS: readonly ApiPath[] = [
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
    summary: 'What the cars of the shop are due for, soonest first and page by page',
    query: dueQuerySchema,
    reply: duePageSchema,
  },
];
