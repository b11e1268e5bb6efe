import { devicesPage } from './en/devicesPage.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('devicesPage', devicesPage);
