import { drawing } from './en/drawing.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('drawing', drawing);
