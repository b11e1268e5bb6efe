import { pgTable, text, uuid } from 'drizzle-orm/pg-core';
import { bytea } from './bytea.ts';
import { PICTURE_TYPES } from './photos.ts';
import { oneOf, ownRows } from './shopRows.ts';
import { shops } from './shops.ts';

/** What a shop prints on its papers; apart from the shop, since hardly anybody asks for it. */
export const shopLogos = pgTable(
  'shop_logos',
  {
    shopId: uuid('shop_id')
      .primaryKey()
      .references(() => shops.id),
    type: text({ enum: PICTURE_TYPES }).notNull(),
    picture: bytea().notNull(),
  },
  (table) => [
    oneOf('shop_logos_type', table.type, PICTURE_TYPES),
    ownRows('shop_logos', table.shopId),
  ],
);
