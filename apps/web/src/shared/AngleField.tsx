import type { VisitDraft, Wheel } from '@keen/contract';
import { NumberField } from './NumberField.tsx';
import { useVisit } from './visitContext.ts';

export type WheelAngles = NonNullable<NonNullable<VisitDraft['angles']>[Wheel]>;
export type WheelAngle = keyof WheelAngles;

const MOST_DEG = 30;

interface AngleFieldProps {
  wheel: Wheel;
  kind: WheelAngle;
  label: string;
  angles: WheelAngles;
}

/** One wheel's angle, typed in degrees; the others of the wheel stay as they are. */
export function AngleField({ wheel, kind, label, angles }: AngleFieldProps) {
  const { enter } = useVisit();
  return (
    <NumberField
      label={label}
      unit="°"
      value={angles[kind] ?? null}
      min={-MOST_DEG}
      max={MOST_DEG}
      decimals={3}
      onChange={(value) => enter(`angles.${wheel}`, withAngle(angles, kind, value))}
    />
  );
}

/** The wheel's angles with one set or taken away; null when none is left. */
export function withAngle(
  angles: WheelAngles,
  kind: WheelAngle,
  value: number | null,
): WheelAngles | null {
  const next = { ...angles };
  if (value === null) delete next[kind];
  else next[kind] = value;
  return Object.keys(next).length > 0 ? next : null;
}
