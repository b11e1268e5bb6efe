import type { VisitDraft } from '@keen/contract';
import {
  caseFileSchema,
  CARRIED_PATHS,
  PLACED_FIELDS,
  visitDraftSchema,
  visitTakes,
} from '@keen/contract';
import { describe, expect, it } from 'vitest';
import { ENGLISH_SCREENS } from '../../tests/englishScreens.ts';
import { FIELD_SAMPLES } from '../../tests/fieldSamples.ts';
import { fieldLabel } from '../words/fieldLabels.ts';
import { caseToChanges } from './caseToChanges.ts';
import { draftToCase } from './draftToCase.ts';
import { fieldAt } from './fieldAt.ts';
import { foldEntries } from './foldEntries.ts';
import { ENGLISH_PAPERS } from '../words/englishPapers.ts';

const NAMES = { ...ENGLISH_SCREENS, found: ENGLISH_PAPERS };

const SAMPLES = PLACED_FIELDS.map(({ path, pattern }) => ({
  path,
  value: FIELD_SAMPLES[pattern as keyof typeof FIELD_SAMPLES],
}));
/** A case file has no pressure without the one it should be. */
const PLACARDS = ['lf', 'lr', 'rr', 'rf'].map((wheel) => ({
  path: `tires.${wheel}.pressure.target`,
  value: 230,
}));
const UNITS = [
  { depth: 'mm', distance: 'km', pressure: 'kPa' },
  { depth: 'in32', distance: 'mi', pressure: 'psi' },
] as const;

/** Numbers as near as a case file writes them. */
function rounded(value: unknown): unknown {
  return JSON.parse(
    JSON.stringify(value, (_key, inner: unknown) =>
      typeof inner === 'number' ? Number(inner.toFixed(2)) : inner,
    ),
  );
}

describe('the fields of a visit', () => {
  it('take a value each, alone and all at once', () => {
    for (const { path, value } of SAMPLES) expect(visitTakes(path, value), path).toBe(true);
    const draft = foldEntries({}, SAMPLES);
    expect(visitDraftSchema.safeParse(draft).error).toBeUndefined();
    for (const { path, value } of SAMPLES) expect(fieldAt(draft, path), path).toEqual(value);
  });

  it.each(UNITS)('go into a case file in $depth and come back, each alone', (units) => {
    for (const { path, value } of SAMPLES) {
      const draft: VisitDraft = foldEntries({}, [...PLACARDS, { path, value }]);
      // The units of the visit give way to those of whoever asks for the file.
      const { file } = draftToCase(draft, 'car', path.startsWith('units.') ? {} : units);
      expect(caseFileSchema.safeParse(file).error, path).toBeUndefined();
      const back = foldEntries({}, caseToChanges(file, visitTakes));
      expect(rounded(fieldAt(back, path)), path).toEqual(rounded(value));
    }
  });

  it('have a name that people use', () => {
    for (const { path } of SAMPLES) expect(fieldLabel(path, NAMES)).not.toBe(path);
    expect(fieldLabel('tires.lf.stations.0.inner', NAMES)).toBe(
      'Tread depth, left front, place 1, inner',
    );
    expect(fieldLabel('visit.setRight.adjuster.toe-lf', NAMES)).toBe('Adjuster, toe, left front');
    expect(fieldLabel('visit.inspect.parts.rf.ballJoint', NAMES)).toMatch(
      /^Part, right front, ball/,
    );
    expect(fieldLabel('nowhere.at.all', NAMES)).toBe('nowhere.at.all');
  });

  it('come along to the next visit only where they say something of the car', () => {
    // What was read, said, decided or done at a visit is that visit's own.
    const OWN =
      /stations|measured|feather|cupping|damage|play|angles|complaints|words|setRight|estimate|quick|odometer/;
    expect(CARRIED_PATHS.filter((path) => OWN.test(path))).toEqual([]);
    expect(CARRIED_PATHS).toContain('tires.rr.newDepth');
  });
});
