import { system } from './en/system.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('system', system);
