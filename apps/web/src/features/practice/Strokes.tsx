import type { Feather, Felt, Wheel } from '@keen/contract';
import { WHEEL_ORDER } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Choice } from '../../shared/Choice.tsx';
import { capital } from '../../shared/format.ts';
import { WHEEL_LABELS } from '../../shared/wheelLabels.ts';
import { t } from '../../words/practice.ts';
import { FOUND } from '../../words/core/inspect.ts';

interface StrokesProps {
  felt: Record<Wheel, Felt>;
  feathers: Record<Wheel, Feather | undefined>;
  onFeather: (wheel: Wheel, feather: Feather | null) => void;
}

const WAYS = [
  { way: 'out', title: t('strokes.handOut') },
  { way: 'in', title: t('strokes.handIn') },
] as const;
const FEATHERS = (['none', 'catchesOutward', 'catchesInward'] as const).map((value) => ({
  value,
  label: capital(FOUND.feathers[value]),
}));

/** Each tread under the hand: moved both ways it is sharp or smooth, and the learner says what that is. */
export function Strokes({ felt, feathers, onFeather }: StrokesProps) {
  const [moved, setMoved] = useState<readonly string[]>([]);
  return (
    <Box
      component="ul"
      aria-label={t('strokes.treadsUnderTheHand')}
      sx={{ listStyle: 'none', p: 0, m: 0 }}
    >
      {WHEEL_ORDER.map((wheel) => (
        <Box
          component="li"
          key={wheel}
          sx={{
            display: 'flex',
            flexWrap: 'wrap',
            columnGap: 1.5,
            rowGap: 0.75,
            alignItems: 'center',
            py: 0.75,
          }}
        >
          <Box sx={{ width: 92 }}>{WHEEL_LABELS[wheel]}</Box>
          {WAYS.map(({ way, title }) => {
            const key = `${wheel} ${way}`;
            return (
              <Box key={way} sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
                <Button onClick={() => setMoved([...moved, key])}>{title}</Button>
                <Box role="status" sx={{ width: 58, fontWeight: 650 }}>
                  {moved.includes(key) && felt[wheel][way]}
                </Box>
              </Box>
            );
          })}
          <Choice
            label={t('strokes.whatIsIt', { wheelLabels: WHEEL_LABELS[wheel] })}
            hideLabel
            options={FEATHERS}
            value={featherAnswer(feathers[wheel])}
            onChange={(feather) => onFeather(wheel, feather)}
            dense
          />
        </Box>
      ))}
    </Box>
  );
}

function featherAnswer(feather: Feather | undefined): (typeof FEATHERS)[number]['value'] | null {
  return feather === undefined || feather === 'unknown' ? null : feather;
}
