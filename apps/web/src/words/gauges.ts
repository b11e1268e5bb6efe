import { gauges } from './en/gauges.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('gauges', gauges);
