import { decide } from './en/decide.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('decide', decide);
