import type { CaseFile } from '@keen/contract';
import { COMPLAINTS, RIBS } from '@keen/contract/words';
import { resolveCase, WHEEL_ORDER } from '@keen/core/engine';

/**
 * What a plain learner sees of a car: numbers that anyone would write down from the case, with a flag
 * for each that is missing. No formula of wear is in them.
 */
export function featuresOf(file: CaseFile): number[] {
  const resolved = resolveCase(file);
  const { tolerances, tires } = resolved;
  const features: number[] = [];
  const add = (value: number | null | undefined) => {
    const isThere = value !== null && value !== undefined && Number.isFinite(value);
    features.push(isThere ? value : 0, isThere ? 0 : 1);
  };
  const lost = WHEEL_ORDER.map((wheel) =>
    RIBS.map((rib) => {
      const depths = tires[wheel].readMm[rib];
      if (depths.length === 0) return Number.NaN;
      return tires[wheel].newDepthMm - depths.reduce((a, b) => a + b, 0) / depths.length;
    }),
  );
  const means = lost.map((ribs) => {
    const read = ribs.filter((mm) => !Number.isNaN(mm));
    return read.length === 0 ? Number.NaN : read.reduce((a, b) => a + b, 0) / read.length;
  });
  const slopes = lost.map(([inner, , outer], i) => (outer! - inner!) / Math.max(1, means[i]!));
  const crowns = lost.map(
    ([inner, centre, outer], i) => (inner! + outer! - 2 * centre!) / Math.max(1, means[i]!),
  );
  WHEEL_ORDER.forEach((wheel, tire) => {
    const { feather, cupping, pressureRatio, distanceKm, readMm } = tires[wheel];
    const mate = tire ^ 1;
    const across = tire ^ 2;
    add(slopes[tire]);
    add(crowns[tire]);
    add(slopes[tire]! - slopes[mate]!);
    add(slopes[tire]! + slopes[mate]!);
    add(crowns[tire]! + crowns[mate]!);
    add(crowns[tire]! - crowns[mate]!);
    add(means[tire]! / (distanceKm / 10_000));
    add(Math.log(Math.max(0.1, means[tire]!) / Math.max(0.1, means[mate]!)));
    add(Math.log(Math.max(0.1, means[tire]!) / Math.max(0.1, means[across]!)));
    add(
      feather === 'unknown' ? null : feather === 'none' ? 0 : feather === 'catchesOutward' ? 1 : -1,
    );
    add(cupping === 'unknown' ? null : ['none', 'some', 'heavy'].indexOf(cupping));
    add(pressureRatio === null ? null : pressureRatio - 1);
    const play = resolved.play[wheel];
    add(play === 'unknown' ? null : ['none', 'some', 'excessive'].indexOf(play));
    const { camber, toe } = resolved.angles[wheel];
    const limits = tolerances.camber[tire < 2 ? 'front' : 'rear'];
    add(camber === null ? null : camber - limits[0]);
    add(camber === null ? null : camber - limits[1]);
    add(toe);
    const scatter = RIBS.flatMap((rib) => {
      const mean = readMm[rib].reduce((a, b) => a + b, 0) / readMm[rib].length;
      return readMm[rib].length > 1 ? readMm[rib].map((mm) => (mm - mean) ** 2) : [];
    });
    add(scatter.length > 0 ? Math.sqrt(scatter.reduce((a, b) => a + b, 0) / scatter.length) : null);
    add(means[tire]);
  });
  for (const axle of ['front', 'rear'] as const) {
    features.push(...tolerances.camber[axle], ...tolerances.totalToe[axle]);
    const [left, right] = axle === 'front' ? ['lf', 'rf'] : ['lr', 'rr'];
    const total =
      (resolved.angles[left as 'lf'].toe ?? Number.NaN) +
      (resolved.angles[right as 'rf'].toe ?? Number.NaN);
    add(total - tolerances.totalToe[axle][0]);
    add(total - tolerances.totalToe[axle][1]);
  }
  features.push(...['fwd', 'rwd', 'awd'].map((drive) => (resolved.drive === drive ? 1 : 0)));
  features.push(resolved.rotations.length, resolved.reading.roundingMm);
  for (const complaint of COMPLAINTS) {
    features.push(
      resolved.askedComplaints ? (resolved.complaints.includes(complaint) ? 1 : -1) : 0,
    );
  }
  return features;
}
