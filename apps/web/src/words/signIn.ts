import { signIn } from './en/signIn.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('signIn', signIn);
