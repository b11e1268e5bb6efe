import { app } from './en/app.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('app', app);
