import { Router } from 'express';
import { z } from 'zod';
import type { Context } from '../../context.ts';
import { signedIn } from '../../http/signedIn.ts';
import { validBody, validId } from '../../http/validate.ts';
import { makeSheet } from './sheet.service.ts';

const querySchema = z.object({ paper: z.enum(['A4', 'LETTER']).default('A4') });

export function sheetRoutes({ db, diagnoses }: Context): Router {
  const router = Router();
  router.get('/:id/sheet', async (req, res) => {
    const actor = signedIn(req);
    const { paper } = validBody(querySchema, req.query);
    const { pdf, number } = await makeSheet(
      db,
      diagnoses,
      actor,
      validId(req.params.id, 'visit'),
      paper,
    );
    res
      .type('application/pdf')
      .set('content-disposition', `inline; filename="visit-${number}.pdf"`)
      .send(pdf);
  });
  return router;
}
