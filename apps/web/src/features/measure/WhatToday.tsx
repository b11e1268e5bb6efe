import type { AngleKind } from '@keen/contract';
import { ANGLE_KINDS } from '@keen/contract';
import { measuredToday, methodsFor } from '@keen/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Choice } from '../../shared/Choice.tsx';
import { ManyChoice } from '../../shared/ManyChoice.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { KIND_WORDS } from './kindWords.ts';
import { useMethods } from './useMethods.ts';
import { t } from '../../words/measure.ts';
import { measureTexts } from '../../words/core/measure.ts';

const AXLES = [
  { value: 'both', label: t('whatToday.allFourWheels') },
  { value: 'front', label: t('whatToday.frontOnly') },
  { value: 'rear', label: t('whatToday.rearOnly') },
] as const;

/** The first question: which angles, on which axle, with what. Only what that needs is asked for after it. */
export function WhatToday() {
  const { draft, enter } = useVisit();
  const { method, choose } = useMethods();
  const { kinds, axles } = measuredToday(draft);
  const set = (next: { kinds?: readonly AngleKind[]; axles?: readonly ('front' | 'rear')[] }) =>
    enter('visit.measure.what', { kinds: [...kinds], axles: [...axles], ...next });
  return (
    <Box component="section" aria-labelledby="today-title" sx={{ display: 'grid', gap: 1.25 }}>
      <Typography variant="h2" component="h3" id="today-title">
        {t('whatToday.whatIsMeasuredToday')}
      </Typography>
      <Box sx={{ display: 'flex', columnGap: 3, rowGap: 1.25, flexWrap: 'wrap' }}>
        <Choice
          label={t('whatToday.wheels')}
          hideLabel
          options={AXLES}
          value={axles.length === 2 ? 'both' : axles[0]!}
          onChange={(next) => next && set({ axles: next === 'both' ? ['front', 'rear'] : [next] })}
        />
        <ManyChoice
          label={t('whatToday.angles')}
          hideLabel
          options={ANGLE_KINDS.map((value) => ({ value, label: KIND_WORDS[value] }))}
          values={kinds}
          onChange={(next) =>
            next && set({ kinds: ANGLE_KINDS.filter((kind) => next.includes(kind)) })
          }
        />
      </Box>
      {kinds.map((kind) => {
        const { limits } = measureTexts.methods[method[kind]];
        return (
          <Box key={kind} sx={{ display: 'grid', gap: 0.5 }}>
            <Choice
              label={t('whatToday.measuredWith', { kindWords: KIND_WORDS[kind] })}
              dense
              options={methodsFor(kind).map((value) => ({
                value,
                label: measureTexts.methods[value].title,
              }))}
              value={method[kind]}
              onChange={(next) => next && choose(kind, next)}
            />
            {limits && (
              <Typography variant="body2" color="textSecondary">
                {limits}
              </Typography>
            )}
          </Box>
        );
      })}
    </Box>
  );
}
