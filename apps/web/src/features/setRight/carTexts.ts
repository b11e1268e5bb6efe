import type { CalculatorName } from '@keen/contract';
import type { Texts } from '../../tools/toolInput.ts';

/**
 * What was typed of a car's own geometry (arm, pitch, rack), so that the other wheel's dialog does not
 * ask again. It lives as long as the page: a convenience, not a record.
 */
const kept = new Map<string, Texts>();

export function savedCarTexts(car: string, tool: CalculatorName): Texts {
  return kept.get(`${car} ${tool}`) ?? {};
}

export function saveCarTexts(car: string, tool: CalculatorName, texts: Texts): void {
  kept.set(`${car} ${tool}`, texts);
}
