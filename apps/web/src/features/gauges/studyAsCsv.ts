import type { Study } from '@keen/contract';
import type { GaugeStudy } from '@keen/core';
import Papa from 'papaparse';
import { t } from '../../words/gauges.ts';

/** The readings of a study, then its spreads, as a table for other programs; mm. */
export function studyAsCsv(study: Study, names: readonly string[], result: GaugeStudy): string {
  const { repeatability, within, reproducibility, gauge, marksDiffer, categories } = result;
  const readings = study.readings.map(({ person, trial, mark, mm }) => ({
    what: 'reading',
    person: names[person] ?? '',
    time: trial + 1,
    mark: study.marks[mark] ?? '',
    mm,
    low: '',
    high: '',
  }));
  const spread = (what: string, one: { mm: number; low: number; high: number }, person = '') => ({
    what,
    person,
    time: '',
    mark: '',
    mm: Number(one.mm.toFixed(4)),
    low: Number(one.low.toFixed(4)),
    high: Number(one.high.toFixed(4)),
  });
  return Papa.unparse(
    [
      ...readings,
      spread(t('studyAsCsv.repeatabilitySd'), repeatability),
      spread(t('studyAsCsv.onePersonMarkBy'), within),
      spread(t('studyAsCsv.reproducibilitySd'), reproducibility),
      spread(t('studyAsCsv.bothTogetherSd'), gauge),
      spread(t('studyAsCsv.marksSd'), marksDiffer),
      ...result.offsets.map((offset, i) =>
        spread(t('studyAsCsv.againstAll'), offset, names[i] ?? ''),
      ),
      {
        ...spread(t('studyAsCsv.stepsToldApart'), { mm: 0, ...categories }),
        mm: Number.isFinite(categories.count) ? categories.count : '',
      },
    ],
    { escapeFormulae: true },
  );
}
