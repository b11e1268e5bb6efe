import { MM_PER_IN, parseMeasure } from '@keen/core';
import type { BenchTool } from './tool.ts';
import type { Texts } from './toolInput.ts';

/** A length of a car or a wheel is at least this in mm, and at most that in inches: else it was meant in the new unit. */
const LEAST_MM = 150;
const MOST_IN = 150;

/**
 * The texts of a form once its unit of length was changed: what belongs to the gauge or the car goes along
 * (18 in is 457.2 mm), what is read stays as it is. A figure that can only be meant in the new unit, such as a
 * wheel of 25 mm, was typed before the unit was chosen, and stays too.
 */
export function withUnit(tool: BenchTool, texts: Texts, unit: string): Texts {
  const from = texts.unit;
  const next: Texts = { ...texts, unit };
  const isLength = (name: string | undefined) => name === 'mm' || name === 'in';
  if (!isLength(from) || !isLength(unit) || from === unit) return next;
  const factor = unit === 'mm' ? MM_PER_IN : 1 / MM_PER_IN;
  for (const field of tool.fields) {
    if (field.kind !== 'number' || !field.isSize) continue;
    const value = parseMeasure(texts[field.path] ?? '');
    if (value === null || Number.isNaN(value)) continue;
    if (unit === 'in' ? value < LEAST_MM : value > MOST_IN) continue;
    next[field.path] = String(Number((value * factor).toFixed(unit === 'mm' ? 1 : 3)));
  }
  return next;
}
