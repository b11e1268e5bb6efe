import type { DrillQuestion } from '@keen/contract';
import type { PracticeTexts } from '../words/screens/index.ts';
import { answerCode } from './drill.ts';

const SIXTEENTHS = 16;

type DrillTexts = PracticeTexts['drill'];

/** What was answered or would be right, in words. */
export function drillAnswer(question: DrillQuestion, answer: string, say: DrillTexts): string {
  const code = answerCode(answer);
  switch (question.kind) {
    case 'tape':
      return code;
    case 'sign':
      return code === 'plus' || code === 'minus' ? say.signs[code] : code;
    case 'rod':
      return code in say.rods ? say.rods[code as keyof DrillTexts['rods']] : code;
    case 'shim':
      return say.shims(code.slice(1), code.startsWith('+'));
  }
}

/**
 * Why an answer is the right one, in a sentence.
 * @param right - the right answer, as a code
 */
export function drillWhy(question: DrillQuestion, right: string, say: DrillTexts): string {
  switch (question.kind) {
    case 'tape': {
      const inches = Math.floor(question.inches);
      const sixteenths = Math.round((question.inches - inches) * SIXTEENTHS);
      return say.whyTape(sixteenths, inches, right);
    }
    case 'sign': {
      const { angle, degrees } = question;
      const isOut = angle === 'camber' ? degrees > 0 : degrees < 0;
      return say.whySign(angle, isOut, degrees > 0 ? say.signs.plus : say.signs.minus);
    }
    case 'rod': {
      const { rack, toe, target } = question;
      const wrong = toe.lf === target ? 'rf' : 'lf';
      return say.whyRod(wrong === 'lf' ? 'left' : 'right', target > toe[wrong], rack);
    }
    case 'shim': {
      const change = Math.abs(question.target - question.camber).toFixed(1);
      return say.whyShim(right.startsWith('+'), question.armHeight, change, right.slice(1));
    }
  }
}
