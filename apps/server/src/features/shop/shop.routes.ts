import {
  changePersonSchema,
  changeSettingsSchema,
  newPasswordSchema,
  newPersonSchema,
  roleMay,
  STOCK_SETTINGS,
  resetToChainSchema,
} from '@keen/contract';
import type { MadeUpYears } from '@keen/contract';
import type { Context } from '../../context.ts';
import { addAudit } from '../../db/audit.ts';
import { changeSettings, shopSettings, resetToChain } from '../../db/shopSettings.ts';
import { notifyLive } from '../../db/notifyLive.ts';
import { forbidden } from '../../errors.ts';
import type { Routes } from '../../http/routes.ts';
import { validBody, validId } from '../../http/validate.ts';
import { nameOf } from '../../people/nameOf.ts';
import {
  addPerson,
  changePerson,
  givePassword,
  listStaff,
  makePasswordLink,
} from './people.service.ts';

const NONE: MadeUpYears = { cars: 0, made: 0, brokeOff: false };

/** What the shop has settled for everybody in it, and its people. */
export function mountShop(routes: Routes, { years }: Context): void {
  routes.on('get', '/shop/made-up-years', 'read', ({ res }) => {
    res.json(years?.progress() ?? NONE);
  });
  routes.on('put', '/shop/settings', 'editSheets', async ({ req, res, actor, inShop }) => {
    const { shopId, role } = actor;
    const change = validBody(changeSettingsSchema, req.body);
    const stock: readonly string[] = STOCK_SETTINGS;
    if (!roleMay(role, 'changeShop') && Object.keys(change).some((key) => !stock.includes(key))) {
      throw forbidden('leadOnlySettings');
    }
    const settings = await inShop(async (tx) => {
      const settings = await changeSettings(tx, shopId, change, await nameOf(tx, actor.personId));
      await addAudit(tx, actor, 'settings', { changed: Object.keys(change).join(', ') }, req.ip);
      await notifyLive(tx, { shopId, kind: 'settings' });
      return settings;
    });
    res.json(settings);
  });
  routes.on('post', '/shop/settings/chains', 'changeShop', async (asked) => {
    const { req, res, actor, inShop } = asked;
    const { shopId } = actor;
    const { paths } = validBody(resetToChainSchema, req.body);
    const settings = await inShop(async (tx) => {
      await resetToChain(tx, shopId, paths);
      await addAudit(tx, actor, 'settings', { changed: paths.join(', '), chains: 1 }, req.ip);
      await notifyLive(tx, { shopId, kind: 'settings' });
      return shopSettings(tx, shopId);
    });
    res.json(settings);
  });
  routes.on('get', '/shop/people', 'managePeople', async ({ res, actor, inShop }) => {
    res.json(await inShop((tx) => listStaff(tx, actor)));
  });
  routes.on('post', '/shop/people', 'managePeople', async ({ req, res, actor, inShop }) => {
    const order = validBody(newPersonSchema, req.body);
    res.json(await inShop((tx) => addPerson(tx, actor, order, req.ip ?? '')));
  });
  routes.on('put', '/shop/people/:id', 'managePeople', async ({ req, res, actor, inShop }) => {
    const change = validBody(changePersonSchema, req.body);
    const id = validId(req.params.id, 'noPerson');
    res.json(await inShop((tx) => changePerson(tx, actor, id, change, req.ip ?? '')));
  });
  routes.on('put', '/shop/people/:id/password', 'managePeople', async (asked) => {
    const { req, res, actor, inShop } = asked;
    const { password } = validBody(newPasswordSchema, req.body);
    const id = validId(req.params.id, 'noPerson');
    await inShop((tx) => givePassword(tx, actor, id, password, req.ip ?? ''));
    res.status(204).end();
  });
  routes.on('post', '/shop/people/:id/password-link', 'managePeople', async (asked) => {
    const { req, res, actor, inShop } = asked;
    const id = validId(req.params.id, 'noPerson');
    res.json(await inShop((tx) => makePasswordLink(tx, actor, id, req.ip ?? '')));
  });
}
