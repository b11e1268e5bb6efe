import type { DepthUnit, VisitDraft, Wheel } from '@keen/contract';
import { depthFromMm, sectionTires, WHEEL_ORDER } from '@keen/core';
import { DEPTH_UNIT_WORDS } from '../../shared/format.ts';
import { t } from '../../words/read.ts';
import { whereWords } from '../../words/pageTexts.ts';

/** A difference across a tire worth a word, mm. */
const TELLING_MM = 0.6;

/** What the readings say at a glance, before there are enough for a verdict. */
export function soFar(draft: VisitDraft, unit: DepthUnit): string {
  const tires = sectionTires(draft, null);
  const full = WHEEL_ORDER.filter((wheel) =>
    Object.values(tires[wheel].depthMm).every((depth) => depth !== null),
  );
  if (full.length === 0) return t('soFar.aTireWithAll');
  const slope = (wheel: Wheel) =>
    (tires[wheel].depthMm.inner ?? 0) - (tires[wheel].depthMm.outer ?? 0);
  const steepest = full.reduce((a, b) => (Math.abs(slope(b)) > Math.abs(slope(a)) ? b : a));
  const by = slope(steepest);
  if (Math.abs(by) < TELLING_MM) return t('soFar.noTireSlopesBy');
  const shown = depthFromMm(Math.abs(by), unit).toFixed(1);
  return t(by > 0 ? 'soFar.lowerOuter' : 'soFar.lowerInner', {
    where: whereWords(steepest),
    shown,
    unit: DEPTH_UNIT_WORDS[unit],
  });
}
