import type { DepthUnit, VisitDraft, Wheel } from '@keen/contract';
import { depthFromMm, sectionTires, WHEEL_ORDER, whereWords } from '@keen/core';

/** A difference across a tire worth a word, mm. */
const TELLING_MM = 0.6;

/** What the readings say at a glance, before there are enough for a verdict. */
export function soFar(draft: VisitDraft, unit: DepthUnit): string {
  const tires = sectionTires(draft, null);
  const full = WHEEL_ORDER.filter((wheel) =>
    Object.values(tires[wheel].depthMm).every((depth) => depth !== null),
  );
  if (full.length === 0) return 'A tire with all three ribs says more.';
  const slope = (wheel: Wheel) =>
    (tires[wheel].depthMm.inner ?? 0) - (tires[wheel].depthMm.outer ?? 0);
  const steepest = full.reduce((a, b) => (Math.abs(slope(b)) > Math.abs(slope(a)) ? b : a));
  const by = slope(steepest);
  if (Math.abs(by) < TELLING_MM) return 'No tire slopes by much from edge to edge.';
  const shown = depthFromMm(Math.abs(by), unit).toFixed(1);
  return `The ${whereWords(steepest)} is ${shown} ${unit === 'mm' ? 'mm' : '32nds'} lower at its ${by > 0 ? 'outer' : 'inner'} edge.`;
}
