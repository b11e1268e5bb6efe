import type { ReasonCode } from '@keen/contract';
import type { Axle, Cause, Rib, Side, Wheel } from '@keen/contract/words';
import type { Unexplained } from '../../engine/diagnosis/plainFacts.ts';
import type { SeenWear } from '../../engine/diagnosis/treadSeen.ts';
import { numberIn } from '../../words/texts.ts';
import type { AdviceTexts, Texts } from '../../words/texts.ts';

/** Reasons of an advice as codes. Figures: what stands in the sentence, chances between 0 and 1. */
export type AdviceCode =
  | Exclude<keyof AdviceTexts, 'parts' | 'partWhy' | 'chance'>
  | 'causeAt'
  | 'seen'
  | 'readAgain'
  | 'unread';

type Speaking = Pick<Texts, 'advice' | 'verdict' | 'locale'>;

/** A reason of an advice as a sentence. */
export function adviceReason({ code, figures }: ReasonCode, texts: Speaking): string {
  const { advice, verdict } = texts;
  switch (code as AdviceCode) {
    // Of answers that were saved when each place was a reason of its own.
    case 'cause': {
      const [cause, where, chance] = figures as [Cause, Wheel | Axle, number];
      return advice.cause(cause, [where], percent(chance, advice));
    }
    case 'causeAt': {
      const [cause, low, high, ...places] = figures as [Cause, number, number, ...(Wheel | Axle)[]];
      return advice.cause(cause, places, percents(low, high, advice));
    }
    case 'readAgain':
      return verdict.oddReading(figures[0] as Wheel, figures[1] as Rib);
    case 'unread':
      return verdict.unread(figures[0] as Wheel, figures[1] as Rib);
    case 'oneIsLoose':
      return advice.oneIsLoose(percent(figures[0] as number, advice));
    case 'oneIsOut':
      return advice.oneIsOut(percent(figures[0] as number, advice));
    case 'unsafe':
      return advice.unsafe(figures as Wheel[]);
    case 'pressureFound':
      return advice.pressureFound(figures as Wheel[]);
    case 'somePlay':
      return advice.somePlay(figures as Wheel[]);
    case 'wavesFelt':
      return advice.wavesFelt(figures as Wheel[]);
    case 'playFound':
      return advice.playFound(figures as Wheel[]);
    case 'atLimit':
      return advice.atLimit(figures as Wheel[]);
    case 'seen':
      return verdict.seen(seenOf(figures), figures[3] === true);
    case 'pull':
      return advice.pull(
        figures[0] as 'camber' | 'caster',
        numberIn(texts, figures[1] as number, 1),
        figures[2] as Side,
      );
    case 'unexplained':
      return advice.unexplained[figures[0] as Unexplained];
    case 'hardlyWorn':
    case 'partsFirst':
    case 'lookUnder':
    case 'dampersFirst':
    case 'heightChanged':
    case 'heightLookFirst':
    case 'newParts':
    case 'handling':
    case 'shaking':
    case 'foundOut':
    case 'foundOutLately':
    case 'alignedLately':
    case 'bentFirst':
    case 'leftAlone':
    case 'nothingToSet':
    case 'nothingOut':
      return advice[code as 'partsFirst'];
  }
}

/** A part to look at, and why. */
export function advicePart(
  cause: 'looseness' | 'bounce',
  probability: number,
  { advice }: Speaking,
): { part: string; why: string } {
  return { part: advice.parts[cause], why: advice.partWhy(percent(probability, advice)) };
}

function seenOf(figures: ReasonCode['figures']): SeenWear {
  const [kind, where, rib] = figures as [SeenWear['kind'], Wheel, Rib];
  if (kind === 'saw') return { kind, where: figures[1] as Axle, mm: 0 };
  if (kind === 'across') {
    const axle = where.endsWith('f') ? 'front' : 'rear';
    return { kind, where: axle, lower: where, mm: 0 };
  }
  return kind === 'edge' ? { kind, where, rib, mm: 0 } : { kind, where, mm: 0 };
}

function percent(probability: number, { chance }: AdviceTexts): string {
  const rounded = Math.round(probability * 100);
  if (rounded >= 100) return chance.over;
  return rounded <= 0 ? chance.under : `${rounded} %`;
}

/** Chances of several places, as one when they round alike. */
function percents(low: number, high: number, advice: AdviceTexts): string {
  const [from, to] = [percent(low, advice), percent(high, advice)];
  return from === to ? to : advice.chance.range(from.replace(/ %$/, ''), to);
}
