import type { VisitDraft } from '@keen/contract';
import { WHEELS } from '@keen/contract/words';
import { describe, expect, it } from 'vitest';
import { ENGLISH_SCREENS } from '../../tests/englishScreens.ts';
import { foldEntries } from '../visit/foldEntries.ts';
import { nothingFound, WALK } from './inspect/walk.ts';
import { lacksOf } from './lacks.ts';
import { VISIT_STEPS } from './visitSteps.ts';

const names = (draft: VisitDraft, step: (typeof VISIT_STEPS)[number]) =>
  lacksOf(draft, step, false, ENGLISH_SCREENS.visit.lacks).map(({ what }) => what);

const everyTire = (tire: object): VisitDraft => ({
  tires: Object.fromEntries(WHEELS.map((wheel) => [wheel, tire])),
});

describe('lacksOf', () => {
  it('names what an empty arrival lacks, with what is assumed in its place', () => {
    expect(lacksOf({}, 'arrive', false, ENGLISH_SCREENS.visit.lacks)).toEqual([
      { what: 'Drive', why: expect.stringContaining('front drive assumed') as string },
      {
        what: 'Distance on the tires',
        why: expect.stringContaining('30\u00a0000 km assumed') as string,
      },
      { what: 'New depth', why: expect.stringContaining('8 mm assumed') as string },
      { what: 'Pressures found', why: expect.any(String) as string },
    ]);
  });

  it('asks for the placard once pressures are found', () => {
    const draft = {
      ...everyTire({ pressure: { measured: 230 } }),
      vehicle: { drive: 'fwd' as const },
    };
    expect(names(draft, 'arrive')).toContain('Placard pressure');
    expect(names(draft, 'arrive')).not.toContain('Pressures found');
  });

  it('says nothing once everything is there', () => {
    const whole: VisitDraft = {
      vehicle: { drive: 'fwd' },
      ...everyTire({
        distance: 20_000,
        newDepth: 8,
        pressure: { measured: 230, target: 230 },
        stations: [{ inner: 5, centre: 5, outer: 5 }],
      }),
    };
    const walked = WALK.reduce((so, stop) => foldEntries(so, nothingFound(so, stop)), whole);
    expect(lacksOf(walked, 'explain', false, ENGLISH_SCREENS.visit.lacks)).toEqual([]);
  });

  it('counts the tires not felt and the ribs not read', () => {
    const draft: VisitDraft = {
      tires: { lf: { feather: 'none', cupping: 'none', stations: [{ inner: 5 }] } },
    };
    expect(names(draft, 'inspect')).toEqual([
      'Feel of the tread on 3 tires',
      'Waves on 3 tires',
      'Play in the joints',
    ]);
    expect(names(draft, 'read')).toEqual(['11 of 12 ribs']);
  });

  it('counts only the angles that are measured today', () => {
    const draft: VisitDraft = {
      angles: { lf: { toe: 0.1 } },
      visit: { measure: { repeat: 'returns', what: { axles: ['front'], kinds: ['toe'] } } },
    };
    expect(names(draft, 'measure')).toEqual(['One angle', 'The car’s sheet']);
  });

  it('gives a reason for every lack', () => {
    for (const step of VISIT_STEPS) {
      for (const { why } of lacksOf({}, step, false, ENGLISH_SCREENS.visit.lacks))
        expect(why.length).toBeGreaterThan(10);
    }
  });
});
