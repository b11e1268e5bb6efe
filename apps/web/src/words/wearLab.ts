import { wearLab } from './en/wearLab.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('wearLab', wearLab);
