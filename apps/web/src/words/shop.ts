import { shop } from './en/shop.ts';
import { messagesOf } from './i18n.ts';

export const t = messagesOf('shop', shop);
