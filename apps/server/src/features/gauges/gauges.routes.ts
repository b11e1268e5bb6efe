import {
  closeStudySchema,
  saveInstrumentSchema,
  saveStudyReadingSchema,
  newCheckSchema,
  newStudySchema,
  studyQuerySchema,
} from '@keen/contract';
import type { Routes } from '../../http/routes.ts';
import { validBody, validId, validQuery } from '../../http/validate.ts';
import { saveCheck, saveInstrument, listInstruments } from './instruments.service.ts';
import {
  closeStudy,
  saveReading,
  newStudy,
  oneStudy,
  studyPage,
  useSpread as applySpread,
} from './studies.service.ts';

/** Gauge studies, and the records of the shop's gauges. */
export function mountGauges(routes: Routes): void {
  mountStudies(routes);
  mountInstruments(routes);
}

function mountStudies(routes: Routes): void {
  routes.on('get', '/gauge-studies', 'read', async ({ req, res, actor, readInShop }) => {
    const { before } = validQuery(studyQuerySchema, req);
    res.json(await readInShop((tx) => studyPage(tx, actor, before ?? null)));
  });
  routes.on('post', '/gauge-studies', 'manageGauges', async ({ req, res, actor, inShop }) => {
    const plan = validBody(newStudySchema, req.body);
    res.json(await inShop((tx) => newStudy(tx, actor, plan)));
  });
  routes.on('get', '/gauge-studies/:id', 'read', async ({ req, res, actor, readInShop }) => {
    const id = validId(req.params.id, 'noStudy');
    res.json(await readInShop((tx) => oneStudy(tx, actor, id)));
  });
  routes.on('put', '/gauge-studies/:id/reading', 'checkGauges', async (asked) => {
    const { req, res, actor, inShop } = asked;
    const id = validId(req.params.id, 'noStudy');
    const reading = validBody(saveStudyReadingSchema, req.body);
    res.json(await inShop((tx) => saveReading(tx, actor, id, reading)));
  });
  routes.on('put', '/gauge-studies/:id/closed', 'manageGauges', async (asked) => {
    const { req, res, actor, inShop } = asked;
    const id = validId(req.params.id, 'noStudy');
    const { closed } = validBody(closeStudySchema, req.body);
    res.json(await inShop((tx) => closeStudy(tx, actor, id, closed)));
  });
  routes.on('put', '/gauge-studies/:id/used', 'changeShop', async (asked) => {
    const { req, res, actor, inShop } = asked;
    const id = validId(req.params.id, 'noStudy');
    res.json(await inShop((tx) => applySpread(tx, actor, id, req.ip ?? '')));
  });
}

function mountInstruments(routes: Routes): void {
  routes.on('get', '/instruments', 'read', async ({ res, actor, readInShop }) => {
    res.json(await readInShop((tx) => listInstruments(tx, actor)));
  });
  routes.on('put', '/instruments/:id', 'manageGauges', async ({ req, res, actor, inShop }) => {
    const id = validId(req.params.id, 'noGauge');
    const instrument = validBody(saveInstrumentSchema, req.body);
    res.json(await inShop((tx) => saveInstrument(tx, actor, id, instrument)));
  });
  routes.on('post', '/instruments/:id/checks', 'checkGauges', async (asked) => {
    const { req, res, actor, inShop } = asked;
    const id = validId(req.params.id, 'noGauge');
    const check = validBody(newCheckSchema, req.body);
    res.json(await inShop((tx) => saveCheck(tx, actor, id, check)));
  });
}
