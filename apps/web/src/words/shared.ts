import { shared } from './en/shared.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('shared', shared);
