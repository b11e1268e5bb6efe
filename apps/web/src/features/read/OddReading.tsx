import type { DepthUnit } from '@keen/contract';
import type { Oddity, Slot } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { showDepth, DEPTH_UNIT_WORDS } from '../../shared/format.ts';
import { Rich } from '../../shared/Rich.tsx';
import { t } from '../../words/read.ts';
import { term } from '../../words/terms.ts';
import { whereWords } from '../../words/pageTexts.ts';

/** A reading that is asked about, once. */
export interface Asked {
  slot: Slot;
  station: number;
  mm: number;
  oddity: Oddity;
}

interface OddReadingProps {
  asked: Asked;
  unit: DepthUnit;
  onKeep: () => void;
  onAgain: () => void;
}

/** Asks about a reading that cannot be, and blocks nothing: reading goes on meanwhile. */
export function OddReading({ asked, unit, onKeep, onAgain }: OddReadingProps) {
  const { slot, mm, oddity } = asked;
  const unitWords = DEPTH_UNIT_WORDS[unit];
  const why =
    oddity.kind === 'deeperThanNew'
      ? t('oddReading.deeperThanTheIt', { newMm: showDepth(oddity.newMm, unit), unitWords })
      : t('oddReading.farFromTheOf', {
          mm: showDepth(oddity.mm, unit),
          rib: term(`rib.${oddity.rib}`),
        });
  return (
    <Box
      role="alert"
      sx={{ borderLeft: '3px solid var(--marker)', pl: 1.25, display: 'grid', gap: 0.75 }}
    >
      <Box>
        <Rich
          text={t('oddReading.isItRight', {
            where: whereWords(slot.wheel),
            rib: term(`rib.${slot.rib}`),
            depth: showDepth(mm, unit),
            why,
          })}
        />
      </Box>
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button onClick={onKeep}>{t('oddReading.itIsRight')}</Button>
        <Button onClick={onAgain}>{t('oddReading.readItAgain')}</Button>
      </Box>
    </Box>
  );
}
