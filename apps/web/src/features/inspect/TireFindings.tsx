import type { Cupping, Damage, Feather, Play, PuncturePlace, Wheel } from '@keen/contract';
import { DAMAGES, UNSAFE_DAMAGES } from '@keen/contract';
import { whereWords } from '@keen/core';
import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import Typography from '@mui/material/Typography';
import { Choice } from '../../shared/Choice.tsx';
import { Notice } from '../../shared/Notice.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { Photos } from './Photos.tsx';

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

const PUNCTURE_OPTIONS: readonly { value: PuncturePlace; label: string }[] = [
  { value: 'crown', label: 'Crown' },
  { value: 'shoulder', label: 'Shoulder' },
  { value: 'sidewall', label: 'Sidewall' },
];
/** By place (common practice, no source); the tire maker and local law decide. */
const PUNCTURE_WORDS: Record<PuncturePlace, string> = {
  crown:
    'Small and in the crown: may be repaired from inside, off the rim, where it was not driven flat.',
  shoulder: 'In the shoulder it works too much: not repairable.',
  sidewall: 'In the sidewall: not repairable.',
};

/** What the hand and the eye find at one tire. */
export function TireFindings({ wheel }: { wheel: Wheel }) {
  const { draft, enter } = useVisit();
  const tire = draft.tires?.[wheel];
  const extras = draft.visit?.tires?.[wheel] ?? {};
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
          <ToggleButton
            value="heelToe"
            selected={extras.heelToe === true}
            onChange={() => enter(`visit.tires.${wheel}.heelToe`, extras.heelToe ? null : true)}
          >
            Heel and toe
          </ToggleButton>
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
      {damage.includes('puncture') && (
        <Box>
          <Choice
            label="The puncture is in the"
            options={PUNCTURE_OPTIONS}
            value={extras.puncturePlace ?? null}
            onChange={(place) => enter(`visit.tires.${wheel}.puncturePlace`, place)}
          />
          {extras.puncturePlace && (
            <Typography sx={{ mt: 0.5 }}>{PUNCTURE_WORDS[extras.puncturePlace]}</Typography>
          )}
        </Box>
      )}
      {damage.includes('sidewallCrack') && (
        <Typography>
          Fine cracks are age; cracks that open when the sidewall is bent reach the cords: replace.
        </Typography>
      )}
      <Photos subject={`tire ${wheel}`} label={name} />
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
