import { visit } from './en/visit.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('visit', visit);
