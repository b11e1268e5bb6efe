import { meaningTools } from './en/meaningTools.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('meaningTools', meaningTools);
