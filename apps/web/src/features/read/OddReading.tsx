import type { DepthUnit } from '@keen/contract';
import type { Oddity, Slot } from '@keen/core';
import { whereWords } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { showDepth } from '../../shared/format.ts';

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
  const unitWords = unit === 'mm' ? 'mm' : '32nds';
  const why =
    oddity.kind === 'deeperThanNew'
      ? `deeper than the ${showDepth(oddity.newMm, unit)} ${unitWords} it had when new`
      : `far from the ${showDepth(oddity.mm, unit)} of the ${oddity.rib} rib beside it`;
  return (
    <Box
      role="alert"
      sx={{ borderLeft: '3px solid var(--marker)', pl: 1.25, display: 'grid', gap: 0.75 }}
    >
      <Box>
        {whereWords(slot.wheel)}, {slot.rib}: <strong>{showDepth(mm, unit)}</strong> is {why}. Is it
        right?
      </Box>
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button onClick={onKeep}>It is right</Button>
        <Button onClick={onAgain}>Read it again</Button>
      </Box>
    </Box>
  );
}
