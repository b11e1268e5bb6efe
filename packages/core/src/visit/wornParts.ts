import type { VisitDraft } from '@keen/contract';
import type { Part, Play, Wheel } from '@keen/contract/words';
import { PARTS, WHEELS } from '@keen/contract/words';

/** Where a part stands: at each wheel, each front or rear one, or once in front. */
type Place = 'every' | 'front' | 'rear' | 'once';

interface PartFacts {
  place: Place;
  /** Play in it lets the wheel wander. */
  isJoint: boolean;
}

/** Parts looked at under the car (common practice, no source). */
export const PART_FACTS: Record<Part, PartFacts> = {
  outerTieRod: {
    place: 'front',
    isJoint: true,
  },
  innerTieRod: {
    place: 'front',
    isJoint: true,
  },
  rackMount: {
    place: 'once',
    isJoint: true,
  },
  ballJoint: {
    place: 'front',
    isJoint: true,
  },
  armBushing: {
    place: 'every',
    isJoint: true,
  },
  wheelBearing: {
    place: 'every',
    isJoint: true,
  },
  damper: {
    place: 'every',
    isJoint: false,
  },
  spring: {
    place: 'every',
    isJoint: false,
  },
  stabilizer: {
    place: 'front',
    isJoint: false,
  },
  rearLink: {
    place: 'rear',
    isJoint: true,
  },
  toeLink: {
    place: 'rear',
    isJoint: true,
  },
  bentArm: {
    place: 'every',
    isJoint: false,
  },
  rim: {
    place: 'every',
    isJoint: false,
  },
};

/**
 * Wheels at which a part is looked at; what stands once is kept at the left front.
 * @example wheelsOf('wheelBearing') // ['lf', 'lr', 'rr', 'rf']
 */
export function wheelsOf(part: Part): readonly Wheel[] {
  switch (PART_FACTS[part].place) {
    case 'every':
      return WHEELS;
    case 'front':
      return ['lf', 'rf'];
    case 'rear':
      return ['lr', 'rr'];
    case 'once':
      return ['lf'];
  }
}

/** A finding that holds the alignment back. */
export interface WornPart {
  part: Part;
  /** Null for what stands once. */
  wheel: Wheel | null;
  finding: 'some' | 'excessive';
}

/** What was found worn, the worst first. */
export function wornParts(draft: VisitDraft): WornPart[] {
  const found: WornPart[] = [];
  for (const part of PARTS) {
    const { place } = PART_FACTS[part];
    for (const wheel of wheelsOf(part)) {
      const finding = draft.visit?.inspect?.parts?.[wheel]?.[part];
      if (finding !== 'some' && finding !== 'excessive') continue;
      found.push({ part, wheel: place === 'once' ? null : wheel, finding });
    }
  }
  return found.toSorted(
    (a, b) => Number(b.finding === 'excessive') - Number(a.finding === 'excessive'),
  );
}

const ORDER: readonly Play[] = ['unknown', 'none', 'some', 'excessive'];

/**
 * Play at a wheel: what was shaken there, or the worst joint found there, whichever is worse. Rack
 * mounts move both front wheels.
 */
export function playAt(draft: VisitDraft, wheel: Wheel): Play | undefined {
  const parts = draft.visit?.inspect?.parts ?? {};
  const findings = [
    draft.play?.[wheel],
    ...PARTS.filter((part) => PART_FACTS[part].isJoint && part !== 'rackMount').map(
      (part) => parts[wheel]?.[part],
    ),
    wheel === 'lf' || wheel === 'rf' ? parts.lf?.rackMount : undefined,
  ].filter((finding) => finding !== undefined);
  if (findings.length === 0) return undefined;
  return findings.reduce((worst, finding) =>
    ORDER.indexOf(finding) > ORDER.indexOf(worst) ? finding : worst,
  );
}
