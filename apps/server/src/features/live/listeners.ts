/** Who listens, shop by shop. */
export interface Listeners<Said> {
  /** @returns stops listening */
  listen(shopId: string, hear: (said: Said) => void): () => void;
  tell(shopId: string, said: Said): void;
  /** Tells everybody of every shop. */
  tellAll(said: Said): void;
  has(shopId: string): boolean;
}

export function createListeners<Said>(): Listeners<Said> {
  const shops = new Map<string, Set<(said: Said) => void>>();
  const tell = (shopId: string, said: Said) => {
    for (const hear of shops.get(shopId) ?? []) hear(said);
  };
  return {
    listen(shopId, hear) {
      const heard = shops.get(shopId) ?? new Set();
      shops.set(shopId, heard.add(hear));
      return () => {
        heard.delete(hear);
        if (heard.size === 0 && shops.get(shopId) === heard) shops.delete(shopId);
      };
    },
    tell,
    tellAll(said) {
      for (const shopId of shops.keys()) tell(shopId, said);
    },
    has: (shopId) => shops.has(shopId),
  };
}
