import { measureTools } from './en/measureTools.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('measureTools', measureTools);
