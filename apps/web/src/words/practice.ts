import { practice } from './en/practice.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('practice', practice);
