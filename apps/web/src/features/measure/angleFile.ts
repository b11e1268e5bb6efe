import type { AngleFile } from '@keen/contract';
import { ANGLES_FORMAT, angleFileSchema, validationIssueOf } from '@keen/contract';
import Papa from 'papaparse';
import { expectedWords } from '../../words/expected.ts';
import { t } from '../../words/measure.ts';

const LARGEST_BYTES = 1_000_000;

/** What a file of angles turned out to be. */
export type ReadAngles =
  | { kind: 'ours'; file: AngleFile }
  | { kind: 'table'; rows: string[][] }
  | { kind: 'fault'; text: string };

/** Reads our JSON as it is; anything else is taken for a table, whatever its separator. */
export function readAngles(text: string): ReadAngles {
  if (text.length > LARGEST_BYTES) {
    return { kind: 'fault', text: t('angleFile.itIsTooLarge') };
  }
  if (text.trimStart().startsWith('{')) return readOurs(text);
  const { data } = Papa.parse<string[]>(text.trim(), { skipEmptyLines: 'greedy' });
  if (data.length < 2 || (data[0]?.length ?? 0) < 2) {
    return { kind: 'fault', text: t('angleFile.itHasNoTable') };
  }
  return { kind: 'table', rows: data };
}

function readOurs(text: string): ReadAngles {
  let data: unknown;
  try {
    data = JSON.parse(text);
  } catch {
    return { kind: 'fault', text: t('angleFile.itStartsLikeJson') };
  }
  const parsed = angleFileSchema.safeParse(data);
  if (parsed.success) return { kind: 'ours', file: parsed.data };
  const wrong = validationIssueOf(parsed.error);
  const isOurs = (data as { format?: unknown }).format === ANGLES_FORMAT;
  return {
    kind: 'fault',
    text: isOurs
      ? t('angleFile.expected', {
          path: wrong.path || t('angleFile.theFile'),
          expected: expectedWords(wrong),
        })
      : t('angleFile.itIsJsonBut', { anglesFormat: ANGLES_FORMAT }),
  };
}
