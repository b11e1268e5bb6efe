import type { ReasonCode } from '@keen/contract';
import type { Axle, DepthUnit, Rib, Wheel } from '@keen/contract/words';
import type { ResolvedCase } from '../../engine/case/resolveCase.ts';
import { WHEEL_ORDER, WHEELS_OF_AXLE } from '../../engine/case/wheels.ts';
import { ENGLISH } from '../../words/english.ts';
import type { Texts } from '../../words/texts.ts';
import { depthIn, numberIn } from '../../words/texts.ts';
import { depthFromMm } from '../../engine/units/units.ts';
import type { Fault } from '../../engine/wear/faults.ts';
import { tiresWornAt } from '../../engine/wear/history.ts';
import { featherPath } from '../../engine/diagnosis/observationLikelihood.ts';
import { reasonBuilders } from './reasonBuilders.ts';
import type { Figure, RenderedReason } from './reasonBuilders.ts';

/** For and against a cause, in sentences made from this car's numbers. */
export interface Reasons {
  because: string[];
  against: string[];
  /** The same as codes with their figures, in the same order. */
  codes: { because: ReasonCode[]; against: ReasonCode[] };
}

/** The same while it is gathered. */
interface Gathered {
  because: RenderedReason[];
  against: RenderedReason[];
}

/** A difference in depth that is worth a sentence, mm. */
const TELLING_MM = 0.4;
/** Wear faster than this times the other axle's usual is worth a sentence. */
const TELLING_RATE = 1.35;
const TELLING_RIDE_MM = 15;

type Depths = Record<Rib, number | null>;

/**
 * Speaks for and against each fault; built once a case, then asked fault by fault.
 * @param unit - of depths
 * @param texts - the language it speaks
 */
export function createReasons(resolved: ResolvedCase, unit: DepthUnit, texts: Texts = ENGLISH) {
  const say = reasonBuilders(texts.reasons);
  const depth = (mm: number): Figure => ({
    value: rounded(mm),
    text: depthIn(texts, depthFromMm(mm, unit), unit),
  });
  const signed = (value: number, digits: number): Figure => ({
    value: rounded(value),
    text: `${value < 0 ? '' : '+'}${numberIn(texts, value, digits)}`,
  });
  const ribs = Object.fromEntries(
    WHEEL_ORDER.map((wheel) => [wheel, meanDepths(resolved, wheel)]),
  ) as Record<Wheel, Depths>;

  /** The tire that carries most of the wear of a place. */
  const wornAt = Object.fromEntries(
    WHEEL_ORDER.map((place) => [place, tiresWornAt(resolved, place)[0]!]),
  ) as Record<Wheel, Wheel>;
  const sayMoved = (reasons: Gathered, places: readonly Wheel[]) => {
    for (const place of places) {
      if (wornAt[place] !== place) reasons.because.push(say.ranThere(place, wornAt[place]));
    }
  };

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

  function camber(wheel: Wheel, positive: boolean): Gathered {
    const reasons = blank();
    const sign = positive ? 1 : -1;
    const edge = positive ? 'outer' : 'inner';
    const tire = wornAt[wheel];
    const own = slope(tire);
    const [left, right] = WHEELS_OF_AXLE[axleName(wheel)];
    const neighbour = slope(wornAt[wheel === left ? right : left]);
    sayMoved(reasons, [wheel]);
    if (own !== null && own * sign >= TELLING_MM) {
      reasons.because.push(say.edgeLower(edge, depth(own * sign)));
      if (neighbour !== null && own * sign - neighbour * sign >= 2 * TELLING_MM) {
        reasons.because.push(say.neighbourDiffers);
      } else if (neighbour !== null && neighbour * sign >= TELLING_MM) {
        reasons.against.push(say.neighbourAlike);
      }
    } else if (own !== null) {
      reasons.against.push(say.edgeNotLower(edge));
    }
    const { feather } = resolved.tires[tire];
    if (feather === (positive ? 'catchesOutward' : 'catchesInward')) {
      reasons.against.push(say.feathered);
    } else if (feather === 'none' && own !== null && own * sign >= TELLING_MM) {
      reasons.because.push(say.smoothSlope);
    }
    const measured = resolved.angles[wheel].camber;
    if (measured !== null) {
      const [low, high] = resolved.tolerances.camber[axleName(wheel)];
      const out = positive ? measured > high : measured < low;
      (out ? reasons.because : reasons.against).push(
        say.camberMeasured(signed(measured, 1), signed(low, 2), signed(high, 2)),
      );
    }
    const ride = resolved.rideHeightChangeMm[axleName(wheel)];
    if (!positive && ride <= -TELLING_RIDE_MM) {
      reasons.because.push(say.standsLower);
    }
    return reasons;
  }

  function toe(axle: Axle, isIn: boolean): Gathered {
    const reasons = blank();
    const sign = isIn ? 1 : -1;
    const edge = isIn ? 'outer' : 'inner';
    const [left, right] = WHEELS_OF_AXLE[axle];
    const slopes = [slope(wornAt[left]), slope(wornAt[right])];
    sayMoved(reasons, [left, right]);
    if (slopes.every((value) => value !== null && value * sign >= TELLING_MM / 2)) {
      const [a, b] = slopes as [number, number];
      reasons.because.push(say.bothEdgesLower(edge, depth(a * sign), depth(b * sign)));
    } else if (slopes.every((value) => value !== null)) {
      reasons.against.push(say.edgesNotBoth(edge));
    }
    const signature = isIn ? 'catchesOutward' : 'catchesInward';
    // The hand feels the axle that a tire ran on of late, not the one that wore it longest.
    const felt = WHEEL_ORDER.filter((_, tire) => featherPath(resolved, tire)[axle] > 0.5);
    for (const wheel of felt) {
      const { feather } = resolved.tires[wheel];
      if (feather === signature) {
        reasons.because.push(say.catches(wheel, isIn));
      } else if (feather !== 'unknown') {
        reasons.against.push(feather === 'none' ? say.isSmooth(wheel) : say.catchesOther(wheel));
      }
    }
    const measured = [resolved.angles[left].toe, resolved.angles[right].toe];
    if (measured.every((value) => value !== null)) {
      const total = measured.reduce((sum, value) => sum + value, 0);
      const [low, high] = resolved.tolerances.totalToe[axle];
      const out = isIn ? total > high : total < low;
      (out ? reasons.because : reasons.against).push(
        say.toeMeasured(signed(total, 2), signed(low, 2), signed(high, 2)),
      );
    }
    return reasons;
  }

  function pressure(wheel: Wheel, high: boolean): Gathered {
    const reasons = blank();
    const sign = high ? -1 : 1;
    const own = crown(wheel);
    if (own !== null && own * sign >= TELLING_MM) {
      reasons.because.push(say.crownLower(high, depth(own * sign)));
    } else if (own !== null) {
      reasons.against.push(say.crownNotLower(high));
    }
    const ratio = resolved.tires[wheel].pressureRatio;
    if (ratio !== null) {
      const off = Math.round((ratio - 1) * 100);
      const out = high ? ratio > 1 : ratio < 1;
      const beyond = Math.abs(ratio - 1) > resolved.tolerances.pressure;
      const words = off === 0 ? say.atPlacard : say.offPlacard(off);
      (out && beyond ? reasons.because : reasons.against).push(words);
    }
    return reasons;
  }

  function looseness(axle: Axle): Gathered {
    const reasons = blank();
    const wheels = WHEELS_OF_AXLE[axle];
    for (const wheel of wheels) {
      const play = resolved.play[wheel];
      if (play === 'some' || play === 'excessive') {
        reasons.because.push(say.play(wheel, play));
      } else if (play === 'none') {
        reasons.against.push(say.play(wheel, play));
      }
    }
    const rateAt = (at: Axle) => rate(WHEELS_OF_AXLE[at].map((place) => wornAt[place]));
    const own = rateAt(axle);
    const other = rateAt(axle === 'front' ? 'rear' : 'front');
    const usual = axle === 'front' && resolved.drive !== 'rwd' ? TELLING_RATE * 1.2 : TELLING_RATE;
    if (own !== null && other !== null && own > other * usual) {
      reasons.because.push(say.woreFast(depth(own), depth(other)));
    }
    if (resolved.complaints.includes('wander')) reasons.because.push(say.saysWanders);
    const toes = wheels.map((wheel) => resolved.angles[wheel].toe);
    if (toes.every((value) => value !== null)) {
      const total = toes.reduce((sum, value) => sum + value, 0);
      const [low, high] = resolved.tolerances.totalToe[axle];
      if (total >= low && total <= high) {
        reasons.because.push(say.toeStandsIn);
      }
    }
    return reasons;
  }

  /** Mean loss each 10,000 km over both tires of an axle, mm. */
  function rate(wheels: readonly Wheel[]): number | null {
    const rates = wheels.flatMap((wheel) => {
      const read = Object.values(ribs[wheel]).filter((value) => value !== null);
      const { newDepthMm, stretch } = resolved.tires[wheel];
      if (read.length === 0 || stretch.distanceKm === 0) return [];
      const mean = read.reduce((sum, value) => sum + value, 0) / read.length;
      return [((newDepthMm - mean) / stretch.distanceKm) * 10_000];
    });
    return rates.length === wheels.length
      ? rates.reduce((sum, r) => sum + r, 0) / rates.length
      : null;
  }

  function bounce(wheel: Wheel): Gathered {
    const reasons = blank();
    const { cupping, readMm } = resolved.tires[wheel];
    if (cupping === 'some' || cupping === 'heavy') {
      reasons.because.push(say.waves(cupping));
    } else if (cupping === 'none') reasons.against.push(say.waves(cupping));
    const spread = Math.max(
      0,
      ...Object.values(readMm).map((list) => Math.max(...list) - Math.min(...list)),
    );
    const places = Math.max(...Object.values(readMm).map((list) => list.length));
    if (places > 1) {
      (spread >= 2 * TELLING_MM ? reasons.because : reasons.against).push(
        say.placesDiffer(depth(spread)),
      );
    }
    for (const complaint of ['vibration', 'noise'] as const) {
      if (resolved.complaints.includes(complaint)) {
        reasons.because.push(say.reports(complaint));
      }
    }
    return reasons;
  }

  function cornering(): Gathered {
    const reasons = blank();
    const fronts = WHEELS_OF_AXLE.front.map((place) => wornAt[place]);
    const slopes = fronts.map(slope);
    sayMoved(reasons, WHEELS_OF_AXLE.front);
    if (slopes.every((value) => value !== null && value >= TELLING_MM)) {
      reasons.because.push(say.bothFrontOuterLower);
      if (fronts.every((wheel) => resolved.tires[wheel].feather === 'none')) {
        reasons.because.push(say.smoothSoNotToe);
      }
    } else if (slopes.every((value) => value !== null)) {
      reasons.against.push(say.frontOuterNotBoth);
    }
    if (resolved.use === 'track' || resolved.use === 'drift') {
      reasons.because.push(say.usedFor(resolved.use));
    }
    return reasons;
  }

  function gather({ cause, where }: Pick<Fault, 'cause' | 'where'>): Gathered {
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
  }

  return function reasonsFor(fault: Pick<Fault, 'cause' | 'where'>): Reasons {
    const { because, against } = gather(fault);
    const texted = (list: readonly RenderedReason[]) => list.map(({ text }) => text);
    const coded = (list: readonly RenderedReason[]) =>
      list.map(({ code, figures }) => ({ code, figures }));
    return {
      because: texted(because),
      against: texted(against),
      codes: { because: coded(because), against: coded(against) },
    };
  };
}

function blank(): Gathered {
  return { because: [], against: [] };
}

function axleName(wheel: Wheel): Axle {
  return wheel === 'lf' || wheel === 'rf' ? 'front' : 'rear';
}

/** Mean depth of each rib, as it would be had the stretch that counts begun with an even tread. */
function meanDepths(resolved: ResolvedCase, wheel: Wheel): Depths {
  const { readMm, newDepthMm, stretch } = resolved.tires[wheel];
  const mean = (rib: Rib) => {
    const depths = readMm[rib];
    if (depths.length === 0) return null;
    const read = depths.reduce((sum, value) => sum + value, 0) / depths.length;
    return read + newDepthMm - stretch.fromMm[rib];
  };
  return { inner: mean('inner'), centre: mean('centre'), outer: mean('outer') };
}

/** Without the last bits of a difference: 1.9, not 1.9000000000000004. */
function rounded(value: number): number {
  return Number(value.toFixed(4));
}
