import type { Wheel } from '@keen/contract';
import { byWheel } from '@keen/core';
import type { SectionTire } from '@keen/core';
import { featherFelt, tiresAt } from '@keen/core/lab';
import { BAND_KM } from './otherCars.ts';
import type { Band } from './otherCars.ts';
import type { Driven } from './useLab.ts';

/** What the axle sections show of a driven car at a distance, with what other cars have left then. */
export function labSections(
  { run, plan }: Driven,
  km: number,
  band: Band | null,
): Record<Wheel, SectionTire> {
  const tires = tiresAt(run, km);
  return byWheel((wheel, at) => {
    const feather = tires.feather[wheel];
    return {
      depthMm: tires.depthMm[wheel],
      unreadable: [],
      expected: band && expectedAt(band, km, at),
      newDepthMm: plan.newMm,
      feather: featherFelt(feather),
      // Steps of a twentieth: the picture is redrawn only when it looks different.
      toothSize: Math.round(20 * Math.min(1, Math.abs(feather))) / 20,
    };
  });
}

function expectedAt(band: Band, km: number, wheel: number): SectionTire['expected'] {
  const step = Math.min(band.steps, Math.round(km / BAND_KM));
  const of = (rib: number) => {
    const at = 12 * step + 3 * wheel + rib;
    return { mean: band.mean[at]!, sd: band.sd[at]! };
  };
  return { inner: of(0), centre: of(1), outer: of(2) };
}
