import { terms } from './en/terms.ts';
import { messagesOf } from './i18n.ts';

export const term = messagesOf('terms', terms);
