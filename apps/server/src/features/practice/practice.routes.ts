import {
  drillAnswerSchema,
  newDrillSchema,
  newPracticeSchema,
  practiceAnswerSchema,
  practiceCheckSchema,
  practiceEntriesSchema,
  practiceReadingSchema,
  showPracticeSchema,
} from '@keen/contract';
import type { Context } from '../../context.ts';
import type { Routes } from '../../http/routes.ts';
import { validBody, validId } from '../../http/validate.ts';
import { diagnoseFor } from '../../jobs/diagnosisPool.ts';
import { practiceBoard, showPractice } from './board.service.ts';
import { answerDrill, newDrill, oneDrill } from './drill.service.ts';
import { judge } from './judge.ts';
import {
  answerable,
  dealTo,
  saveEntries,
  saveResult,
  makeCheck,
  oneCar,
  setGaugeDown,
} from './practice.service.ts';

/** Made-up cars to practise on; the truth is shown once it is answered. */
export function mountPractice(routes: Routes, context: Pick<Context, 'diagnoses'>): void {
  mountDrills(routes);
  mountCars(routes, context);
}

function mountDrills(routes: Routes): void {
  routes.on('post', '/practice/drills', 'practise', async ({ req, res, actor, inShop }) => {
    const { id } = validBody(newDrillSchema, req.body);
    res.json(await inShop((tx) => newDrill(tx, actor, id)));
  });
  routes.on('get', '/practice/drills/:id', 'practise', async ({ req, res, actor, readInShop }) => {
    const id = validId(req.params.id, 'noDrill');
    res.json(await readInShop((tx) => oneDrill(tx, actor, id)));
  });
  routes.on('post', '/practice/drills/:id/answers', 'practise', async (asked) => {
    const { req, res, actor, inShop } = asked;
    const id = validId(req.params.id, 'noDrill');
    const answer = validBody(drillAnswerSchema, req.body);
    res.json(await inShop((tx) => answerDrill(tx, actor, id, answer)));
  });
}

function mountCars(routes: Routes, { diagnoses }: Pick<Context, 'diagnoses'>): void {
  routes.on('get', '/practice', 'practise', async ({ res, actor, readInShop }) => {
    res.json(await readInShop((tx) => practiceBoard(tx, actor)));
  });
  routes.on('put', '/practice/shown', 'practise', async ({ req, res, actor, inShop }) => {
    const { isShown } = validBody(showPracticeSchema, req.body);
    res.json(await inShop((tx) => showPractice(tx, actor, isShown)));
  });
  routes.on('post', '/practice/cars', 'practise', async ({ req, res, actor, inShop }) => {
    const wish = validBody(newPracticeSchema, req.body);
    res.json(await inShop((tx) => dealTo(tx, actor, wish)));
  });
  routes.on('get', '/practice/cars/:id', 'practise', async ({ req, res, actor, readInShop }) => {
    const id = validId(req.params.id, 'noPracticeCar');
    res.json(await readInShop((tx) => oneCar(tx, actor, id)));
  });
  routes.on('post', '/practice/cars/:id/gauge', 'practise', async (asked) => {
    const { req, res, actor, inShop } = asked;
    const id = validId(req.params.id, 'noPracticeCar');
    const at = validBody(practiceReadingSchema, req.body);
    res.json(await inShop((tx) => setGaugeDown(tx, actor, id, at)));
  });
  routes.on('post', '/practice/cars/:id/entries', 'practise', async (asked) => {
    const { req, res, actor, inShop } = asked;
    const id = validId(req.params.id, 'noPracticeCar');
    const { entries } = validBody(practiceEntriesSchema, req.body);
    res.json(await inShop((tx) => saveEntries(tx, actor, id, entries)));
  });
  routes.on('post', '/practice/cars/:id/checks', 'practise', async (asked) => {
    const { req, res, actor, inShop } = asked;
    const id = validId(req.params.id, 'noPracticeCar');
    const { check } = validBody(practiceCheckSchema, req.body);
    res.json(await inShop((tx) => makeCheck(tx, actor, id, check)));
  });
  routes.on('post', '/practice/cars/:id/answer', 'practise', async (asked) => {
    const { req, res, actor, inShop, readInShop } = asked;
    const id = validId(req.params.id, 'noPracticeCar');
    const answer = validBody(practiceAnswerSchema, req.body);
    // The best answer takes some seconds: no transaction stays open over it.
    const { tried, prices } = await readInShop((tx) => answerable(tx, actor, id));
    const result = await judge(tried, answer, prices, diagnoseFor(diagnoses, asked));
    res.json(await inShop((tx) => saveResult(tx, actor, id, result)));
  });
}
