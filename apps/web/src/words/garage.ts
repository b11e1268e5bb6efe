import { garage } from './en/garage.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('garage', garage);
