import { handOver } from './en/handOver.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('handOver', handOver);
