import { addAudit } from '../../db/audit.ts';
import { notifyLive } from '../../db/notifyLive.ts';
import { notFound } from '../../errors.ts';
import type { Routes } from '../../http/routes.ts';
import { validId } from '../../http/validate.ts';
import { eraseCustomer } from '../../customers/eraseCustomer.ts';
import { customerRecord } from './customerRecord.ts';

/** What is stored of one customer: shown, taken along, erased. */
export function mountCustomers(routes: Routes): void {
  routes.on('get', '/customers/:carId', 'manageCustomers', async (asked) => {
    const { req, res, actor, inShop } = asked;
    const carId = validId(req.params.carId, 'noCar');
    const isExport = req.query.export === 'true';
    const record = await inShop(async (tx) => {
      const found = await customerRecord(tx, actor, carId);
      const kind = isExport ? 'customerExported' : 'customerShown';
      await addAudit(tx, actor, kind, { carId }, req.ip);
      return found;
    });
    if (isExport) res.attachment(`customer-${carId.slice(0, 8)}.json`);
    res.json(record);
  });
  routes.on('delete', '/customers/:carId', 'manageCustomers', async (asked) => {
    const { req, res, actor, inShop } = asked;
    const carId = validId(req.params.carId, 'noCar');
    await inShop(async (tx) => {
      const visitIds = await eraseCustomer(tx, actor.shopId, carId);
      if (visitIds === null) throw notFound('noCar');
      await addAudit(tx, actor, 'customerErased', { carId }, req.ip);
      for (const visitId of visitIds) await notifyLive(tx, { shopId: actor.shopId, visitId });
    });
    res.status(204).end();
  });
}
