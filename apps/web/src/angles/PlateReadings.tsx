import { evenSwing } from '@keen/core';
import Box from '@mui/material/Box';
import { useState } from 'react';
import { Folded } from '../shared/Folded.tsx';
import { NumberField } from '../shared/NumberField.tsx';
import { t } from '../words/angles.ts';

const FIELDS = [
  { key: 'straight', label: t('plateReadings.plateStraightAhead') },
  { key: 'out', label: t('plateReadings.plateTurnedAway') },
  { key: 'in', label: t('plateReadings.plateTurnedToward') },
] as const;
const MOST_DEG = 60;

/** What the turn plate really showed, where the swing was not even or the plate not zeroed. */
export function PlateReadings({ onSwing }: { onSwing: (angle: number | null) => void }) {
  const [readings, setReadings] = useState<Record<string, number | null>>({});
  const swing = swingOf(readings);

  function set(key: string, value: number | null): void {
    const next = { ...readings, [key]: value };
    setReadings(next);
    onSwing(swingOf(next));
  }

  return (
    <Folded title={t('plateReadings.thePlateWasNot')}>
      <Box
        sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: 'repeat(3, 1fr)' }, gap: 1.5 }}
      >
        {FIELDS.map(({ key, label }) => (
          <NumberField
            key={key}
            label={label}
            unit="°"
            value={readings[key] ?? null}
            min={-MOST_DEG}
            max={MOST_DEG}
            onChange={(value) => set(key, value)}
          />
        ))}
      </Box>
      <Box sx={{ mt: 1, color: 'text.secondary', fontSize: '0.85rem' }}>
        {swing === null
          ? t('plateReadings.withAllThreeThe')
          : t('plateReadings.worthAnEvenSwing', { swing: swing.toFixed(2) })}{' '}
        {t('plateReadings.slopingFloor')}
      </Box>
    </Folded>
  );
}

function swingOf(readings: Record<string, number | null>): number | null {
  const { straight = null, out = null, in: toward = null } = readings;
  if (straight === null || out === null || toward === null) return null;
  const swing = evenSwing({ straight, out, in: toward });
  return swing > 0 ? swing : null;
}
