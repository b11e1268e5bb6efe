import type { DrillQuestion } from '@keen/contract';
import { tieRod } from '../calculators/adjustment/tieRod.ts';
import { wishboneShims } from '../calculators/adjustment/wishboneShims.ts';
import { createRandom } from '../engine/random/random.ts';
import type { Random } from '../engine/random/random.ts';
import { parseMeasure } from '../engine/units/parseMeasure.ts';

/** A question with its answer: the answer stays where it is asked from. */
export interface DrillItem {
  question: DrillQuestion;
  /** As it is written, or the code of what is chosen: `plus`, `left.longer`, mm of shims `+4.2`. */
  right: string;
}

const OF_EACH = 2;
const SIXTEENTHS = 16;
/** A tape that is read within half its finest mark is read right. */
const HALF_MARK_IN = 1 / 32 + 1e-9;
const ROD = { steeringArm: 130, threadPitch: 1.5, adjuster: 'single' } as const;
const ARM = { boltSpacing: 180, armLength: 240 } as const;
const WHEELS = ['lf', 'rf'] as const;
/** What each front wheel should have, degrees. */
const ROD_TARGET = 0.1;

/**
 * Deals a drill: two questions of each kind, in an order of its own.
 * @param seed - the same seed gives the same drill
 * @example dealDrill(1).length // 8
 */
export function dealDrill(seed: number): DrillItem[] {
  const random = createRandom(seed);
  const items = [tape, sign, rod, shim].flatMap((make) =>
    Array.from({ length: OF_EACH }, () => make(random)),
  );
  for (let i = items.length - 1; i > 0; i--) {
    const j = Math.floor((i + 1) * random.uniform());
    [items[i], items[j]] = [items[j]!, items[i]!];
  }
  return items;
}

/** Whether what was answered is right. */
export function isRightAnswer({ question, right }: DrillItem, text: string): boolean {
  if (question.kind !== 'tape') return answerCode(text) === right;
  const inches = parseMeasure(text);
  return inches !== null && Math.abs(inches - question.inches) <= HALF_MARK_IN;
}

/**
 * What was answered; drills from before answers were codes have English words.
 * @example answerCode('longer') // 'longer'
 */
export function answerCode(text: string): string {
  const rod = /^(left|right) rod (longer|shorter)$/.exec(text);
  if (rod) return `${rod[1]}.${rod[2]}`;
  const shims = /^([\d.]+) mm (more|less)$/.exec(text);
  return shims ? `${shims[2] === 'more' ? '+' : '-'}${shims[1]}` : text;
}

const whole = (random: Random, low: number, high: number) =>
  low + Math.floor((high - low + 1) * random.uniform());
const either = <T>(random: Random, a: T, b: T): T => (random.uniform() < 0.5 ? a : b);
/** Tenths of a degree, never nought. */
const tenths = (random: Random, low: number, high: number) => whole(random, low, high) / 10;

/** Reads where a tape ends. */
function tape(random: Random): DrillItem {
  const [inches, parts] = [whole(random, 48, 66), whole(random, 1, SIXTEENTHS - 1)];
  const right = `${inches} ${fraction(parts)}`;
  return {
    question: { kind: 'tape', inches: inches + parts / SIXTEENTHS },
    right,
  };
}

function fraction(sixteenths: number): string {
  let [top, bottom] = [sixteenths, SIXTEENTHS];
  while (top % 2 === 0) [top, bottom] = [top / 2, bottom / 2];
  return `${top}/${bottom}`;
}

/** Says the sign of an angle that is drawn. */
function sign(random: Random): DrillItem {
  const angle = either(random, 'toe' as const, 'camber' as const);
  const wheel = WHEELS[whole(random, 0, 1)]!;
  // Large enough to be seen in a drawing.
  const size = angle === 'toe' ? tenths(random, 3, 10) : tenths(random, 15, 35);
  const degrees = either(random, size, -size);
  return {
    question: { kind: 'sign', angle, wheel, degrees },
    right: degrees > 0 ? 'plus' : 'minus',
  };
}

/** Says which tie rod is turned, and which way. */
function rod(random: Random): DrillItem {
  const rack = either(random, 'ahead' as const, 'behind' as const);
  const wheel = WHEELS[whole(random, 0, 1)]!;
  const drawn = tenths(random, -5, 6);
  const off = drawn === ROD_TARGET ? 0.5 : drawn;
  const { action } = tieRod({ ...ROD, rack, toeChange: ROD_TARGET - off });
  const side = wheel === 'lf' ? 'left' : 'right';
  const way = action === 'lengthen' ? 'longer' : 'shorter';
  return {
    question: {
      kind: 'rod',
      rack,
      toe: { lf: ROD_TARGET, rf: ROD_TARGET, [wheel]: off },
      target: ROD_TARGET,
    },
    right: `${side}.${way}`,
  };
}

/** Chooses the shims of an upper arm. */
function shim(random: Random): DrillItem {
  const armHeight = 10 * whole(random, 18, 32);
  const change = either(random, 1, -1) * tenths(random, 4, 12);
  const camber = Number((-0.5 - change).toFixed(1));
  const { front } = wishboneShims({ ...ARM, armHeight, camberChange: change, casterChange: 0 });
  const size = Math.abs(front);
  const say = (mm: number, isMore: boolean) => `${isMore ? '+' : '-'}${mm.toFixed(1)}`;
  const isMore = front > 0;
  const right = say(size, isMore);
  const options = [right, say(size, !isMore), say(2 * size, isMore), say(size / 2, !isMore)];
  const turn = whole(random, 0, options.length - 1);
  return {
    question: {
      kind: 'shim',
      camber,
      target: -0.5,
      armHeight,
      options: [...options.slice(turn), ...options.slice(0, turn)],
    },
    right,
  };
}
