import { LANGUAGES } from '@keen/contract';
import { customerPaper, technicianPaper } from '@keen/core';
import { z } from 'zod';
import type { Context } from '../../context.ts';
import type { Routes } from '../../http/routes.ts';
import { validBody, validId } from '../../http/validate.ts';
import { diagnoseFor } from '../../jobs/diagnosisPool.ts';
import { dueCalendar } from './dueCalendar.ts';
import { paperFacts } from './paperFacts.ts';

const querySchema = z.object({
  paper: z.enum(['A4', 'LETTER']).default('A4'),
  kind: z.enum(['customer', 'technician']).default('customer'),
  /** The customer's language unless another is asked for. */
  language: z.enum(LANGUAGES).optional(),
});

/** The papers of a visit: both sheets as PDF, and what is due as a calendar. */
export function mountPapers(routes: Routes, { diagnoses, workshop }: Context): void {
  routes.on('get', '/visits/:id/sheet', 'read', async (asked) => {
    const { req, res, actor, inShop } = asked;
    const { paper: size, kind, language } = validBody(querySchema, req.query);
    const id = validId(req.params.id, 'noVisit');
    const diagnose = diagnoseFor(diagnoses, asked);
    const facts = await paperFacts(inShop, diagnose, actor, id, { language });
    const paper = kind === 'customer' ? customerPaper(facts) : technicianPaper(facts);
    const name = `visit-${facts.visit.number}${kind === 'customer' ? '' : '-technician'}`;
    res
      .type('application/pdf')
      .set('content-disposition', `inline; filename="${name}.pdf"`)
      .send(await workshop.paperPdf(paper, size));
  });
  routes.on('get', '/visits/:id/due.ics', 'read', async ({ req, res, actor, inShop }) => {
    const id = validId(req.params.id, 'noVisit');
    const { text, number } = await inShop((tx) => dueCalendar(tx, actor, id));
    res.attachment(`visit-${number}.ics`).type('text/calendar').send(text);
  });
}
