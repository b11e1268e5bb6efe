import type { Units } from '@keen/contract';
import { DEFAULT_LIMITS_MM } from '@keen/core';
import { tiresAt } from '@keen/core/lab';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { AxleSectionView } from '../../drawing/AxleSectionView.tsx';
import { WornWaves } from '../../drawing/WornWaves.tsx';
import { showDepth, showFar } from '../../shared/format.ts';
import { labSections } from './labTires.ts';
import type { Band } from './otherCars.ts';
import { FURTHEST_KM } from './useLab.ts';
import type { Driven } from './useLab.ts';
import { t } from '../../words/wearLab.ts';
import { whereWords } from '../../words/pageTexts.ts';

interface LabCarProps {
  title: string;
  driven: Driven;
  km: number;
  band: Band | null;
  units: Units;
  /** What its tires cost, in words. */
  cost: string;
}

/** Waves are drawn this much larger than they are, units of the drawing for each mm. */
const WAVE_SCALE = 7;
const LEAST_WAVES_MM = 0.3;
const MOST_WAVES = 20;

/** The car in a strip that stays in sight while a phone shows the settings. */
export function LabCarStrip({ driven, km, units }: Pick<LabCarProps, 'driven' | 'km' | 'units'>) {
  const tires = useMemo(() => labSections(driven, km, null), [driven, km]);
  return (
    <Box
      sx={{
        display: { xs: 'grid', md: 'none' },
        gridTemplateColumns: '1fr 1fr',
        gap: 2,
        position: 'sticky',
        top: 0,
        zIndex: 2,
        bgcolor: 'var(--paper)',
        borderBottom: '1px solid var(--line)',
        mx: -2.5,
        px: 2.5,
        py: 1,
      }}
    >
      {(['front', 'rear'] as const).map((axle) => (
        <AxleSectionView
          key={axle}
          axle={axle}
          tires={tires}
          legalMm={DEFAULT_LIMITS_MM.legal}
          unit={units.depth}
          compact
        />
      ))}
    </Box>
  );
}

/** One car after some distance: both axles, where its first rib ends, what that costs. */
export function LabCar({ title, driven, km, band, units, cost }: LabCarProps) {
  const tires = useMemo(() => labSections(driven, km, band), [driven, km, band]);
  const { wavesMm } = tiresAt(driven.run, km);
  const waves = (Object.entries(wavesMm) as [keyof typeof wavesMm, number][])
    .filter(([, mm]) => mm >= LEAST_WAVES_MM)
    .toSorted((a, b) => b[1] - a[1])[0];
  const { end } = driven;
  return (
    <Box component="section" aria-label={title} sx={{ minWidth: 0 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1.5, mb: 0.5, flexWrap: 'wrap' }}>
        <Typography variant="h2" component="h3">
          {title}
        </Typography>
        <Box sx={{ color: 'text.secondary', ml: 'auto', textAlign: 'right' }}>
          {end
            ? t('labCar.legalLimitAt', {
                km: showFar(end.km, units.distance),
                distance: units.distance,
              })
            : t('labCar.noRibAtThe', {
                furthestKm: showFar(FURTHEST_KM, units.distance),
                distance: units.distance,
              })}
          , {cost}
        </Box>
      </Box>
      {(['front', 'rear'] as const).map((axle) => (
        <AxleSectionView
          key={axle}
          axle={axle}
          tires={tires}
          legalMm={DEFAULT_LIMITS_MM.legal}
          unit={units.depth}
          bandOnly
        />
      ))}
      {waves && (
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 2 }}>
          <Box sx={{ width: 150 }}>
            <WornWaves
              label={t('labCar.fromTheSideWith', { whereWords: whereWords(waves[0]) })}
              depth={Math.min(MOST_WAVES, WAVE_SCALE * waves[1])}
            />
          </Box>
          <Box sx={{ color: 'text.secondary' }}>
            {t('labCar.wavesOfMmCrest', {
              whereWords: whereWords(waves[0]),
              depth: showDepth(waves[1], 'mm'),
            })}
          </Box>
        </Box>
      )}
    </Box>
  );
}
