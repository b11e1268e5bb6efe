import type { TreadPass } from '@keen/contract';
import type { Wheel } from '@keen/contract/words';
import {
  LEAST_POINTS_ACROSS,
  MOST_POINTS_ACROSS,
  MOST_PROFILES,
  TREAD_PASS_FORMAT,
  TREAD_PASS_VERSION,
} from '@keen/contract/words';
import { WHEEL_ORDER } from '../../engine/case/wheels.ts';
import type { TableTexts } from '../../words/screens/index.ts';

/** What is wrong with a line of a profile table. */
export interface ProfileFault {
  /** Line of the file, the heading is 1. */
  line: number;
  expected: string;
}

const HEADING = ['wheel', 'along'] as const;

/**
 * Reads the cuts of a drive-over reader from a table: a heading `wheel, along, ...`, then one cut a
 * line: the wheel (lf, rf, lr, rr), mm along the tread, and the heights from the inner to the outer edge.
 * @param rows - cells as text
 * @param takenAt - when, UTC
 * @param say - what a line should have been, in the language of the page
 * @returns the pass without how the car came over, and every line that was left out with its reason
 */
export function readProfileTable(
  rows: readonly (readonly string[])[],
  takenAt: string,
  say: TableTexts,
): { pass: TreadPass | null; faults: ProfileFault[] } {
  const [heading, ...lines] = rows;
  const named = heading?.slice(0, 2).map((cell) => cell.trim().toLowerCase());
  if (named?.[0] !== HEADING[0] || named[1] !== HEADING[1]) {
    return {
      pass: null,
      faults: [{ line: 1, expected: say.profileHeading }],
    };
  }
  const faults: ProfileFault[] = [];
  const tires: TreadPass['tires'] = {};
  lines.forEach((cells, i) => {
    const line = i + 2;
    if (cells.every((cell) => cell.trim() === '')) return;
    const wheel = cells[0]?.trim().toLowerCase() as Wheel;
    if (!WHEEL_ORDER.includes(wheel)) {
      faults.push({ line, expected: say.profileWheel });
      return;
    }
    const along = numberOf(cells[1]);
    const heights = cells
      .slice(2)
      .filter((cell, at, all) => cell.trim() !== '' || all.slice(at).some((one) => one.trim()))
      .map(numberOf);
    if (along === null || along < 0) {
      faults.push({ line, expected: say.along });
    } else if (heights.includes(null)) {
      const column = heights.indexOf(null) + 3;
      faults.push({ line, expected: say.heightIn(column) });
    } else if (heights.length < LEAST_POINTS_ACROSS || heights.length > MOST_POINTS_ACROSS) {
      faults.push({
        line,
        expected: say.heights(LEAST_POINTS_ACROSS, MOST_POINTS_ACROSS, heights.length),
      });
    } else {
      const tire = (tires[wheel] ??= { profiles: [] });
      if (tire.profiles.length >= MOST_PROFILES) {
        faults.push({ line, expected: say.mostCuts(MOST_PROFILES) });
      } else tire.profiles.push({ along, heights: heights as number[] });
    }
  });
  if (Object.keys(tires).length === 0) return { pass: null, faults };
  return {
    pass: {
      format: TREAD_PASS_FORMAT,
      version: TREAD_PASS_VERSION,
      takenAt,
      source: 'Profile table',
      tires,
    },
    faults,
  };
}

function numberOf(cell: string | undefined): number | null {
  const text = cell?.trim().replace(',', '.') ?? '';
  const value = Number(text);
  return text !== '' && Number.isFinite(value) ? value : null;
}
