import {
  caseFileSchema,
  closeVisitSchema,
  newDecisionSchema,
  newEntriesSchema,
  newVisitSchema,
} from '@keen/contract';
import { Router } from 'express';
import type { Context } from '../../context.ts';
import { signedIn } from '../../http/signedIn.ts';
import { validBody, validId } from '../../http/validate.ts';
import {
  appendEntries,
  caseOf,
  decide,
  importVisit,
  listVisits,
  setClosed,
  startVisit,
  visitCase,
  visitDetail,
} from './visits.service.ts';

export function visitRoutes({ db, diagnoses }: Context): Router {
  const router = Router();
  router.get('/', async (req, res) => {
    res.json(await listVisits(db, signedIn(req), req.query.all === 'true'));
  });
  router.post('/', async (req, res) => {
    const actor = signedIn(req);
    res.json(await startVisit(db, actor, validBody(newVisitSchema, req.body)));
  });
  router.post('/import', async (req, res) => {
    const actor = signedIn(req);
    res.json(await importVisit(db, actor, validBody(caseFileSchema, req.body)));
  });
  router.get('/:id', async (req, res) => {
    res.json(await visitDetail(db, signedIn(req), validId(req.params.id, 'visit')));
  });
  router.post('/:id/entries', async (req, res) => {
    const actor = signedIn(req);
    const { entries } = validBody(newEntriesSchema, req.body);
    res.json(await appendEntries(db, actor, validId(req.params.id, 'visit'), entries));
  });
  router.post('/:id/decisions', async (req, res) => {
    const actor = signedIn(req);
    const order = validBody(newDecisionSchema, req.body);
    res.json(await decide(db, diagnoses, actor, validId(req.params.id, 'visit'), order));
  });
  router.put('/:id/closed', async (req, res) => {
    const actor = signedIn(req);
    const { closed } = validBody(closeVisitSchema, req.body);
    res.json(await setClosed(db, actor, validId(req.params.id, 'visit'), closed));
  });
  router.get('/:id/diagnosis', async (req, res) => {
    const { visit } = await visitDetail(db, signedIn(req), validId(req.params.id, 'visit'));
    res.json((await diagnoses.diagnose(caseOf(visit))).diagnosis);
  });
  router.get('/:id/case', async (req, res) => {
    const actor = signedIn(req);
    const id = validId(req.params.id, 'visit');
    const { visit } = await visitDetail(db, actor, id);
    res.attachment(`visit-${visit.number}.keen.json`);
    res.json(await visitCase(db, actor, id));
  });
  return router;
}
