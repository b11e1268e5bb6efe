import { turnTools } from './en/turnTools.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('turnTools', turnTools);
