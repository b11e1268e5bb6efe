import { explain } from './en/explain.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('explain', explain);
