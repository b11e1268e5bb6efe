/** Who listens, shop by shop. */
export interface Listeners<Said> {
  /** @returns stops listening */
  listen(shopId: string, hear: (said: Said) => void): () => void;
  tell(shopId: string, said: Said): void;
  has(shopId: string): boolean;
}

export function createListeners<Said>(): Listeners<Said> {
  const shops = new Map<string, Set<(said: Said) => void>>();
  return {
    listen(shopId, hear) {
      const heard = shops.get(shopId) ?? new Set();
      shops.set(shopId, heard.add(hear));
      return () => heard.delete(hear);
    },
    tell(shopId, said) {
      for (const hear of shops.get(shopId) ?? []) hear(said);
    },
    has: (shopId) => (shops.get(shopId)?.size ?? 0) > 0,
  };
}
