import { ADJUSTERS, ANGLE_KINDS } from '@keen/contract/words';
import type { Adjuster, AngleKind, Axle } from '@keen/contract/words';
import { describe, expect, it } from 'vitest';
import { ENGLISH_SCREENS } from '../../../tests/englishScreens.ts';

const alsoMoves = (adjuster: Adjuster, kind: AngleKind, axle: Axle) =>
  ENGLISH_SCREENS.setRight.adjusters[adjuster].alsoMoves(kind, axle);

describe('what an adjuster also moves (common practice, no source)', () => {
  it('says for every part of it what else moves', () => {
    for (const adjuster of ADJUSTERS) {
      for (const kind of ANGLE_KINDS) {
        for (const axle of ['front', 'rear'] as const) {
          const words = alsoMoves(adjuster, kind, axle);
          if (adjuster === 'none') expect(words).toBe('');
          else expect(words).toMatch(/^[A-Z].*\.$/);
        }
      }
    }
  });

  it('brings the wheel forward with caster from the lower arm, back from the upper one', () => {
    expect(alsoMoves('cam', 'caster', 'front')).toContain('from the lower arm brings it forward');
    expect(alsoMoves('armShims', 'caster', 'front')).toContain('brings the wheel back');
  });

  it('never says that setting an angle moves the same angle', () => {
    for (const adjuster of ADJUSTERS.filter((one) => one !== 'hubShim')) {
      expect(alsoMoves(adjuster, 'toe', 'rear')).not.toMatch(/moves (rear )?toe/i);
      expect(alsoMoves(adjuster, 'camber', 'front')).not.toMatch(/moves camber too/i);
    }
  });

  it('has toe measured after camber, whatever camber is set with', () => {
    for (const adjuster of ['slots', 'cam', 'twoCams', 'armShims', 'adjustableArm'] as const) {
      expect(alsoMoves(adjuster, 'camber', 'front')).toMatch(/toe/i);
    }
  });
});
