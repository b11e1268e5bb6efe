import { devices } from './en/devices.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('devices', devices);
