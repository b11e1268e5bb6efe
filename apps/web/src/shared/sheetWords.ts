import type { AngleLimits, SpecSheet } from '@keen/contract';
import { showDegrees } from './format.ts';
import { t } from '../words/shared.ts';
import { term } from '../words/terms.ts';

/** The heart of a sheet, a line an axle: camber and total toe. */
export function limitLines(sheet: SpecSheet): string[] {
  const range = (title: string, limits: AngleLimits | undefined) =>
    limits &&
    t('sheetWords.to', {
      title,
      low: showDegrees(limits.low, 2),
      high: showDegrees(limits.high, 2),
    });
  const axle = (name: 'front' | 'rear') => {
    const said = [
      range(term('angle.camber'), sheet.camber?.[name]),
      range(term('angle.toe'), sheet.totalToe?.[name]),
    ].filter(Boolean);
    return said.length > 0 ? [`${term(`axle.${name}`)}: ${said.join(', ')}`] : [];
  };
  return [...axle('front'), ...axle('rear')];
}
