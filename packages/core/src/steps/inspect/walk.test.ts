import type { VisitDraft } from '@keen/contract';
import { entryValueSchema } from '@keen/contract';
import { describe, expect, it } from 'vitest';
import { ENGLISH_SCREENS } from '../../../tests/englishScreens.ts';
import { foldEntries } from '../../visit/foldEntries.ts';
import { nothingFound, stopState, WALK } from './walk.ts';
import { ENGLISH_PAPERS } from '../../words/englishPapers.ts';

const FOUND = { ...ENGLISH_PAPERS, walk: ENGLISH_SCREENS.inspect.walk };

const stop = (kind: string, wheel: string | null = null) =>
  WALK.find((one) => one.kind === kind && one.wheel === wheel)!;

/** The draft after "nothing found here" at a stop. */
function pressed(draft: VisitDraft, at: (typeof WALK)[number]): VisitDraft {
  return foldEntries(draft, nothingFound(draft, at));
}

describe('the walk round the car', () => {
  it('goes round on the ground, then round again underneath, then compares', () => {
    expect(WALK.map(({ kind, wheel }) => wheel ?? kind)).toEqual([
      ...['lf', 'lr', 'rr', 'rf'],
      ...['lf', 'lr', 'rr', 'rf'],
      ...['sides', 'heights'],
    ]);
  });

  it('is done at every stop, without a finding, after one press at each', () => {
    const draft = WALK.reduce(pressed, {});
    for (const at of WALK.filter(({ kind }) => kind !== 'heights')) {
      expect(stopState(draft, at, FOUND)).toMatchObject({
        state: 'done',
        isOdd: false,
      });
    }
    expect(stopState(draft, stop('tire', 'lf'), FOUND).words).toBe('smooth, no waves, no damage');
    expect(stopState(draft, stop('corner', 'rr'), FOUND).words).toBe('all OK');
    expect(stopState(draft, stop('sides'), FOUND).words).toBe('alike');
  });

  it('enters only what the visit takes', () => {
    for (const { path, value } of WALK.flatMap((at) => nothingFound({}, at))) {
      expect(entryValueSchema(path)?.safeParse(value).success, path).toBe(true);
    }
  });

  it('leaves what was found as it is', () => {
    const draft: VisitDraft = {
      tires: { lf: { cupping: 'heavy', damage: ['cut'] } },
      play: { lf: 'some' },
      visit: {
        tires: { lf: { damageAt: { cut: 'outerSidewall' } } },
        inspect: { parts: { lf: { ballJoint: 'excessive' } }, thread: 'leftMore' },
      },
    };
    const after = WALK.reduce(pressed, draft);
    expect(stopState(after, stop('tire', 'lf'), FOUND)).toEqual({
      state: 'done',
      words: 'smooth, heavy waves, cut (outer sidewall)',
      isOdd: true,
    });
    expect(stopState(after, stop('corner', 'lf'), FOUND).words).toBe(
      'play when shaken: some, ball joint: too much',
    );
    expect(stopState(after, stop('sides'), FOUND).words).toBe('more thread left');
  });

  it('says nothing of a stop that nobody has been to', () => {
    for (const at of WALK) {
      expect(stopState({}, at, FOUND)).toEqual({
        state: 'open',
        words: '',
        isOdd: false,
      });
    }
    expect(
      stopState({ tires: { lf: { feather: 'unknown' } } }, stop('tire', 'lf'), FOUND).state,
    ).toBe('open');
  });
});
