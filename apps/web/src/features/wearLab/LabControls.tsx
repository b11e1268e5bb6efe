import type { Drive } from '@keen/contract';
import { DRIVES } from '@keen/contract';
import { axleOf, sideOf, WHEEL_ORDER } from '@keen/core';
import { LAB_RANGES, NAMED_TREADS } from '@keen/core/lab';
import type { LabCar } from '@keen/core/lab';
import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { Choice } from '../../shared/Choice.tsx';
import { showDegrees } from '../../shared/format.ts';
import { ManyChoice } from '../../shared/ManyChoice.tsx';
import { TrySlider } from '../../shared/TrySlider.tsx';
import { WHEEL_LABELS } from '../../shared/wheelLabels.ts';
import { fromTread, withWheel } from './labSetup.ts';
import type { LabSetup } from './labSetup.ts';
import { t } from '../../words/wearLab.ts';
import { labTexts } from '../../words/core/lab.ts';

const DRIVE_WORDS: Record<Drive, string> = {
  fwd: t('labControls.front'),
  rwd: t('labControls.rear'),
  awd: t('labControls.allFour'),
};
const WHEEL_TOGGLES = [
  { value: 'both', label: t('labControls.bothSidesAlike') },
  { value: 'bounces', label: t('labControls.bounces') },
] as const;
const degrees = (value: number) => showDegrees(value, 1);
const percent = (value: number) => `${Math.round(100 * value)} %`;
const times = (value: number) => `× ${value.toFixed(1)}`;

const WHEEL_SLIDERS = [
  { key: 'camber', label: t('labControls.camber'), step: 0.1, show: degrees },
  {
    key: 'toe',
    label: t('labControls.toeOfThisWheel'),
    step: 0.05,
    show: (value: number) => showDegrees(value, 2),
  },
  { key: 'pressure', label: t('labControls.pressureOfThePlacard'), step: 0.01, show: percent },
] as const;
const AXLE_SLIDERS = [
  {
    key: 'play',
    label: t('labControls.playToeWandersBy'),
    step: 0.02,
    show: (value: number) => `${value.toFixed(2)}°`,
  },
  { key: 'load', label: t('labControls.loadOfWhatThe'), step: 0.05, show: percent },
  {
    key: 'height',
    label: t('labControls.bodyRaisedOrLowered'),
    step: 5,
    show: (value: number) => `${value > 0 ? '+' : value < 0 ? '−' : ''}${Math.abs(value)} mm`,
  },
] as const;
const CAR_SLIDERS = [
  { key: 'cornering', label: t('labControls.corneringOfTheUsual'), step: 0.1, show: times },
  { key: 'rate', label: t('labControls.rateOfWearOf'), step: 0.1, show: times },
] as const;

interface LabControlsProps {
  setup: LabSetup;
  /** The car that the sliders mark: where the page started. */
  start: LabCar;
  onChange: (setup: LabSetup) => void;
  /** What the visit's car is called, when the page starts from one. */
  visitTitle: string | null;
}

/** Everything that can be moved: one wheel, its axle, the car. */
export function LabControls({ setup, start, onChange, visitTitle }: LabControlsProps) {
  const { car, wheel } = setup;
  const [both, setBoth] = useState(false);
  const axle = axleOf(wheel);
  const side = sideOf(wheel);
  const set = (change: Partial<LabCar>) => onChange({ ...setup, car: { ...car, ...change } });
  return (
    <Box sx={{ display: 'grid', gap: 2, alignContent: 'start' }}>
      <TextField
        select
        label={t('labControls.startFrom')}
        value={'tread' in setup.from ? setup.from.tread : 'visit'}
        onChange={({ target }) => onChange(fromTread(setup, target.value))}
      >
        {visitTitle !== null && (
          <MenuItem value="visit" disabled>
            {visitTitle}
          </MenuItem>
        )}
        {NAMED_TREADS.map(({ name }) => (
          <MenuItem key={name} value={name}>
            {labTexts.namedTreads[name]}
          </MenuItem>
        ))}
      </TextField>
      {/* Two by two, as they stand under the car. */}
      <Box
        sx={{
          '& [role=group] > div:last-of-type': { display: 'grid', gridTemplateColumns: '1fr 1fr' },
        }}
      >
        <Choice
          label={t('labControls.wheel')}
          hideLabel
          options={WHEEL_ORDER.map((value) => ({ value, label: WHEEL_LABELS[value] }))}
          value={wheel}
          onChange={(next) => next && onChange({ ...setup, wheel: next })}
          dense
        />
      </Box>
      <Group title={WHEEL_LABELS[wheel]}>
        {WHEEL_SLIDERS.map(({ key, ...slider }) => (
          <TrySlider
            key={key}
            stacked
            {...slider}
            range={LAB_RANGES[key]}
            value={car[key][wheel]}
            asIs={start[key][wheel]}
            onChange={(value) =>
              onChange({ ...setup, car: withWheel(car, key, wheel, value, both) })
            }
          />
        ))}
        <ManyChoice
          label={t('labControls.thisWheel')}
          hideLabel
          options={WHEEL_TOGGLES}
          values={[
            ...(car.bounces[wheel] ? (['bounces'] as const) : []),
            ...(both ? (['both'] as const) : []),
          ]}
          onChange={(values) => {
            setBoth(values?.includes('both') ?? false);
            const bounces = values?.includes('bounces') ?? false;
            if (bounces !== car.bounces[wheel]) {
              onChange({ ...setup, car: withWheel(car, 'bounces', wheel, bounces, both) });
            }
          }}
        />
      </Group>
      <Group title={axle === 'front' ? t('labControls.frontAxle') : t('labControls.rearAxle')}>
        {AXLE_SLIDERS.map(({ key, ...slider }) => (
          <TrySlider
            key={key}
            stacked
            {...slider}
            range={LAB_RANGES[key]}
            value={car[key][axle]}
            asIs={start[key][axle]}
            onChange={(value) => set({ [key]: { ...car[key], [axle]: value } })}
          />
        ))}
        {axle === 'front' && (
          <TrySlider
            stacked
            label={t('labControls.casterOfThisWheel')}
            value={car.caster[side]}
            asIs={start.caster[side]}
            range={LAB_RANGES.caster}
            step={0.5}
            show={degrees}
            onChange={(value) =>
              set({
                caster: both ? { left: value, right: value } : { ...car.caster, [side]: value },
              })
            }
          />
        )}
      </Group>
      <Group title={t('labControls.carAndDriver')}>
        {CAR_SLIDERS.map(({ key, ...slider }) => (
          <TrySlider
            key={key}
            stacked
            {...slider}
            range={LAB_RANGES[key]}
            value={car[key]}
            asIs={start[key]}
            onChange={(value) => set({ [key]: value })}
          />
        ))}
        <Choice
          label={t('labControls.drivenAxle')}
          options={DRIVES.map((value) => ({ value, label: DRIVE_WORDS[value] }))}
          value={car.drive}
          onChange={(drive) => drive && set({ drive })}
          dense
        />
      </Group>
    </Box>
  );
}

function Group({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box
      component="fieldset"
      sx={{
        border: 0,
        borderTop: '1px solid var(--line)',
        m: 0,
        p: 0,
        pt: 1,
        display: 'grid',
        gap: 0.25,
      }}
    >
      <Box component="legend" sx={{ float: 'left', width: '100%', p: 0, fontWeight: 650, mb: 0.5 }}>
        {title}
      </Box>
      {children}
    </Box>
  );
}
