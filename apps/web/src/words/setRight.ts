import { setRight } from './en/setRight.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('setRight', setRight);
