import 'dayjs/locale/es.js';
export { SPANISH_SCREENS } from '@keen/core/screens/es';
import { account } from './account.ts';
import { angles } from './angles.ts';
import { api } from './api.ts';
import { app } from './app.ts';
import { arrive } from './arrive.ts';
import { bench } from './bench.ts';
import { chain } from './chain.ts';
import { decide } from './decide.ts';
import { devices } from './devices.ts';
import { devicesPage } from './devicesPage.ts';
import { drawing } from './drawing.ts';
import { due } from './due.ts';
import { expected } from './expected.ts';
import { explain } from './explain.ts';
import { floorTools } from './floorTools.ts';
import { garage } from './garage.ts';
import { gauges } from './gauges.ts';
import { handOver } from './handOver.ts';
import { howItWorks } from './howItWorks.ts';
import { insights } from './insights.ts';
import { inspect } from './inspect.ts';
import { meaningTools } from './meaningTools.ts';
import { measure } from './measure.ts';
import { measureTools } from './measureTools.ts';
import { problems } from './problems.ts';
import { practice } from './practice.ts';
import { read } from './read.ts';
import { setRight } from './setRight.ts';
import { settingTools } from './settingTools.ts';
import { shared } from './shared.ts';
import { sharedSheet } from './sharedSheet.ts';
import { sheets } from './sheets.ts';
import { shop } from './shop.ts';
import { signIn } from './signIn.ts';
import { system } from './system.ts';
import { terms } from './terms.ts';
import { today } from './today.ts';
import { tools } from './tools.ts';
import { turnTools } from './turnTools.ts';
import { visit } from './visit.ts';
import { wearLab } from './wearLab.ts';

/** The app in Spanish, room by room. */
export const SPANISH = {
  account,
  angles,
  api,
  app,
  arrive,
  bench,
  chain,
  decide,
  devices,
  devicesPage,
  drawing,
  due,
  expected,
  explain,
  floorTools,
  garage,
  gauges,
  handOver,
  howItWorks,
  insights,
  inspect,
  meaningTools,
  measure,
  measureTools,
  practice,
  problems,
  read,
  setRight,
  settingTools,
  shared,
  sharedSheet,
  sheets,
  shop,
  signIn,
  system,
  terms,
  today,
  tools,
  turnTools,
  visit,
  wearLab,
};
