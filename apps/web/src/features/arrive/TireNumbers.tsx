import type { Wheel } from '@keen/contract';
import { depthFromMm, depthToMm, distanceFromKm, distanceToKm } from '@keen/core';
import { DEPTH_UNIT_WORDS } from '../../shared/format.ts';
import { NumberField } from '../../shared/NumberField.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { useCarriedAlong } from './useCarriedAlong.ts';

interface TireNumberProps {
  label: string;
  /** Tires that it is entered for; the first one's is shown. */
  wheels: readonly Wheel[];
}

/** What tires have run, in the person's unit. */
export function DistanceField({ label, wheels }: TireNumberProps) {
  const { draft, enter, units } = useVisit();
  const km = draft.tires?.[wheels[0]!]?.distance;
  return (
    <NumberField
      label={label}
      unit={units.distance}
      decimals={0}
      max={1_000_000}
      value={km === undefined ? null : distanceFromKm(km, units.distance)}
      onChange={(value) => {
        const next = value === null ? null : distanceToKm(value, units.distance);
        for (const wheel of wheels) enter(`tires.${wheel}.distance`, next);
      }}
    />
  );
}

interface NewDepthProps extends TireNumberProps {
  /** Tires that take the depth along while they have none of their own. */
  alongWith?: readonly Wheel[];
}

/** How deep tires were when new, in the person's unit. */
export function NewDepthField({ label, wheels, alongWith = [] }: NewDepthProps) {
  const { draft, enterAll, units } = useVisit();
  const along = useCarriedAlong((wheel) => draft.tires?.[wheel]?.newDepth);
  const mm = draft.tires?.[wheels[0]!]?.newDepth;
  return (
    <NumberField
      label={label}
      unit={DEPTH_UNIT_WORDS[units.depth]}
      max={units.depth === 'mm' ? 60 : 75}
      min={0.1}
      value={mm === undefined ? null : depthFromMm(mm, units.depth)}
      onChange={(typed) => {
        const value = typed === null ? null : depthToMm(typed, units.depth);
        enterAll(
          [...wheels, ...along(alongWith, value)].map((wheel) => ({
            path: `tires.${wheel}.newDepth`,
            value,
          })),
        );
      }}
    />
  );
}
