import { tools } from './en/tools.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('tools', tools);
