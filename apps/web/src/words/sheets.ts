import { sheets } from './en/sheets.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('sheets', sheets);
