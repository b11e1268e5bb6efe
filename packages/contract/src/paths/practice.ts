import * as practice from '../practice.ts';
import type { ApiPath } from './apiPath.ts';

/** Made-up cars to practise on. */
export const PRACTICE_PATHS: readonly ApiPath[] = [
  {
    method: 'get',
    path: '/api/practice',
    summary: 'One’s own practice cars and progress; for the lead that of those who show it',
    reply: practice.practiceBoardSchema,
  },
  {
    method: 'post',
    path: '/api/practice/cars',
    summary: 'Deal a car; asking twice with one id, or for one car twice, gives one',
    body: practice.newPracticeSchema,
    reply: practice.practiceCarSchema,
  },
  {
    method: 'get',
    path: '/api/practice/cars/{id}',
    summary: 'A practice car as far as it has been looked at',
    reply: practice.practiceCarSchema,
  },
  {
    method: 'post',
    path: '/api/practice/cars/{id}/gauge',
    summary: 'Set the gauge down at a rib',
    body: practice.practiceReadingSchema,
    reply: practice.practiceGaugeSchema,
  },
  {
    method: 'post',
    path: '/api/practice/cars/{id}/entries',
    summary: 'Note what was read and felt',
    body: practice.practiceEntriesSchema,
    reply: practice.practiceCarSchema,
  },
  {
    method: 'post',
    path: '/api/practice/cars/{id}/checks',
    summary: 'Make a check that costs time and money',
    body: practice.practiceCheckSchema,
    reply: practice.practiceCarSchema,
  },
  {
    method: 'post',
    path: '/api/practice/cars/{id}/answer',
    summary: 'Answer and see the truth',
    body: practice.practiceAnswerSchema,
    reply: practice.practiceCarSchema,
  },
  {
    method: 'post',
    path: '/api/practice/drills',
    summary: 'Deal a bench drill; asking twice with one id gives one',
    body: practice.newDrillSchema,
    reply: practice.drillSchema,
  },
  {
    method: 'get',
    path: '/api/practice/drills/{id}',
    summary: 'A bench drill as far as it has been answered',
    reply: practice.drillSchema,
  },
  {
    method: 'post',
    path: '/api/practice/drills/{id}/answers',
    summary: 'Answer a question of a drill, and be told; the first answer counts',
    body: practice.drillAnswerSchema,
    reply: practice.drillSchema,
  },
  {
    method: 'put',
    path: '/api/practice/shown',
    summary: 'Show one’s progress to the lead, or no longer',
    body: practice.showPracticeSchema,
    reply: practice.practiceBoardSchema,
  },
];
