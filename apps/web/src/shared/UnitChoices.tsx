import type { Units } from '@keen/contract';
import { DEPTH_UNITS, DISTANCE_UNITS, PRESSURE_UNITS } from '@keen/contract';
import { Choice } from './Choice.tsx';
import { DEPTH_UNIT_WORDS } from './format.ts';
import { t } from '../words/shared.ts';

interface UnitChoicesProps {
  units: Units;
  onChange: (units: Units) => void;
}

/** Depth, pressure and distance, each in one of its units. */
export function UnitChoices({ units, onChange }: UnitChoicesProps) {
  return (
    <>
      <Choice
        label={t('unitChoices.treadDepthIn')}
        options={DEPTH_UNITS.map((value) => ({ value, label: DEPTH_UNIT_WORDS[value] }))}
        value={units.depth}
        onChange={(depth) => depth && onChange({ ...units, depth })}
      />
      <Choice
        label={t('unitChoices.pressureIn')}
        options={PRESSURE_UNITS.map((value) => ({ value, label: value }))}
        value={units.pressure}
        onChange={(pressure) => pressure && onChange({ ...units, pressure })}
      />
      <Choice
        label={t('unitChoices.distanceIn')}
        options={DISTANCE_UNITS.map((value) => ({ value, label: value }))}
        value={units.distance}
        onChange={(distance) => distance && onChange({ ...units, distance })}
      />
    </>
  );
}
