import { pgTable, text, uuid } from 'drizzle-orm/pg-core';
import { bytea } from './bytea.ts';
import { shops } from './shops.ts';

/** What a shop prints on its papers; apart from the shop, since hardly anybody asks for it. */
export const shopLogos = pgTable('shop_logos', {
  shopId: uuid('shop_id')
    .primaryKey()
    .references(() => shops.id),
  type: text({ enum: ['image/jpeg', 'image/png'] }).notNull(),
  picture: bytea().notNull(),
});
