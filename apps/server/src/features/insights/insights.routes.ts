import {
  changeLearningRunSchema,
  declinedQuerySchema,
  insightQuerySchema,
  newLearningRunSchema,
  useLearnedSchema,
} from '@keen/contract';
import type { Context } from '../../context.ts';
import type { Handle } from '../../db/client.ts';
import type { Routes } from '../../http/routes.ts';
import { validBody, validId, validQuery } from '../../http/validate.ts';
import { adviceCounts } from './adviceCounts.ts';
import { chancesHeld } from './chancesHeld.ts';
import { readComebacks } from './readComebacks.ts';
import { readForecasts } from './readForecasts.ts';
import { learningOf, setRunState, startRun, useRun } from './learning.service.ts';
import { declineCostsOf, declinedPage } from './readDeclines.ts';

/** What the shop's own work teaches its lead. */
export function mountInsights(routes: Routes, { queue }: Context): void {
  const sendRun = (tx: Handle, shopId: string, runId: string) =>
    queue.send(tx, 'learning', { shopId, runId }, { key: runId });

  routes.on('get', '/insights/advice', 'readInsights', async ({ req, res, actor, readStandby }) => {
    const query = validQuery(insightQuerySchema, req);
    res.json(await readStandby((tx) => adviceCounts(tx, actor.shopId, query)));
  });
  routes.on(
    'get',
    '/insights/reliability',
    'readInsights',
    async ({ req, res, actor, readStandby }) => {
      const query = validQuery(insightQuerySchema, req);
      res.json(await readStandby((tx) => chancesHeld(tx, actor.shopId, query)));
    },
  );
  routes.on(
    'get',
    '/insights/comebacks',
    'readInsights',
    async ({ req, res, actor, readStandby }) => {
      const query = validQuery(insightQuerySchema, req);
      res.json(await readStandby((tx) => readComebacks(tx, actor.shopId, query)));
    },
  );
  routes.on(
    'get',
    '/insights/forecasts',
    'readInsights',
    async ({ req, res, actor, readStandby }) => {
      const query = validQuery(insightQuerySchema, req);
      res.json(await readStandby((tx) => readForecasts(tx, actor.shopId, query)));
    },
  );
  routes.on(
    'get',
    '/insights/decline-costs',
    'readInsights',
    async ({ req, res, actor, readStandby }) => {
      const query = validQuery(insightQuerySchema, req);
      res.json(await readStandby((tx) => declineCostsOf(tx, actor.shopId, query)));
    },
  );
  routes.on(
    'get',
    '/insights/declined',
    'readInsights',
    async ({ req, res, actor, readStandby }) => {
      const query = validQuery(declinedQuerySchema, req);
      res.json(await readStandby((tx) => declinedPage(tx, actor.shopId, query)));
    },
  );

  routes.on('get', '/insights/learning', 'readInsights', async ({ res, actor, readInShop }) => {
    res.json(await readInShop((tx) => learningOf(tx, actor.shopId)));
  });
  routes.on('post', '/insights/learning', 'changeShop', async ({ req, res, actor, inShop }) => {
    const { id } = validBody(newLearningRunSchema, req.body);
    res.json(
      await inShop(async (tx) => {
        if (await startRun(tx, actor, id)) await sendRun(tx, actor.shopId, id);
        return learningOf(tx, actor.shopId);
      }),
    );
  });
  // Before the route with an id, which would take the word for one.
  routes.on('put', '/insights/learning/used', 'changeShop', async ({ req, res, actor, inShop }) => {
    const { runId } = validBody(useLearnedSchema, req.body);
    res.json(
      await inShop(async (tx) => {
        await useRun(tx, actor, runId, req.ip);
        return learningOf(tx, actor.shopId);
      }),
    );
  });
  routes.on('put', '/insights/learning/:id', 'changeShop', async ({ req, res, actor, inShop }) => {
    const id = validId(req.params.id, 'noRun');
    const { state } = validBody(changeLearningRunSchema, req.body);
    res.json(
      await inShop(async (tx) => {
        await setRunState(tx, actor, id, state);
        if (state === 'running') await sendRun(tx, actor.shopId, id);
        return learningOf(tx, actor.shopId);
      }),
    );
  });
}
