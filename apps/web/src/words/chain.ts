import { chain } from './en/chain.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('chain', chain);
