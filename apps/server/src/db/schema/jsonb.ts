import { customType } from 'drizzle-orm/pg-core';

/**
 * JSON as it is. The query builder's own column parses again what the driver has parsed already, so that
 * the text "2319" would come back as a number.
 */
export const jsonb = customType<{ data: unknown; driverData: unknown }>({
  dataType: () => 'jsonb',
  toDriver: (value) => JSON.stringify(value),
  fromDriver: (value) => value,
});
