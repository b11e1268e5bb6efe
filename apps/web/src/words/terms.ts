import { messagesOf } from './i18n.ts';

/** Single words that labels and tables are made of. */
export const english = {
  side: { left: 'left', right: 'right' },
  axle: { front: 'front', rear: 'rear' },
  rib: { inner: 'inner', centre: 'centre', outer: 'outer' },
  angle: { camber: 'camber', toe: 'toe' },
  unit: { degrees: 'degrees', minutes: 'minutes', inches: 'inches' },
} as const;

export const term = messagesOf('terms', english);
