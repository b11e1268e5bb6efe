import { arrive } from './en/arrive.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('arrive', arrive);
