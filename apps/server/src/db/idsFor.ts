import { createHash } from 'node:crypto';

/** The same id for the same thing in the same shop, so that what refers to it can be told without a table. */
export function idsFor(shopId: string): (id: string) => string {
  return (id) => {
    const hash = createHash('sha256').update(`${id} in ${shopId}`).digest('hex');
    // Version 8 of RFC 9562: made by a rule of one's own.
    return [
      hash.slice(0, 8),
      hash.slice(8, 12),
      `8${hash.slice(13, 16)}`,
      `8${hash.slice(17, 20)}`,
      hash.slice(20, 32),
    ].join('-');
  };
}
