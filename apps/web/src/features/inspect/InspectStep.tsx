import type { Cupping, Damage, Feather, Play, Wheel } from '@keen/contract';
import { DAMAGES, UNSAFE_DAMAGES } from '@keen/contract';
import { WHEELS_OF_AXLE, whereWords } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import Typography from '@mui/material/Typography';
import { useHotkeys } from 'react-hotkeys-hook';
import { Choice } from '../../shared/Choice.tsx';
import { Notice } from '../../shared/Notice.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { StrokeGuide } from './StrokeGuide.tsx';

const FEATHER_OPTIONS: readonly { value: Feather; label: string }[] = [
  { value: 'none', label: 'Smooth' },
  { value: 'catchesOutward', label: 'Catches out' },
  { value: 'catchesInward', label: 'Catches in' },
];
const WAVE_OPTIONS: readonly { value: Cupping; label: string }[] = [
  { value: 'none', label: 'None' },
  { value: 'some', label: 'Some' },
  { value: 'heavy', label: 'Heavy' },
];
const PLAY_OPTIONS: readonly { value: Play; label: string }[] = [
  { value: 'none', label: 'None' },
  { value: 'some', label: 'Some' },
  { value: 'excessive', label: 'Too much' },
];
const DAMAGE_WORDS: Record<Damage, string> = {
  cords: 'Cords',
  bulge: 'Bulge',
  cut: 'Cut',
  puncture: 'Puncture',
  sidewallCrack: 'Cracks',
  flatSpot: 'Flat spot',
};

/** The hand over the tread, then damage, then play. */
export function InspectStep() {
  const { goTo } = useVisit();
  useHotkeys('enter', () => goTo('explain'));
  return (
    <Box sx={{ display: 'grid', gap: 3 }}>
      <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'flex-start' }}>
        <Box sx={{ flex: '1 1 300px' }}>
          <Typography variant="h1" component="h2" gutterBottom>
            What does the hand say?
          </Typography>
          <Typography color="textSecondary">
            Stroke each tire across the ribs, away from the car and back. Then along the tread for
            waves. Then shake the wheel for play.
          </Typography>
        </Box>
        <StrokeGuide />
      </Box>
      <Notice kind="caution">
        Feel slowly, with gloves: cords cut. Lift at the maker’s points and set stands before a hand
        goes under; shake a wheel only on a car that cannot roll or fall. A licensed technician
        judges the joints.
      </Notice>
      {(['front', 'rear'] as const).map((axle) => (
        <Box
          key={axle}
          sx={{
            display: 'grid',
            gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' },
            columnGap: 4,
            rowGap: 3,
          }}
        >
          {WHEELS_OF_AXLE[axle].map((wheel) => (
            <TireFindings key={wheel} wheel={wheel} />
          ))}
        </Box>
      ))}
      <Box sx={{ display: 'flex', justifyContent: 'flex-end' }}>
        <Button variant="contained" onClick={() => goTo('explain')}>
          Explain ↵
        </Button>
      </Box>
    </Box>
  );
}

function TireFindings({ wheel }: { wheel: Wheel }) {
  const { draft, enter } = useVisit();
  const tire = draft.tires?.[wheel];
  const damage = tire?.damage ?? [];
  const isUnsafe = damage.some((kind) => UNSAFE_DAMAGES.includes(kind));
  const name = whereWords(wheel);

  function toggle(kind: Damage): void {
    const next = damage.includes(kind) ? damage.filter((one) => one !== kind) : [...damage, kind];
    enter(`tires.${wheel}.damage`, next.length > 0 ? next : null);
  }

  return (
    <Box
      component="section"
      aria-label={name}
      sx={{ display: 'grid', gap: 1.25, alignContent: 'start' }}
    >
      <Typography
        variant="h2"
        component="h3"
        sx={{ '&::first-letter': { textTransform: 'uppercase' } }}
      >
        {name}
      </Typography>
      <Choice
        label="Across the ribs"
        options={FEATHER_OPTIONS}
        value={known(tire?.feather)}
        onChange={(feather) => enter(`tires.${wheel}.feather`, feather)}
      />
      <Choice
        label="Waves along the tread"
        options={WAVE_OPTIONS}
        value={known(tire?.cupping)}
        onChange={(cupping) => enter(`tires.${wheel}.cupping`, cupping)}
      />
      <Choice
        label="Play when shaken"
        options={PLAY_OPTIONS}
        value={known(draft.play?.[wheel])}
        onChange={(play) => enter(`play.${wheel}`, play)}
      />
      <Box role="group" aria-label={`Damage, ${name}`}>
        <Typography variant="h3" component="div" sx={{ color: 'text.secondary', mb: 0.5 }}>
          Damage
        </Typography>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
          {DAMAGES.map((kind) => (
            <ToggleButton
              key={kind}
              value={kind}
              selected={damage.includes(kind)}
              onChange={() => toggle(kind)}
            >
              {DAMAGE_WORDS[kind]}
            </ToggleButton>
          ))}
        </Box>
      </Box>
      {isUnsafe && (
        <Notice kind="caution">
          Not safe to drive on. The car stays until this tire is changed; local law decides.
        </Notice>
      )}
    </Box>
  );
}

function known<T extends string>(value: T | undefined): T | null {
  return value === undefined || value === 'unknown' ? null : value;
}
