import { sharedSheet } from './en/sharedSheet.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('sharedSheet', sharedSheet);
