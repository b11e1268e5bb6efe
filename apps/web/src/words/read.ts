import { read } from './en/read.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('read', read);
