import { settingTools } from './en/settingTools.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('settingTools', settingTools);
