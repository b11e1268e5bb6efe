import type { VisitDraft } from '@keen/contract';

/**
 * Whether the axles carry different sizes. What stands behind the size (load index, speed symbol) makes
 * no difference.
 * @returns false where a size is not known
 * @example isStaggered({ tires: { lf: { size: '225/45R17' }, lr: { size: '245/40R17' } } }) // true
 */
export function isStaggered({ tires }: VisitDraft): boolean {
  const [front, rear] = [tires?.lf?.size, tires?.lr?.size].map(plainSize);
  return front !== undefined && rear !== undefined && front !== rear;
}

/** Whether tires may change axles, as far as it was said or shows in their sizes; null where neither. */
export function mayRotate(draft: VisitDraft): boolean | null {
  return draft.vehicle?.rotatable ?? (isStaggered(draft) ? false : null);
}

function plainSize(size: string | undefined): string | undefined {
  return size?.trim().toUpperCase().split(/\s+/)[0];
}
