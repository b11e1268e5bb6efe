import type { VisitDraft } from '@keen/contract';

type Node = Record<string, unknown> | unknown[];

/** An entry as far as the fold is concerned: one field of the draft and its new value. */
export interface FieldChange {
  path: string;
  value: unknown;
}

/**
 * Applies entries to a draft, in order, and returns a new one; the old is not changed.
 *
 * Each entry sets the field at its dotted path; `null` clears it. Whole-number steps index arrays,
 * which grow as needed. Paths are those the contract knows, so nothing else can be written.
 * @param draft - the draft before; `{}` for a new visit
 * @example foldEntries({}, [{ path: 'tires.lf.newDepth', value: 8 }]) // { tires: { lf: { newDepth: 8 } } }
 */
export function foldEntries(draft: VisitDraft, entries: readonly FieldChange[]): VisitDraft {
  let folded: Node = draft;
  for (const entry of entries) folded = setAt(folded, entry.path.split('.'), entry.value);
  return folded as VisitDraft;
}

function setAt(node: Node | undefined, steps: readonly string[], value: unknown): Node {
  const [step, ...rest] = steps as [string, ...string[]];
  const index = /^\d+$/.test(step) ? Number(step) : null;
  const child = (old: unknown) =>
    rest.length === 0 ? value : setAt(isNode(old) ? old : undefined, rest, value);
  if (index !== null) {
    const copy: unknown[] = Array.isArray(node) ? [...node] : [];
    while (copy.length < index) copy.push({});
    copy[index] = child(copy[index]);
    return copy;
  }
  const copy: Record<string, unknown> = { ...(node as Record<string, unknown> | undefined) };
  const next = child(copy[step]);
  if (next === null || next === undefined) delete copy[step];
  else copy[step] = next;
  return copy;
}

function isNode(value: unknown): value is Node {
  return typeof value === 'object' && value !== null;
}
