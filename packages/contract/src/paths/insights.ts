import * as insights from '../insights.ts';
import type { ApiPath } from './apiPath.ts';

/** What the shop's own work teaches. */
export const INSIGHTS_PATHS: readonly ApiPath[] = [
  {
    method: 'get',
    path: '/api/insights/advice',
    summary: 'What was advised and answered between two days, counted by person, action and answer',
    query: insights.insightQuerySchema,
    reply: insights.adviceSchema,
  },
  {
    method: 'get',
    path: '/api/insights/declined',
    summary: 'Visits whose customer said no, latest first, page by page',
    query: insights.declinedQuerySchema,
    reply: insights.declinedPageSchema,
  },
];
