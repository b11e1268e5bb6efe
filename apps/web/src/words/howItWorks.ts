import { howItWorks } from './en/howItWorks.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('howItWorks', howItWorks);
