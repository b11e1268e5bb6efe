import { measure } from './en/measure.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('measure', measure);
