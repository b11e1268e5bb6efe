import { describe, expect, it } from 'vitest';
import type { VisitDraft } from '@keen/contract';
import { diagnose } from '../steps/explain/diagnose.ts';
import { exampleCase } from '../../tests/exampleCase.ts';
import { visitTakes } from '@keen/contract';
import { caseToChanges } from './caseToChanges.ts';
import { draftToCase } from './draftToCase.ts';
import { foldEntries } from './foldEntries.ts';
import { playAt, wheelsOf, wornParts } from './wornParts.ts';

const parts = (found: NonNullable<NonNullable<VisitDraft['visit']>['inspect']>['parts']) =>
  ({ visit: { inspect: { parts: found ?? {} } } }) satisfies VisitDraft;

describe('worn parts', () => {
  it('stand worst first', () => {
    const found = wornParts(
      parts({ lf: { outerTieRod: 'some', rackMount: 'some' }, rr: { toeLink: 'excessive' } }),
    );
    expect(found.map(({ part, wheel }) => [part, wheel])).toEqual([
      ['toeLink', 'rr'],
      ['outerTieRod', 'lf'],
      // Stands once, not at a wheel.
      ['rackMount', null],
    ]);
    expect(wornParts(parts({ lf: { damper: 'none', spring: 'unknown' } }))).toEqual([]);
  });

  it('are looked at where they are', () => {
    expect(wheelsOf('ballJoint')).toEqual(['lf', 'rf']);
    expect(wheelsOf('rearLink')).toEqual(['lr', 'rr']);
    expect(wheelsOf('rackMount')).toEqual(['lf']);
  });

  it('count as play at their wheel, the worst of shaken and looked at', () => {
    const draft = {
      ...parts({ lf: { ballJoint: 'some', damper: 'excessive' } }),
      play: { lf: 'none' },
    };
    // A damper is no joint.
    expect(playAt(draft as VisitDraft, 'lf')).toBe('some');
    expect(playAt(draft as VisitDraft, 'rf')).toBeUndefined();
    // Rack mounts let both front wheels wander.
    expect(playAt(parts({ lf: { rackMount: 'excessive' } }), 'rf')).toBe('excessive');
  });

  it('reach the case file and the diagnosis at once', () => {
    const read = foldEntries({}, caseToChanges(exampleCase(), visitTakes));
    const loose = foldEntries(read, [
      { path: 'visit.inspect.parts.lf.outerTieRod', value: 'excessive' },
    ]);
    const { file } = draftToCase(loose, 'car');
    expect(file.play?.lf).toBe('excessive');
    const before = diagnose(draftToCase(read, 'car').file).diagnosis;
    const after = diagnose(file).diagnosis;
    const looseness = (answer: typeof after) => answer.axles.front.probability.looseness;
    expect(looseness(after)).toBeGreaterThan(looseness(before));
  });
});

describe('a warm pressure', () => {
  it('goes into the case as it would be cold, and stays in the visit as it was found', () => {
    const draft = foldEntries({}, [
      { path: 'tires.lf.pressure.target', value: 230 },
      { path: 'tires.lf.pressure.measured', value: 250 },
      { path: 'visit.warmBy', value: 20 },
    ]);
    expect(draftToCase(draft, 'car').file.tires.lf.pressure?.measured).toBeCloseTo(227.562, 3);
    expect(draft.tires?.lf?.pressure?.measured).toBe(250);
  });
});
