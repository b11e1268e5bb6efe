import type { RotationPattern } from '@keen/contract';
import {
  distanceFromKm,
  distanceToKm,
  isStaggered,
  mayRotate,
  ROTATION_MOVES,
  rotationPatterns,
  usualDistance,
  WHEEL_ORDER,
} from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { useState } from 'react';
import { Choice } from '../../shared/Choice.tsx';
import { NumberField } from '../../shared/NumberField.tsx';
import { SavingField } from '../../shared/SavingField.tsx';
import { showDistance } from '../../shared/format.ts';
import { useVisit } from '../../shared/visitContext.ts';
import { Rich } from '../../shared/Rich.tsx';
import { t } from '../../words/arrive.ts';

const PATTERN_WORDS: Record<RotationPattern, string> = {
  frontToRear: t('rotations.straightFrontToRear'),
  forwardCross: t('rotations.rearsCrossToThe'),
  rearwardCross: t('rotations.frontsCrossToThe'),
  crossed: t('rotations.allCrossed'),
  sideToSide: t('rotations.sideToSide'),
};

/** When tires changed places, and when the car was last aligned. */
export function Rotations() {
  const { draft, enter, units } = useVisit();
  const rotations = draft.rotations ?? [];
  const [pattern, setPattern] = useState<RotationPattern | null>(null);
  const [at, setAt] = useState<number | null>(null);
  const staggered = isStaggered(draft);
  const rotates = mayRotate(draft);
  const oneWay = draft.visit?.car?.directional;
  const isDirectional = draft.visit?.car?.directional === true || (rotates === false && !staggered);
  const patterns = rotationPatterns({
    drive: draft.vehicle?.drive ?? 'fwd',
    isStaggered: staggered,
    isDirectional,
  });
  const distances = WHEEL_ORDER.flatMap((wheel) => draft.tires?.[wheel]?.distance ?? []);
  const run = distances.length > 0 ? Math.max(...distances) : undefined;
  const km = at === null ? null : distanceToKm(at, units.distance);
  const fault =
    km !== null && run !== undefined && km > run ? t('rotations.beforeNowAtMost') : null;
  const { lastAlignment = {} } = draft.visit ?? {};

  function add(): void {
    if (pattern === null || km === null || fault) return;
    const next = [...rotations, { atDistance: km, moves: ROTATION_MOVES[pattern] }];
    enter(
      'rotations',
      next.toSorted((a, b) => a.atDistance - b.atDistance),
    );
    setPattern(null);
    setAt(null);
  }

  return (
    <Box sx={{ display: 'grid', gap: 1.75, pb: 1 }}>
      <Choice
        label={t('rotations.tiresMayChangePlaces')}
        options={[
          { value: 'yes', label: t('rotations.yes') },
          { value: 'no', label: t('rotations.noStaggeredOrOne') },
        ]}
        value={rotates === null ? null : rotates ? 'yes' : 'no'}
        onChange={(value) => enter('vehicle.rotatable', value === null ? null : value === 'yes')}
      />
      <Choice
        label={t('rotations.tiresRollOneWay')}
        options={[
          { value: 'yes', label: t('rotations.yes') },
          { value: 'no', label: t('rotations.no') },
        ]}
        value={oneWay === undefined ? null : oneWay ? 'yes' : 'no'}
        onChange={(value) =>
          enter('visit.car.directional', value === null ? null : value === 'yes')
        }
      />
      {staggered && (
        <Typography color="textSecondary">{t('rotations.frontAndRearSizes')}</Typography>
      )}
      {rotations.map(({ atDistance, moves }, i) => (
        <Box
          key={`${atDistance} ${i}`}
          sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}
        >
          <Box sx={{ minWidth: 240 }}>
            <Rich
              text={t('rotations.at', {
                distance: showDistance(atDistance, units.distance),
                unit: units.distance,
                pattern: patternWords(moves),
              })}
            />
          </Box>
          <Button
            variant="text"
            onClick={() => {
              const left = rotations.filter((_, place) => place !== i);
              enter('rotations', left.length > 0 ? left : null);
            }}
          >
            {t('rotations.takeOut')}
          </Button>
        </Box>
      ))}
      {patterns.length > 0 && (
        <Box sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'flex-end' }}>
          <Choice
            label={t('rotations.theyChangedPlaces')}
            dense
            options={patterns.map((value) => ({ value, label: PATTERN_WORDS[value] }))}
            value={pattern}
            onChange={setPattern}
          />
          <Box sx={{ width: 170 }}>
            <NumberField
              label={t('rotations.after')}
              unit={units.distance}
              decimals={0}
              max={run === undefined ? 1_000_000 : distanceFromKm(run, units.distance)}
              value={at}
              onChange={setAt}
            />
          </Box>
          <Button disabled={pattern === null || km === null || fault !== null} onClick={add}>
            {t('rotations.add')}
          </Button>
        </Box>
      )}
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', sm: '170px 170px 1fr' },
          gap: 1.5,
        }}
      >
        <SavingField
          label={t('rotations.lastAlignedOn')}
          placeholder="2025-04-30"
          value={lastAlignment.date ?? ''}
          check={(text) =>
            /^\d{4}-\d{2}-\d{2}$/.test(text) && !Number.isNaN(Date.parse(text))
              ? null
              : t('rotations.yearMonthDaySuch')
          }
          onChange={(date) => {
            // A guess that can be typed over, so that the date counts for something.
            const isGuess = lastAlignment.agoKm === guessFrom(lastAlignment.date);
            saveAlignment(isGuess ? { date, agoKm: guessFrom(date) ?? null } : { date });
          }}
        />
        <NumberField
          label={t('rotations.runSinceThen')}
          unit={units.distance}
          decimals={0}
          max={1_000_000}
          value={
            lastAlignment.agoKm === undefined
              ? null
              : distanceFromKm(lastAlignment.agoKm, units.distance)
          }
          onChange={(value) =>
            saveAlignment({ agoKm: value === null ? null : distanceToKm(value, units.distance) })
          }
        />
        <SavingField
          label={t('rotations.forWhatReason')}
          value={lastAlignment.reason ?? ''}
          onChange={(reason) => saveAlignment({ reason })}
        />
      </Box>
    </Box>
  );

  function saveAlignment(change: {
    date?: string | null;
    agoKm?: number | null;
    reason?: string | null;
  }): void {
    const next = Object.fromEntries(
      Object.entries({ ...lastAlignment, ...change }).filter(
        ([, value]) => value !== null && value !== '',
      ),
    );
    enter('visit.lastAlignment', Object.keys(next).length > 0 ? next : null);
  }
}

/** About what was run since a day, km; undefined without one. */
function guessFrom(date: string | null | undefined): number | undefined {
  return date ? usualDistance(date, dayjs().format('YYYY-MM-DD')) : undefined;
}

function patternWords(moves: object): string {
  const text = JSON.stringify(moves, Object.keys(moves).toSorted());
  const known = (Object.keys(ROTATION_MOVES) as RotationPattern[]).find(
    (pattern) =>
      JSON.stringify(ROTATION_MOVES[pattern], Object.keys(ROTATION_MOVES[pattern]).toSorted()) ===
      text,
  );
  if (known) return PATTERN_WORDS[known].toLowerCase();
  return Object.entries(moves)
    .map(([from, to]) => t('rotations.to', { from, to: String(to) }))
    .join(', ');
}
