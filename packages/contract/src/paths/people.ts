import { z } from 'zod';
import * as people from '../people.ts';
import { auditPageSchema } from '../audit.ts';
import type { ApiPath } from './apiPath.ts';

/** Who works in the shop, and who did what. */
export const PEOPLE_PATHS: readonly ApiPath[] = [
  {
    method: 'get',
    path: '/api/password-links/{token}',
    summary: 'Whom a password link is for',
    open: true,
    reply: people.passwordLinkOwnerSchema,
  },
  {
    method: 'post',
    path: '/api/password-links/{token}',
    summary: 'Choose a password by a link, which works once',
    open: true,
    body: people.newPasswordSchema,
  },
  {
    method: 'get',
    path: '/api/shop/people',
    summary: 'The people of the shop',
    reply: people.staffListSchema,
  },
  {
    method: 'post',
    path: '/api/shop/people',
    summary: 'Let a colleague in; without a password they choose one by a link',
    body: people.newPersonSchema,
    reply: people.staffMemberSchema,
  },
  {
    method: 'put',
    path: '/api/shop/people/{id}',
    summary: 'Change name or role, suspend or take back',
    body: people.changePersonSchema,
    reply: people.staffMemberSchema,
  },
  {
    method: 'put',
    path: '/api/shop/people/{id}/password',
    summary: 'Give a colleague a new password',
    body: people.newPasswordSchema,
  },
  {
    method: 'post',
    path: '/api/shop/people/{id}/password-link',
    summary: 'A link by which a colleague chooses a password',
    reply: people.passwordLinkSchema,
  },
  {
    method: 'get',
    path: '/api/shop/audit',
    summary: 'Who did what, latest first',
    query: z.object({ before: z.coerce.number().int().optional() }),
    reply: auditPageSchema,
  },
];
