import { bench } from './en/bench.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('bench', bench);
