import * as insights from '../insights.ts';
import * as learning from '../learning.ts';
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
    path: '/api/insights/reliability',
    summary: 'How the chances said of camber and toe held where the angles were measured later',
    query: insights.insightQuerySchema,
    reply: insights.reliabilitySchema,
  },
  {
    method: 'get',
    path: '/api/insights/comebacks',
    summary:
      'Work that came undone within the shop’s distance, and the visit that could have caught it',
    query: insights.insightQuerySchema,
    reply: insights.comebacksSchema,
  },
  {
    method: 'get',
    path: '/api/insights/forecasts',
    summary: 'How the depths that were forecast of tires held by the next visit',
    query: insights.insightQuerySchema,
    reply: insights.forecastsHeldSchema,
  },
  {
    method: 'get',
    path: '/api/insights/decline-costs',
    summary: 'What saying no has cost customers whose cars were judged again',
    query: insights.insightQuerySchema,
    reply: insights.declineCostsSchema,
  },
  {
    method: 'get',
    path: '/api/insights/declined',
    summary: 'Visits whose customer said no, latest first, page by page',
    query: insights.declinedQuerySchema,
    reply: insights.declinedPageSchema,
  },
  {
    method: 'get',
    path: '/api/insights/learning',
    summary: 'Runs that learned the constants of the diagnosis from the shop’s own cars',
    reply: learning.learningSchema,
  },
  {
    method: 'post',
    path: '/api/insights/learning',
    summary: 'Starts a run; one at a time',
    body: learning.newLearningRunSchema,
    reply: learning.learningSchema,
  },
  {
    method: 'put',
    path: '/api/insights/learning/used',
    summary: 'Which run new visits go by; visits that have begun stay as they are',
    body: learning.useLearnedSchema,
    reply: learning.learningSchema,
  },
  {
    method: 'put',
    path: '/api/insights/learning/{id}',
    summary: 'Stops a run, or goes on with it where it stopped',
    body: learning.changeLearningRunSchema,
    reply: learning.learningSchema,
  },
];
