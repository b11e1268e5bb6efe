import { inspect } from './en/inspect.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('inspect', inspect);
