import type { z } from 'zod';

const MOST_KEPT = 20;

/**
 * What the columns of a foreign table are is said once on each tablet, and remembered by its heading.
 * @param name - of the kind of table
 */
export function rememberedMapping<T>(name: string, schema: z.ZodType<Record<string, T>>) {
  const key = `keen.${name}`;

  function kept(): Record<string, T> {
    try {
      const found = schema.safeParse(JSON.parse(localStorage.getItem(key) ?? '{}'));
      return found.success ? found.data : {};
    } catch {
      return {};
    }
  }

  return {
    find: (header: readonly string[]): T | null => kept()[header.join('|')] ?? null,
    keep(header: readonly string[], mapping: T): void {
      const others = Object.entries(kept()).filter(([heading]) => heading !== header.join('|'));
      const next = [...others.slice(-MOST_KEPT + 1), [header.join('|'), mapping] as const];
      try {
        localStorage.setItem(key, JSON.stringify(Object.fromEntries(next)));
      } catch {
        // A full or forbidden storage only means that it is asked again.
      }
    },
  };
}
