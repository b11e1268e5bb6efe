import type { VisitDraft } from '@keen/contract';
import { dangers, textsOf, whereWords } from '@keen/core';
import type { DangerKind } from '@keen/core';

/** What must not be driven and why, in the words of the customer's sheet, worst first. */
export function dangerWords(draft: VisitDraft): { kind: DangerKind; what: string; why: string }[] {
  const texts = textsOf('en').papers.dangers;
  return dangers(draft).map(({ kind, wheels }) => ({
    kind,
    what: texts[kind].what(wheels.map(whereWords).join(', ')),
    why: texts[kind].why,
  }));
}
