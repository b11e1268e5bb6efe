import { today } from './en/today.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('today', today);
