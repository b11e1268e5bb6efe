import type { TreadPass } from '@keen/contract';
import { validationIssueOf, treadPassSchema } from '@keen/contract';
import { readProfileTable } from '@keen/core';
import type { ProfileFault } from '@keen/core';
import Papa from 'papaparse';
import { expectedWords } from '../../words/expected.ts';
import { t } from '../../words/read.ts';
import { tablesTexts } from '../../words/core/tables.ts';

const LARGEST_BYTES = 5_000_000;

/** What a file of profiles held: a pass, with the lines that were left out, or why it held none. */
export type ReadProfile =
  { ok: true; pass: TreadPass; faults: ProfileFault[] } | { ok: false; text: string };

/**
 * Reads a file of a drive-over reader: our JSON, or a table with one cut a line.
 * @param now - stands for the time of a table, which has none
 */
export function readProfileFile(text: string, now: Date): ReadProfile {
  if (text.length > LARGEST_BYTES) return { ok: false, text: t('profileFile.itIsTooLarge') };
  if (text.trimStart().startsWith('{')) {
    let data: unknown;
    try {
      data = JSON.parse(text);
    } catch {
      return { ok: false, text: t('profileFile.itBeginsLikeJson') };
    }
    const pass = treadPassSchema.safeParse(data);
    if (pass.success) return { ok: true, pass: pass.data, faults: [] };
    const wrong = validationIssueOf(pass.error);
    return {
      ok: false,
      text: t('profileFile.expected', {
        path: wrong.path || t('profileFile.theFile'),
        expected: expectedWords(wrong),
      }),
    };
  }
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: false });
  const { pass, faults } = readProfileTable(data, now.toISOString(), tablesTexts);
  if (pass) return { ok: true, pass, faults };
  const [first] = faults;
  return {
    ok: false,
    text: first
      ? t('profileFile.lineExpected', { line: first.line, expected: first.expected })
      : t('profileFile.itHoldsNoCut'),
  };
}
