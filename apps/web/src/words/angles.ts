import { angles } from './en/angles.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('angles', angles);
