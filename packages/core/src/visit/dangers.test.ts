import type { VisitDraft } from '@keen/contract';
import type { Wheel } from '@keen/contract/words';
import { WHEELS } from '@keen/contract/words';
import { describe, expect, it } from 'vitest';
import { dangers } from './dangers.ts';

function car(mm: number, change: Partial<VisitDraft> = {}): VisitDraft {
  const tires = Object.fromEntries(
    WHEELS.map((wheel) => [wheel, { stations: [{ inner: mm, centre: mm, outer: mm }] }]),
  ) as NonNullable<VisitDraft['tires']>;
  return { tires, ...change };
}

describe('what must not be driven', () => {
  it('is nothing on a sound car, and on one of which nothing is known', () => {
    expect(dangers({})).toEqual([]);
    expect(dangers(car(5))).toEqual([]);
    expect(dangers(car(5, { play: { lf: 'some' } }))).toEqual([]);
  });

  it.each(['cords', 'bulge', 'cut'] as const)(
    'is a tire with %s, however deep its tread',
    (kind) => {
      const draft = car(7);
      draft.tires!.rr!.damage = [kind];
      expect(dangers(draft)).toEqual([{ kind: 'tire', wheels: ['rr'] }]);
    },
  );

  it('is a joint with excessive play, by the hand or part by part', () => {
    const found = [{ kind: 'joint', wheels: ['rf'] }];
    expect(dangers(car(6, { play: { rf: 'excessive' } }))).toEqual(found);
    const inspect = { parts: { rf: { outerTieRod: 'excessive' as const } } };
    expect(dangers(car(6, { visit: { inspect } }))).toEqual(found);
  });

  it('is a rib below the limit of the place, not one at it', () => {
    const wheels: Wheel[] = ['lf'];
    const with16 = car(5);
    with16.tires!.lf!.stations = [{ inner: 1.6, centre: 4, outer: 5 }];
    expect(dangers(with16)).toEqual([]);
    with16.tires!.lf!.stations = [{}, { inner: 1.5 }];
    expect(dangers(with16)).toEqual([{ kind: 'worn', wheels }]);
    expect(dangers({ ...with16, limits: { legal: 1 } })).toEqual([]);
  });

  it('is a pressure a quarter off the placard, either way, and not one a little off', () => {
    const at = (measured: number) => {
      const draft = car(6);
      draft.tires!.lr!.pressure = { measured, target: 200 };
      return dangers(draft);
    };
    expect(at(150)).toEqual([{ kind: 'soft', wheels: ['lr'] }]);
    expect(at(250)).toEqual([{ kind: 'hard', wheels: ['lr'] }]);
    expect(at(155)).toEqual([]);
    expect(at(245)).toEqual([]);
    const unread = car(6);
    unread.tires!.lr!.pressure = { target: 200 };
    expect(dangers(unread)).toEqual([]);
  });

  it('names the worst first, and a tire once', () => {
    const draft = car(1, { play: { lr: 'excessive' } });
    draft.tires!.lf!.damage = ['cords'];
    const [tire, joint, worn] = dangers(draft);
    expect(tire).toEqual({ kind: 'tire', wheels: ['lf'] });
    expect(joint).toEqual({ kind: 'joint', wheels: ['lr'] });
    expect(worn!.wheels).not.toContain('lf');
    expect(worn!.wheels).toHaveLength(3);
  });
});
