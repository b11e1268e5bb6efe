import { floorTools } from './en/floorTools.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('floorTools', floorTools);
