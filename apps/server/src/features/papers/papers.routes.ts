import { LANGUAGES } from '@keen/contract';
import { customerPaper, technicianPaper } from '@keen/core';
import { Router } from 'express';
import { z } from 'zod';
import type { Context } from '../../context.ts';
import { signedIn } from '../../http/signedIn.ts';
import { validBody, validId } from '../../http/validate.ts';
import { dueCalendar } from './dueCalendar.ts';
import { paperDocument } from './paperDocument.ts';
import { paperFacts } from './paperFacts.ts';
import { renderPdf } from './renderPdf.ts';

const querySchema = z.object({
  paper: z.enum(['A4', 'LETTER']).default('A4'),
  kind: z.enum(['customer', 'technician']).default('customer'),
  /** The customer's language unless another is asked for. */
  language: z.enum(LANGUAGES).optional(),
});

/** The papers of a visit: both sheets as PDF, and what is due as a calendar. */
export function paperRoutes({ db, diagnoses }: Context): Router {
  const router = Router();
  router.get('/:id/sheet', async (req, res) => {
    const actor = signedIn(req);
    const { paper: size, kind, language } = validBody(querySchema, req.query);
    const id = validId(req.params.id, 'visit');
    const facts = await paperFacts(db, diagnoses, actor, id, { language });
    const paper = kind === 'customer' ? customerPaper(facts) : technicianPaper(facts);
    const name = `visit-${facts.visit.number}${kind === 'customer' ? '' : '-technician'}`;
    res
      .type('application/pdf')
      .set('content-disposition', `inline; filename="${name}.pdf"`)
      .send(await renderPdf(paperDocument(paper, size)));
  });
  router.get('/:id/due.ics', async (req, res) => {
    const actor = signedIn(req);
    const { text, number } = await dueCalendar(db, actor, validId(req.params.id, 'visit'));
    res.attachment(`visit-${number}.ics`).type('text/calendar').send(text);
  });
  return router;
}
