import { declinedQuerySchema, insightQuerySchema } from '@keen/contract';
import type { Routes } from '../../http/routes.ts';
import { validQuery } from '../../http/validate.ts';
import { adviceCounts } from './adviceCounts.ts';
import { chancesHeld } from './chancesHeld.ts';
import { readComebacks } from './readComebacks.ts';
import { readForecasts } from './readForecasts.ts';
import { declineCostsOf, declinedPage } from './readDeclines.ts';

/** What the shop's own work teaches its lead. */
export function mountInsights(routes: Routes): void {
  routes.on('get', '/insights/advice', 'readInsights', async ({ req, res, actor, look }) => {
    const query = validQuery(insightQuerySchema, req);
    res.json(await look((tx) => adviceCounts(tx, actor.shopId, query)));
  });
  routes.on('get', '/insights/reliability', 'readInsights', async ({ req, res, actor, look }) => {
    const query = validQuery(insightQuerySchema, req);
    res.json(await look((tx) => chancesHeld(tx, actor.shopId, query)));
  });
  routes.on('get', '/insights/comebacks', 'readInsights', async ({ req, res, actor, look }) => {
    const query = validQuery(insightQuerySchema, req);
    res.json(await look((tx) => readComebacks(tx, actor.shopId, query)));
  });
  routes.on('get', '/insights/forecasts', 'readInsights', async ({ req, res, actor, look }) => {
    const query = validQuery(insightQuerySchema, req);
    res.json(await look((tx) => readForecasts(tx, actor.shopId, query)));
  });
  routes.on('get', '/insights/decline-costs', 'readInsights', async ({ req, res, actor, look }) => {
    const query = validQuery(insightQuerySchema, req);
    res.json(await look((tx) => declineCostsOf(tx, actor.shopId, query)));
  });
  routes.on('get', '/insights/declined', 'readInsights', async ({ req, res, actor, look }) => {
    const query = validQuery(declinedQuerySchema, req);
    res.json(await look((tx) => declinedPage(tx, actor.shopId, query)));
  });
}
