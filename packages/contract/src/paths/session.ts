import * as api from '../api.ts';
import * as settings from '../shopSettings.ts';
import * as people from '../people.ts';
import type { ApiPath } from './apiPath.ts';

/** Signing in and out, and one’s own account. */
export const SESSION_PATHS: readonly ApiPath[] = [
  {
    method: 'post',
    path: '/api/setup',
    summary: 'The first shop and its lead',
    open: true,
    body: api.setupSchema,
    reply: api.sessionSchema,
  },
  {
    method: 'post',
    path: '/api/session',
    summary: 'Sign in',
    open: true,
    body: api.signInSchema,
    reply: api.sessionSchema,
  },
  {
    method: 'post',
    path: '/api/session/demo',
    summary: 'Sign in as made-up staff',
    open: true,
    body: api.demoSignInSchema,
    reply: api.sessionSchema,
  },
  { method: 'get', path: '/api/session', summary: 'Who is signed in', reply: api.sessionSchema },
  { method: 'delete', path: '/api/session', summary: 'Sign out', open: true },
  {
    method: 'get',
    path: '/api/session/all',
    summary: 'One’s own open sessions',
    reply: people.ownSessionListSchema,
  },
  {
    method: 'delete',
    path: '/api/session/others',
    summary: 'Sign out everywhere else',
  },
  {
    method: 'put',
    path: '/api/session/password',
    summary: 'Change one’s own password; ends one’s other sessions',
    body: people.changePasswordSchema,
  },
  {
    method: 'post',
    path: '/api/session/second-factor',
    summary: 'A new key for a second factor (TOTP); nothing changes until it is confirmed',
    reply: people.newSecondFactorSchema,
  },
  {
    method: 'put',
    path: '/api/session/second-factor',
    summary: 'Turn the second factor on with a first code',
    body: people.confirmSecondFactorSchema,
    reply: people.recoveryCodesSchema,
  },
  {
    method: 'post',
    path: '/api/session/second-factor/off',
    summary: 'Turn the second factor off',
    body: people.ownPasswordSchema,
  },
  {
    method: 'put',
    path: '/api/session/shop',
    summary: 'Go on in another of one’s own shops',
    body: api.changeShopSchema,
    reply: api.sessionSchema,
  },
  {
    method: 'put',
    path: '/api/session/preferences',
    summary: 'Own units, reading order, theme',
    body: settings.preferencesSchema,
    reply: settings.preferencesSchema,
  },
];
