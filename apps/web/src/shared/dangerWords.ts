import type { VisitDraft } from '@keen/contract';
import { dangers } from '@keen/core';
import type { DangerKind } from '@keen/core';
import { papers, whereWords } from '../words/pageTexts.ts';

/** What must not be driven and why, in the words of the customer's sheet, worst first. */
export function dangerWords(draft: VisitDraft): { kind: DangerKind; what: string; why: string }[] {
  return dangers(draft).map(({ kind, wheels }) => ({
    kind,
    what: papers.dangers[kind].what(wheels.map(whereWords).join(', ')),
    why: papers.dangers[kind].why,
  }));
}
