import * as gauges from '../gauges.ts';
import type { ApiPath } from './apiPath.ts';

/** Gauge studies, and the shop's gauges with their checks. */
export const GAUGES_PATHS: readonly ApiPath[] = [
  {
    method: 'get',
    path: '/api/gauge-studies',
    summary: 'Gauge studies, latest first, page by page',
    query: gauges.studyQuerySchema,
    reply: gauges.studyPageSchema,
  },
  {
    method: 'post',
    path: '/api/gauge-studies',
    summary: 'Lay out a gauge study; asking twice with one id gives one study',
    body: gauges.newStudySchema,
    reply: gauges.studySchema,
  },
  {
    method: 'get',
    path: '/api/gauge-studies/{id}',
    summary: 'A gauge study with its readings',
    reply: gauges.studySchema,
  },
  {
    method: 'put',
    path: '/api/gauge-studies/{id}/reading',
    summary: 'Keep one reading of a study, or take it away',
    body: gauges.saveStudyReadingSchema,
    reply: gauges.studySchema,
  },
  {
    method: 'put',
    path: '/api/gauge-studies/{id}/closed',
    summary: 'Close a study, or open it again',
    body: gauges.closeStudySchema,
    reply: gauges.studySchema,
  },
  {
    method: 'put',
    path: '/api/gauge-studies/{id}/used',
    summary: 'Let new visits go by the spread that a whole study found',
    reply: gauges.usedSpreadSchema,
  },
  {
    method: 'get',
    path: '/api/instruments',
    summary: 'The shop’s gauges with their latest checks',
    reply: gauges.instrumentListSchema,
  },
  {
    method: 'put',
    path: '/api/instruments/{id}',
    summary: 'Keep a gauge',
    body: gauges.saveInstrumentSchema,
    reply: gauges.instrumentListSchema,
  },
  {
    method: 'post',
    path: '/api/instruments/{id}/checks',
    summary: 'Keep a check of a gauge; asking twice with one id keeps one',
    body: gauges.newCheckSchema,
    reply: gauges.instrumentListSchema,
  },
];
