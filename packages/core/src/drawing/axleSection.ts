import type { Axle, Cupping, Feather, Rib, Wheel } from '@keen/contract/words';
import { WHEELS_OF_AXLE } from '../engine/case/wheels.ts';

/**
 * The axle section: both tires of an axle seen from behind, cut through the rubber. Pure geometry in
 * drawing units, so that the screen, the list and the printed sheet draw the same picture.
 */

/** What one tire shows. Depths in mm; null where nothing was read. */
export interface SectionTire {
  depthMm: Record<Rib, number | null>;
  unreadable: readonly Rib[];
  expected: Record<Rib, { mean: number; sd: number }> | null;
  newDepthMm: number;
  feather: Feather;
  /** Waves along the tread, which no cut across it shows: they are said beside it. */
  cupping?: Cupping | undefined;
  /** How far its teeth have grown, 0 to 1; full-grown when left out. */
  toothSize?: number;
  /** What the same tire had at an earlier reading, mm; its ribs are drawn as what was lost since. */
  earlierMm?: Record<Rib, number | null>;
}

export interface SectionOptions {
  width: number;
  /** Height of the new tread, drawing units. */
  height: number;
  legalMm: number;
  /** Space between the two tires, as a part of the width. */
  gap?: number;
}

export interface Bar {
  wheel: Wheel;
  rib: Rib;
  x: number;
  width: number;
  /** Top of the worn surface; null when not read. */
  top: number | null;
  /** Top of the surface at the earlier reading; null where there is none. */
  earlierTop: number | null;
  /** Closed outline of the rubber, with its teeth. */
  outline: string | null;
  isAtLimit: boolean;
  isUnreadable: boolean;
}

export interface AxleSection {
  width: number;
  height: number;
  bars: Bar[];
  /** y of the legal limit, and of the deepest new tread. */
  limitY: number;
  newY: Record<Wheel, number>;
  /** Expected line and band for each wheel, as path data; null without a model. */
  expected: { wheel: Wheel; line: string; band: string }[];
  /** Left and right edge of each tire. */
  tires: { wheel: Wheel; x: number; width: number }[];
  newMm: number;
}

const RIBS_FROM_LEFT: Record<'left' | 'right', readonly Rib[]> = {
  left: ['outer', 'centre', 'inner'],
  right: ['inner', 'centre', 'outer'],
};
const GROOVE = 0.035;
const TEETH = 4;
/** Height of a tooth, as a part of the bar's width. */
const TOOTH = 0.2;
/** A low and wide drawing must not have its teeth look like lost tread: at most this much of it, mm. */
const TOOTH_MM = 1;

/**
 * Lays out an axle section to scale: the height is the deepest new tread of the pair.
 * @returns positions in drawing units, y downward, 0 at the top of the new tread
 */
export function axleSection(
  axle: Axle,
  tires: Record<Wheel, SectionTire>,
  options: SectionOptions,
): AxleSection {
  const { width, height, legalMm, gap = 0.17 } = options;
  const wheels = WHEELS_OF_AXLE[axle];
  const newMm = Math.max(...wheels.map((wheel) => tires[wheel].newDepthMm));
  // What the model leaves is drawn no deeper than new: its line runs on straight beyond the outer ribs.
  const y = (mm: number) => height * (1 - Math.min(newMm, Math.max(0, mm)) / newMm);
  const tireWidth = (width * (1 - gap)) / 2;
  const groove = tireWidth * GROOVE;
  const barWidth = (tireWidth - 2 * groove) / 3;
  const tooth = Math.min(TOOTH * barWidth, TOOTH_MM * (height / newMm));

  const section: AxleSection = {
    width,
    height,
    bars: [],
    limitY: y(legalMm),
    newY: {} as Record<Wheel, number>,
    expected: [],
    tires: [],
    newMm,
  };
  wheels.forEach((wheel, index) => {
    const tire = tires[wheel];
    const left = index === 0 ? 0 : width - tireWidth;
    const ribs = RIBS_FROM_LEFT[index === 0 ? 'left' : 'right'];
    section.tires.push({ wheel, x: left, width: tireWidth });
    section.newY[wheel] = y(tire.newDepthMm);
    ribs.forEach((rib, position) => {
      const x = left + position * (barWidth + groove);
      const depth = tire.depthMm[rib];
      const top = depth === null ? null : y(depth);
      const earlier = tire.earlierMm?.[rib] ?? null;
      section.bars.push({
        wheel,
        rib,
        x,
        width: barWidth,
        top,
        earlierTop: earlier === null ? null : y(earlier),
        outline:
          top === null
            ? null
            : barOutline(
                x,
                barWidth,
                top,
                height,
                teethOf(tire.feather, index === 0),
                tooth * (tire.toothSize ?? 1),
              ),
        isAtLimit: depth !== null && depth <= legalMm,
        isUnreadable: tire.unreadable.includes(rib),
      });
    });
    if (tire.expected)
      section.expected.push(expectedOf(wheel, ribs, tire.expected, left, tireWidth, y));
  });
  return section;
}

/**
 * Which way the teeth lean in the drawing: the sharp side faces the hand that is caught. Catching
 * outward, the hand moving away from the car meets the step, so on the left tire the step faces right.
 */
function teethOf(feather: Feather, isLeft: boolean): -1 | 0 | 1 {
  if (feather === 'catchesOutward') return isLeft ? 1 : -1;
  if (feather === 'catchesInward') return isLeft ? -1 : 1;
  return 0;
}

function barOutline(
  x: number,
  width: number,
  top: number,
  bottom: number,
  teeth: -1 | 0 | 1,
  tooth: number,
): string {
  const right = x + width;
  if (teeth === 0) return `M${n(x)} ${n(bottom)}V${n(top)}H${n(right)}V${n(bottom)}Z`;
  const step = width / TEETH;
  const deep = Math.min(bottom, top + tooth);
  let path = `M${n(x)} ${n(bottom)}`;
  for (let i = 0; i < TEETH; i++) {
    const from = x + i * step;
    const to = from + step;
    // A ramp up to the sharp edge, then the step down.
    path += teeth === 1 ? `V${n(deep)}L${n(to)} ${n(top)}` : `V${n(top)}L${n(to)} ${n(deep)}`;
  }
  return `${path}V${n(bottom)}Z`;
}

function expectedOf(
  wheel: Wheel,
  ribs: readonly Rib[],
  expected: Record<Rib, { mean: number; sd: number }>,
  left: number,
  width: number,
  y: (mm: number) => number,
) {
  const points = ribs.map((rib, i) => {
    const { mean, sd } = expected[rib];
    return { x: left + (width * (i + 0.5)) / 3, mean, sd };
  });
  // The line runs the whole width of the tire, straight on beyond the outer ribs' middles.
  const [a, b, c] = points as [Point, Point, Point];
  const edge = (end: Point, x: number, near: Point): Point => ({
    x,
    mean: end.mean + (end.mean - near.mean) / 2,
    sd: end.sd,
  });
  const all = [edge(a, left, b), a, b, c, edge(c, left + width, b)];
  const at = (offset: number) => (p: Point) => `${n(p.x)} ${n(y(p.mean + offset * p.sd))}`;
  return {
    wheel,
    line: `M${all.map(at(0)).join('L')}`,
    band: `M${all.map(at(1)).join('L')}L${all.toReversed().map(at(-1)).join('L')}Z`,
  };
}

interface Point {
  x: number;
  mean: number;
  sd: number;
}

function n(value: number): string {
  return value.toFixed(2).replace(/\.?0+$/, '');
}
