import type { Axle, DepthUnit, Rib, Wheel } from '@keen/contract/words';
import type { ResolvedCase } from '../case/resolveCase.ts';
import { WHEEL_ORDER, WHEELS_OF_AXLE } from '../case/wheels.ts';
import { depthFromMm } from '../units/units.ts';
import { whereWords } from './causeWords.ts';
import type { Fault } from './faults.ts';

/** For and against a cause, in sentences made from this car's numbers. */
export interface Reasons {
  because: string[];
  against: string[];
}

/** A difference in depth that is worth a sentence, mm. */
const TELLING_MM = 0.4;
/** Wear faster than this times the other axle's usual is worth a sentence. */
const TELLING_RATE = 1.35;
const TELLING_RIDE_MM = 15;

type Depths = Record<Rib, number | null>;

/** Speaks for and against each fault; built once a case, then asked fault by fault. */
export function createReasons(resolved: ResolvedCase, unit: DepthUnit) {
  const depth = (mm: number) => {
    const value = depthFromMm(mm, unit);
    return unit === 'mm' ? `${value.toFixed(1)} mm` : `${value.toFixed(1)}/32 in`;
  };
  const ribs = Object.fromEntries(
    WHEEL_ORDER.map((wheel) => [wheel, meanDepths(resolved, wheel)]),
  ) as Record<Wheel, Depths>;

  /** Positive when the outer edge is lower than the inner one, mm. */
  const slope = (wheel: Wheel): number | null => {
    const { inner, outer } = ribs[wheel];
    return inner === null || outer === null ? null : inner - outer;
  };
  /** Positive when the shoulders are lower than the centre, mm. */
  const crown = (wheel: Wheel): number | null => {
    const { inner, centre, outer } = ribs[wheel];
    return inner === null || outer === null || centre === null
      ? null
      : centre - (inner + outer) / 2;
  };

  function camber(wheel: Wheel, positive: boolean): Reasons {
    const reasons = blank();
    const sign = positive ? 1 : -1;
    const edge = positive ? 'outer' : 'inner';
    const other = positive ? 'inner' : 'outer';
    const own = slope(wheel);
    const [left, right] = WHEELS_OF_AXLE[axleName(wheel)];
    const neighbour = slope(wheel === left ? right : left);
    if (own !== null && own * sign >= TELLING_MM) {
      reasons.because.push(`The ${edge} edge is ${depth(own * sign)} lower than the ${other} one.`);
      if (neighbour !== null && own * sign - neighbour * sign >= 2 * TELLING_MM) {
        reasons.because.push(
          'The tire across the axle does not slope like it, and toe would show on both.',
        );
      } else if (neighbour !== null && neighbour * sign >= TELLING_MM) {
        reasons.against.push('The tire across the axle slopes alike, as toe would leave it.');
      }
    } else if (own !== null) {
      reasons.against.push(`The ${edge} edge is not clearly lower than the ${other} one.`);
    }
    const { feather } = resolved.tires[wheel];
    if (feather === (positive ? 'catchesOutward' : 'catchesInward')) {
      reasons.against.push('The ribs are feathered, which camber alone does not do.');
    } else if (feather === 'none' && own !== null && own * sign >= TELLING_MM) {
      reasons.because.push('The slope is smooth under the hand, not feathered.');
    }
    const measured = resolved.angles[wheel].camber;
    if (measured !== null) {
      const [low, high] = resolved.tolerances.camber[axleName(wheel)];
      const out = positive ? measured > high : measured < low;
      (out ? reasons.because : reasons.against).push(
        `Camber measured ${signed(measured, 1)}°, where ${signed(low, 2)}° to ${signed(high, 2)}° is fine.`,
      );
    }
    const ride = resolved.rideHeightChangeMm[axleName(wheel)];
    if (!positive && ride <= -TELLING_RIDE_MM) {
      reasons.because.push('The car stands lower than it was built, which turns camber negative.');
    }
    return reasons;
  }

  function toe(axle: Axle, isIn: boolean): Reasons {
    const reasons = blank();
    const sign = isIn ? 1 : -1;
    const edge = isIn ? 'outer' : 'inner';
    const [left, right] = WHEELS_OF_AXLE[axle];
    const slopes = [slope(left), slope(right)];
    if (slopes.every((value) => value !== null && value * sign >= TELLING_MM / 2)) {
      const [a, b] = slopes as [number, number];
      reasons.because.push(
        `Both ${edge} edges are lower, by ${depth(a * sign)} left and ${depth(b * sign)} right.`,
      );
    } else if (slopes.every((value) => value !== null)) {
      reasons.against.push(`The ${edge} edges are not both lower, and toe shows on both tires.`);
    }
    const signature = isIn ? 'catchesOutward' : 'catchesInward';
    for (const wheel of [left, right]) {
      const { feather } = resolved.tires[wheel];
      if (feather === signature) {
        reasons.because.push(
          `The ${whereWords(wheel)} catches under the hand moving ${isIn ? 'out' : 'in'}.`,
        );
      } else if (feather !== 'unknown') {
        reasons.against.push(
          feather === 'none'
            ? `The ${whereWords(wheel)} is smooth under the hand.`
            : `The ${whereWords(wheel)} catches the other way.`,
        );
      }
    }
    const measured = [resolved.angles[left].toe, resolved.angles[right].toe];
    if (measured.every((value) => value !== null)) {
      const total = measured.reduce((sum, value) => sum + value, 0);
      const [low, high] = resolved.tolerances.totalToe[axle];
      const out = isIn ? total > high : total < low;
      (out ? reasons.because : reasons.against).push(
        `Total toe measured ${signed(total, 2)}°, where ${signed(low, 2)}° to ${signed(high, 2)}° is fine.`,
      );
    }
    return reasons;
  }

  function pressure(wheel: Wheel, high: boolean): Reasons {
    const reasons = blank();
    const sign = high ? -1 : 1;
    const own = crown(wheel);
    const [low, tall] = high ? ['centre is', 'shoulders'] : ['shoulders are', 'centre'];
    if (own !== null && own * sign >= TELLING_MM) {
      reasons.because.push(`The ${low} ${depth(own * sign)} lower than the ${tall}.`);
    } else if (own !== null) {
      reasons.against.push(`The ${low} not clearly lower than the ${tall}.`);
    }
    const ratio = resolved.tires[wheel].pressureRatio;
    if (ratio !== null) {
      const off = Math.round((ratio - 1) * 100);
      const out = high ? ratio > 1 : ratio < 1;
      const beyond = Math.abs(ratio - 1) > resolved.tolerances.pressure;
      const words =
        off === 0
          ? 'Found at the placard pressure.'
          : `Found ${Math.abs(off)} % ${off < 0 ? 'below' : 'above'} the placard.`;
      (out && beyond ? reasons.because : reasons.against).push(words);
    }
    return reasons;
  }

  function looseness(axle: Axle): Reasons {
    const reasons = blank();
    const wheels = WHEELS_OF_AXLE[axle];
    for (const wheel of wheels) {
      const play = resolved.play[wheel];
      if (play === 'some' || play === 'excessive') {
        reasons.because.push(
          `${play === 'some' ? 'Some play' : 'Too much play'} found at the ${whereWords(wheel)}.`,
        );
      } else if (play === 'none') {
        reasons.against.push(`No play found at the ${whereWords(wheel)}.`);
      }
    }
    const own = rate(wheels);
    const other = rate(WHEELS_OF_AXLE[axle === 'front' ? 'rear' : 'front']);
    const usual = axle === 'front' && resolved.drive !== 'rwd' ? TELLING_RATE * 1.2 : TELLING_RATE;
    if (own !== null && other !== null && own > other * usual) {
      reasons.because.push(
        `Both tires of the axle wore fast: ${depth(own)} each 10,000 km, against ${depth(other)} on the other axle.`,
      );
    }
    if (resolved.complaints.includes('wander')) reasons.because.push('The driver says it wanders.');
    const toes = wheels.map((wheel) => resolved.angles[wheel].toe);
    if (toes.every((value) => value !== null)) {
      const total = toes.reduce((sum, value) => sum + value, 0);
      const [low, high] = resolved.tolerances.totalToe[axle];
      if (total >= low && total <= high) {
        reasons.because.push(
          'Toe stands in tolerance on the rig, so what looks like toe may be play.',
        );
      }
    }
    return reasons;
  }

  /** Mean loss each 10,000 km over both tires of an axle, mm. */
  function rate(wheels: readonly Wheel[]): number | null {
    const rates = wheels.flatMap((wheel) => {
      const read = Object.values(ribs[wheel]).filter((value) => value !== null);
      const { newDepthMm, distanceKm } = resolved.tires[wheel];
      if (read.length === 0 || distanceKm === 0) return [];
      const mean = read.reduce((sum, value) => sum + value, 0) / read.length;
      return [((newDepthMm - mean) / distanceKm) * 10_000];
    });
    return rates.length === wheels.length
      ? rates.reduce((sum, r) => sum + r, 0) / rates.length
      : null;
  }

  function bounce(wheel: Wheel): Reasons {
    const reasons = blank();
    const { cupping, readMm } = resolved.tires[wheel];
    if (cupping === 'some' || cupping === 'heavy') {
      reasons.because.push(
        `${cupping === 'some' ? 'Some waves' : 'Heavy waves'} felt along the tread.`,
      );
    } else if (cupping === 'none') reasons.against.push('No waves felt along the tread.');
    const spread = Math.max(
      0,
      ...Object.values(readMm).map((list) => Math.max(...list) - Math.min(...list)),
    );
    const places = Math.max(...Object.values(readMm).map((list) => list.length));
    if (places > 1) {
      (spread >= 2 * TELLING_MM ? reasons.because : reasons.against).push(
        `Places round the tire differ by ${depth(spread)}.`,
      );
    }
    for (const complaint of ['vibration', 'noise'] as const) {
      if (resolved.complaints.includes(complaint)) {
        reasons.because.push(`The driver reports ${complaint}.`);
      }
    }
    return reasons;
  }

  function cornering(): Reasons {
    const reasons = blank();
    const slopes = WHEELS_OF_AXLE.front.map(slope);
    if (slopes.every((value) => value !== null && value >= TELLING_MM)) {
      reasons.because.push('Both front outer edges are lower than the inner ones.');
      if (WHEELS_OF_AXLE.front.every((wheel) => resolved.tires[wheel].feather === 'none')) {
        reasons.because.push('They are smooth under the hand, so toe did not do it.');
      }
    } else if (slopes.every((value) => value !== null)) {
      reasons.against.push('The front outer edges are not both lower.');
    }
    if (resolved.use === 'track' || resolved.use === 'drift') {
      reasons.because.push(`The car is used for ${resolved.use}.`);
    }
    return reasons;
  }

  return function reasonsFor({ cause, where }: Fault): Reasons {
    switch (cause) {
      case 'camberTooNegative':
        return camber(where as Wheel, false);
      case 'camberTooPositive':
        return camber(where as Wheel, true);
      case 'toeTooFarIn':
        return toe(where as Axle, true);
      case 'toeTooFarOut':
        return toe(where as Axle, false);
      case 'pressureLow':
        return pressure(where as Wheel, false);
      case 'pressureHigh':
        return pressure(where as Wheel, true);
      case 'looseness':
        return looseness(where as Axle);
      case 'bounce':
        return bounce(where as Wheel);
      case 'hardCornering':
        return cornering();
    }
  };
}

function blank(): Reasons {
  return { because: [], against: [] };
}

function axleName(wheel: Wheel): Axle {
  return wheel === 'lf' || wheel === 'rf' ? 'front' : 'rear';
}

function meanDepths(resolved: ResolvedCase, wheel: Wheel): Depths {
  const mean = (depths: readonly number[]) =>
    depths.length === 0 ? null : depths.reduce((sum, value) => sum + value, 0) / depths.length;
  const { inner, centre, outer } = resolved.tires[wheel].readMm;
  return { inner: mean(inner), centre: mean(centre), outer: mean(outer) };
}

function signed(value: number, digits: number): string {
  return `${value < 0 ? '−' : '+'}${Math.abs(value).toFixed(digits)}`;
}
