import { declinedQuerySchema, insightQuerySchema } from '@keen/contract';
import type { Routes } from '../../http/routes.ts';
import { validQuery } from '../../http/validate.ts';
import { chancesHeld } from './chancesHeld.ts';
import { adviceCounts, declinedPage } from './readInsights.ts';

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
  routes.on('get', '/insights/declined', 'readInsights', async ({ req, res, actor, look }) => {
    const query = validQuery(declinedQuerySchema, req);
    res.json(await look((tx) => declinedPage(tx, actor.shopId, query)));
  });
}
