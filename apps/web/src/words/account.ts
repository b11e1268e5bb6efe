import { account } from './en/account.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('account', account);
