import type { SpecSheet, UsedSheet } from '@keen/contract';
import { tolerancesOf } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { useState } from 'react';
import { joined } from '../../shared/joined.ts';
import { useVisit } from '../../shared/visitContext.ts';
import { SheetChooser } from './SheetChooser.tsx';
import { t } from '../../words/measure.ts';

/** Which specification this visit uses, and where its figures come from. */
export function SheetBar() {
  const { draft, enter } = useVisit();
  const [isChoosing, setChoosing] = useState(false);
  const used = draft.visit?.sheet;

  function choose(next: UsedSheet | null): void {
    enter('visit.sheet', next);
    const tolerances = next && tolerancesOf(next.sheet);
    const hasAny = tolerances && Object.keys(tolerances).length > 0;
    if (hasAny || draft.tolerances) enter('tolerances', hasAny ? tolerances : null);
    setChoosing(false);
  }

  return (
    <Box
      component="section"
      aria-labelledby="sheet-title"
      sx={{ display: 'flex', gap: 2, alignItems: 'flex-start', flexWrap: 'wrap' }}
    >
      <Box sx={{ flex: 1, minWidth: 260 }}>
        <Typography variant="h2" component="h3" id="sheet-title">
          {used ? used.sheet.name : t('sheetBar.noSpecificationChosen')}
        </Typography>
        <Typography color="textSecondary">
          {used ? sourceWords(used) : t('sheetBar.usualLimitsStandIn')}
        </Typography>
        {used?.sheet.conditions && (
          <Typography>{t('sheetBar.holdsFor', { conditions: used.sheet.conditions })}</Typography>
        )}
        {used?.sheet.note && (
          <Typography variant="body2" color="textSecondary">
            {used.sheet.note}
          </Typography>
        )}
      </Box>
      <Button variant={used ? 'outlined' : 'contained'} onClick={() => setChoosing(true)}>
        {used ? t('sheetBar.changeTheSheet') : t('sheetBar.chooseTheSheet')}
      </Button>
      {isChoosing && (
        <SheetChooser used={used ?? null} onChoose={choose} onClose={() => setChoosing(false)} />
      )}
    </Box>
  );
}

const KIND_WORDS: Record<SpecSheet['kind'], string> = {
  maker: t('sheetBar.theMakersFigures'),
  shop: t('sheetBar.theShopsOwnFigures'),
  startingPoint: t('sheetBar.aStartingPointNot'),
};

function sourceWords({ sheet, enteredBy, enteredAt, revision }: UsedSheet): string {
  const { kind, source, sourceDate } = sheet;
  const from = sourceDate
    ? t('sheetBar.of', { source, sourceDate: dayjs(sourceDate).format('D MMM YYYY') })
    : source;
  const who =
    enteredBy &&
    enteredAt &&
    t('sheetBar.enteredByOnRevision', {
      enteredBy,
      enteredAt: dayjs(enteredAt).format('D MMM YYYY'),
      revision: revision ?? 1,
    });
  return `${KIND_WORDS[kind]}: ${joined(from, who)}.`;
}
