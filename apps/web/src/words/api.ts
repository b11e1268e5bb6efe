import { api } from './en/api.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('api', api);
