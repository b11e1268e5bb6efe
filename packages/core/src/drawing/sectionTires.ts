import type { VisitDraft } from '@keen/contract';
import type { Rib, Wheel } from '@keen/contract/words';
import { RIBS } from '@keen/contract/words';
import { byWheel } from '../engine/case/resolveCase.ts';
import type { ExpectedDepths } from '../engine/diagnosis/diagnose.ts';
import { ASSUMED } from '../visit/draftToCase.ts';
import type { SectionTire } from './axleSection.ts';

/** What the axle sections show of a visit: the mean over the places read, rib by rib. */
export function sectionTires(
  draft: VisitDraft,
  expected: ExpectedDepths | null,
): Record<Wheel, SectionTire> {
  return byWheel((wheel) => {
    const tire = draft.tires?.[wheel];
    const readings = (rib: Rib) => (tire?.stations ?? []).map((station) => station[rib]);
    const mean = (rib: Rib) => {
      const read = readings(rib).filter((value): value is number => typeof value === 'number');
      return read.length > 0 ? read.reduce((sum, value) => sum + value, 0) / read.length : null;
    };
    const depthMm = { inner: mean('inner'), centre: mean('centre'), outer: mean('outer') };
    return {
      depthMm,
      unreadable: RIBS.filter(
        (rib) => depthMm[rib] === null && readings(rib).includes('unreadable'),
      ),
      expected: expected?.[wheel] ?? null,
      newDepthMm: Math.max(
        tire?.newDepth ?? ASSUMED.newDepthMm,
        ...RIBS.map((rib) => depthMm[rib] ?? 0),
      ),
      feather: tire?.feather ?? 'unknown',
      cupping: tire?.cupping ?? 'unknown',
    };
  });
}
