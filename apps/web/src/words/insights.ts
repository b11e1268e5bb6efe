import { insights } from './en/insights.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('insights', insights);
