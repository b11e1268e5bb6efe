import type { Adjuster, AngleKind, Axle } from '@keen/contract/words';

const TOE_ON_CAMS = 'Moves camber a little too.';

/**
 * What else an adjuster moves when it sets an angle, and what to look at for it (common practice, no
 * source); null where there is nothing to add.
 */
export function alsoMoves(adjuster: Adjuster, kind: AngleKind, axle: Axle): string | null {
  switch (adjuster) {
    case 'tieRod':
    case 'turnbuckle':
      return axle === 'front'
        ? 'Moves the steering wheel too, unless both rods are turned alike. No boot twisted, no joint at its limit from lock to lock.'
        : 'Moves the thrust too, unless both rods are turned alike.';
    case 'slots':
      if (kind === 'toe') return TOE_ON_CAMS;
      return kind === 'caster'
        ? 'Moves the wheel forward or back in its arch, and camber a little where the slot is not straight.'
        : 'Moves toe too: measure it after. The tire comes closer to the strut, or to the fender.';
    case 'cam':
      if (kind === 'toe') return TOE_ON_CAMS;
      return kind === 'caster'
        ? 'Moves toe too, and the wheel: caster from the lower arm brings it forward, from the upper arm back. Look at fender and firewall from lock to lock.'
        : 'Moves toe too: measure it after.';
    case 'twoCams':
      if (kind === 'toe') return TOE_ON_CAMS;
      return kind === 'caster'
        ? 'Turned against one another. More caster brings the wheel forward: look at the fender from lock to lock. Camber moves where they do not turn alike.'
        : 'Turned together. Where they do not turn alike caster moves too; toe moves in any case.';
    case 'armShims':
      if (kind === 'toe') return TOE_ON_CAMS;
      return kind === 'caster'
        ? 'Unequal shims. More caster from the upper arm brings the wheel back: look at the firewall from lock to lock. Keep enough thread for the nut.'
        : 'Equal shims; unequal ones move caster. Toe moves too. Keep enough thread for the nut.';
    case 'adjustableArm':
      return `Moves ${kind === 'toe' ? 'camber' : axle === 'rear' ? 'rear toe' : 'toe'} too. Move the suspension through its whole travel after: no joint may come to its limit.`;
    case 'hubShim':
      return 'Gives camber and toe at once. Look at the brake, its hose and the speed sensor’s gap with the hub moved.';
    case 'none':
      return null;
  }
}
