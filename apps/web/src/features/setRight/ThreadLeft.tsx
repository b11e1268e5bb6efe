import { threadLeft } from '@keen/core';
import Box from '@mui/material/Box';
import { useState } from 'react';
import { Folded } from '../../shared/Folded.tsx';
import { Notice } from '../../shared/Notice.tsx';
import { NumberField } from '../../shared/NumberField.tsx';
import { Rich } from '../../shared/Rich.tsx';
import { t } from '../../words/setRight.ts';

/** Longest thread that is believed, and its thickest, mm. */
const MOST_ENGAGED_MM = 100;
const MOST_DIAMETER_MM = 40;

interface ThreadLeftProps {
  /** Of the rod, mm, positive longer; null while it is not known. */
  lengthChange: number | null;
  adjuster: 'single' | 'turnbuckle';
}

/** Whether enough thread stays in the rod's end, by a rule held to it. */
export function ThreadLeft({ lengthChange, adjuster }: ThreadLeftProps) {
  const [engaged, setEngaged] = useState<number | null>(null);
  const [diameter, setDiameter] = useState<number | null>(null);
  return (
    <Folded title={t('threadLeft.threadLeftInThe')}>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' },
          gap: 1.5,
          pt: 0.5,
        }}
      >
        <NumberField
          label={t('threadLeft.threadInTheEnd')}
          unit="mm"
          value={engaged}
          max={MOST_ENGAGED_MM}
          onChange={setEngaged}
        />
        <NumberField
          label={t('threadLeft.diameterOfTheThread')}
          unit="mm"
          value={diameter}
          min={1}
          max={MOST_DIAMETER_MM}
          onChange={setDiameter}
        />
      </Box>
      {engaged !== null && diameter !== null && lengthChange !== null && (
        <After {...threadLeft({ engaged, diameter, lengthChange, adjuster })} />
      )}
    </Folded>
  );
}

function After({ left, least, holds }: ReturnType<typeof threadLeft>) {
  if (holds) {
    return (
      <Box role="note" sx={{ mt: 1 }}>
        <Rich text={t('threadLeft.stayIn', { left: left.toFixed(1), least: least.toFixed(0) })} />
      </Box>
    );
  }
  return (
    <Box sx={{ mt: 1 }}>
      <Notice kind="caution">
        <Rich text={t('threadLeft.wouldStayIn', { left: left.toFixed(1) })} />
      </Notice>
    </Box>
  );
}
