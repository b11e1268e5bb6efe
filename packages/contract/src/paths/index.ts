import type { ApiPath } from './apiPath.ts';
import { CHAIN_PATHS } from './chain.ts';
import { DEVICES_PATHS } from './devices.ts';
import { GAUGES_PATHS } from './gauges.ts';
import { GARAGE_PATHS } from './garage.ts';
import { INSIGHTS_PATHS } from './insights.ts';
import { PAPERS_PATHS } from './papers.ts';
import { PEOPLE_PATHS } from './people.ts';
import { PRACTICE_PATHS } from './practice.ts';
import { PICTURES_PATHS } from './pictures.ts';
import { PROGRAMS_PATHS } from './programs.ts';
import { SERVER_PATHS } from './server.ts';
import { SESSION_PATHS } from './session.ts';
import { SHOP_PATHS } from './shop.ts';
import { VEHICLES_PATHS } from './vehicles.ts';
import { VISITS_PATHS } from './visits.ts';

/** The whole API; a test walks the mounted routes and finds each of them here. */
export const API_PATHS: readonly ApiPath[] = [
  ...SERVER_PATHS,
  ...SESSION_PATHS,
  ...PEOPLE_PATHS,
  ...VEHICLES_PATHS,
  ...GARAGE_PATHS,
  ...GAUGES_PATHS,
  ...INSIGHTS_PATHS,
  ...PRACTICE_PATHS,
  ...VISITS_PATHS,
  ...PICTURES_PATHS,
  ...PAPERS_PATHS,
  ...SHOP_PATHS,
  ...CHAIN_PATHS,
  ...PROGRAMS_PATHS,
  ...DEVICES_PATHS,
];
