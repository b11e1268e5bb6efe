import { due } from './en/due.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('due', due);
