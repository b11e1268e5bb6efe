import type { VisitDraft } from '@keen/contract';

/**
 * The value of a draft's field by its dotted path; null when it is not set.
 * @example fieldAt({ tires: { lf: { newDepth: 8 } } }, 'tires.lf.newDepth') // 8
 */
export function fieldAt(draft: VisitDraft, path: string): unknown {
  return valueAt(draft, path) ?? null;
}

/** What stands at a dotted path; undefined where nothing does. */
export function valueAt(node: unknown, path: string): unknown {
  let at = node;
  for (const step of path.split('.')) {
    if (typeof at !== 'object' || at === null) return undefined;
    at = (at as Record<string, unknown>)[step];
  }
  return at;
}
