import * as api from '../api.ts';
import { caseFileSchema } from '../caseFile.ts';
import { diagnosisSchema } from '../diagnosis.ts';
import type { ApiPath } from './apiPath.ts';

/** Visits, their entries and what is worked out of them. */
export const VISITS_PATHS: readonly ApiPath[] = [
  {
    method: 'get',
    path: '/api/visits',
    summary: 'Open visits, or all by words and page by page, latest first',
    query: api.visitsQuerySchema,
    reply: api.visitPageSchema,
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
    reply: api.entriesSavedSchema,
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
];
