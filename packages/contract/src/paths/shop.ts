import * as api from '../api.ts';
import * as settings from '../shopSettings.ts';
import { archiveImportedSchema } from '../archive.ts';
import { learnedListSchema } from '../visit/values.ts';
import { storedSheetListSchema, newSheetsSchema } from '../specSheet.ts';
import type { ApiPath } from './apiPath.ts';

/** The shop’s settings, specification sheets, logo and archive. */
export const SHOP_PATHS: readonly ApiPath[] = [
  {
    method: 'get',
    path: '/api/sheets',
    summary: 'Specification sheets of the shop, each in its latest revision',
    reply: storedSheetListSchema,
  },
  {
    method: 'get',
    path: '/api/sheets/{id}/turns',
    summary: 'What one turn of each adjuster did on the shop’s cars of a sheet',
    reply: learnedListSchema,
  },
  {
    method: 'post',
    path: '/api/sheets',
    summary: 'New revisions of sheets, all or none; sent twice counts once',
    body: newSheetsSchema,
    reply: storedSheetListSchema,
  },
  {
    method: 'put',
    path: '/api/shop/settings',
    summary: 'Settle something for everybody; what is not named stays',
    body: settings.changeSettingsSchema,
    reply: settings.shopSettingsSchema,
  },
  {
    method: 'get',
    path: '/api/shop/made-up-years',
    summary: 'How far the demo shop’s made-up past is',
    reply: api.madeUpYearsSchema,
  },
  {
    method: 'get',
    path: '/api/shop/logo',
    summary: 'The picture on the papers',
    replyType: 'image/png',
  },
  {
    method: 'put',
    path: '/api/shop/logo',
    summary: 'Another picture on the papers: PNG or JPEG',
    bodyType: 'image/png',
  },
  { method: 'delete', path: '/api/shop/logo', summary: 'No picture on the papers' },
  {
    method: 'get',
    path: '/api/shop/archive',
    summary: 'The whole shop as a zip of open files',
    replyType: 'application/zip',
  },
  {
    method: 'post',
    path: '/api/shop/archive',
    summary: 'Bring such a zip in',
    bodyType: 'application/zip',
    reply: archiveImportedSchema,
  },
];
