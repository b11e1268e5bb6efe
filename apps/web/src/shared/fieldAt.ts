import type { VisitDraft } from '@keen/contract';

/** The value of a draft's field by its dotted path; null when it is not set. */
export function fieldAt(draft: VisitDraft, path: string): unknown {
  let node: unknown = draft;
  for (const step of path.split('.')) {
    if (typeof node !== 'object' || node === null) return null;
    node = (node as Record<string, unknown>)[step];
  }
  return node ?? null;
}
