import {
  caseFileSchema,
  closeVisitSchema,
  newDecisionSchema,
  newEntriesSchema,
  newVisitSchema,
  visitsQuerySchema,
} from '@keen/contract';
import type { Context } from '../../context.ts';
import { caseOf } from '../../db/visitCase.ts';
import { validBody, validId, validQuery } from '../../http/validate.ts';
import type { ProgramRoutes } from '../../http/programRoutes.ts';
import type { Routes } from '../../http/routes.ts';
import { diagnoseFor } from '../../jobs/diagnosisPool.ts';
import { appendEntries } from './appendEntries.ts';
import { setClosed } from './closeVisit.ts';
import { decide } from './decideVisit.ts';
import { openVisits, searchVisits, visitDetail } from './readVisits.ts';
import { importVisit, startVisit } from './startVisit.ts';

export function mountVisits(routes: Routes, { diagnoses }: Context): void {
  routes.on('get', '/visits', 'read', async ({ req, res, actor, readInShop }) => {
    const { all, words = '', before } = validQuery(visitsQuerySchema, req);
    res.json(
      await readInShop((tx) =>
        all ? searchVisits(tx, actor, words, before) : openVisits(tx, actor),
      ),
    );
  });
  routes.on('post', '/visits', 'workOnVisits', async ({ req, res, actor, inShop }) => {
    const order = validBody(newVisitSchema, req.body);
    res.json(await inShop((tx) => startVisit(tx, actor, order)));
  });
  routes.on('post', '/visits/import', 'workOnVisits', async ({ req, res, actor, inShop }) => {
    const file = validBody(caseFileSchema, req.body);
    res.json(await inShop((tx) => importVisit(tx, actor, file)));
  });
  routes.on('get', '/visits/:id', 'read', async ({ req, res, actor, readInShop }) => {
    const id = validId(req.params.id, 'noVisit');
    res.json(await readInShop((tx) => visitDetail(tx, actor, id)));
  });
  routes.on('post', '/visits/:id/entries', 'workOnVisits', async (asked) => {
    const { req, res, actor, inShop } = asked;
    const { entries } = validBody(newEntriesSchema, req.body);
    const id = validId(req.params.id, 'noVisit');
    res.json(await inShop((tx) => appendEntries(tx, actor, id, entries)));
  });
  routes.on('post', '/visits/:id/decisions', 'workOnVisits', async (asked) => {
    const { req, res, actor, inShop } = asked;
    const order = validBody(newDecisionSchema, req.body);
    const id = validId(req.params.id, 'noVisit');
    res.json(await decide(inShop, diagnoseFor(diagnoses, asked), actor, id, order));
  });
  routes.on('put', '/visits/:id/closed', 'workOnVisits', async ({ req, res, actor, inShop }) => {
    const { closed } = validBody(closeVisitSchema, req.body);
    const id = validId(req.params.id, 'noVisit');
    res.json(await inShop((tx) => setClosed(tx, actor, id, closed)));
  });
  routes.on('get', '/visits/:id/diagnosis', 'read', async (asked) => {
    const { req, res, actor, readInShop } = asked;
    const id = validId(req.params.id, 'noVisit');
    const detail = await readInShop((tx) => visitDetail(tx, actor, id));
    res.json((await diagnoseFor(diagnoses, asked)(caseOf(detail))).diagnosis);
  });
  routes.on('get', '/visits/:id/case', 'read', async ({ req, res, actor, readInShop }) => {
    const id = validId(req.params.id, 'noVisit');
    const detail = await readInShop((tx) => visitDetail(tx, actor, id));
    res.attachment(`visit-${detail.visit.number}.keen.json`);
    res.json(caseOf(detail));
  });
}

/** Programs read what is kept of visits. */
export function mountVisitsForPrograms(routes: ProgramRoutes): void {
  routes.on('get', '/v1/visits', 'readVisits', async ({ req, res, program, readInShop }) => {
    const { all, words = '', before } = validQuery(visitsQuerySchema, req);
    res.json(
      await readInShop((tx) =>
        all ? searchVisits(tx, program, words, before) : openVisits(tx, program),
      ),
    );
  });
  routes.on('get', '/v1/visits/:id', 'readVisits', async ({ req, res, program, readInShop }) => {
    const id = validId(req.params.id, 'noVisit');
    res.json(await readInShop((tx) => visitDetail(tx, program, id)));
  });
}
