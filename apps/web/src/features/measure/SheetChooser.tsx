import type { StoredSheet, SpecSheet, UsedSheet } from '@keen/contract';
import { STARTING_POINTS, startingSheet } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Skeleton from '@mui/material/Skeleton';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Link } from 'react-router';
import { useSheetsQuery } from '../../api/keenApi.ts';
import { Notice } from '../../shared/Notice.tsx';
import { SheetLines } from '../../shared/SheetLines.tsx';
import { Rich } from '../../shared/Rich.tsx';
import { t } from '../../words/measure.ts';
import { measureTexts } from '../../words/core/measure.ts';

interface SheetChooserProps {
  used: UsedSheet | null;
  onChoose: (sheet: UsedSheet | null) => void;
  onClose: () => void;
}

/** The shop's sheets, and starting points by use; the one that is pressed is copied into the visit. */
export function SheetChooser({ used, onChoose, onClose }: SheetChooserProps) {
  const { data, isLoading, isError } = useSheetsQuery();
  const [words, setWords] = useState('');
  const matches = (name: string) => name.toLowerCase().includes(words.trim().toLowerCase());
  const own = (data ?? []).filter(({ retired, sheet }) => !retired && matches(sheet.name));
  const points = STARTING_POINTS.map((point) => ({
    id: point.id,
    sheet: startingSheet(point, measureTexts.startingPoints),
  })).filter(({ sheet }) => matches(sheet.name));
  return (
    <Dialog open onClose={onClose} maxWidth="sm" fullWidth aria-labelledby="chooser-title">
      <DialogTitle id="chooser-title" variant="h2">
        {t('sheetChooser.whichSpecification')}
      </DialogTitle>
      <DialogContent>
        <Box sx={{ display: 'grid', gap: 2, pt: 0.75 }}>
          <TextField
            label={t('sheetChooser.findByName')}
            autoFocus
            value={words}
            onChange={({ target }) => setWords(target.value)}
          />
          <Box component="section" aria-label={t('sheetChooser.theShopsSheets')}>
            <Typography variant="h3" color="textSecondary" sx={{ mb: 0.5 }}>
              {t('sheetChooser.theShopsSheets')}
            </Typography>
            {isLoading && <Skeleton variant="rectangular" height={44} />}
            {isError && <Notice kind="caution">{t('sheetChooser.theSheetsCannotBe')}</Notice>}
            {data && own.length === 0 && (
              <Typography color="textSecondary">
                {data.length === 0 ? t('sheetChooser.noneYet') : t('sheetChooser.noneOfThatName')}{' '}
                <Rich
                  text={t('sheetChooser.enterOnce')}
                  tags={{ link: (inner) => <Link to="/sheets">{inner}</Link> }}
                />
              </Typography>
            )}
            {own.map((kept) => (
              <SheetOption
                key={kept.id}
                sheet={kept.sheet}
                isUsed={used?.sheetId === kept.id && used.revision === kept.revision}
                onPress={() => onChoose(usedSheet(kept))}
              />
            ))}
          </Box>
          <Box component="section" aria-label={t('sheetChooser.startingPointsByUse')}>
            <Typography variant="h3" color="textSecondary">
              {t('sheetChooser.startingPointsByUse')}
            </Typography>
            <Typography variant="body2" color="textSecondary" sx={{ mb: 0.5 }}>
              {t('sheetChooser.customOfTheTrade')}
            </Typography>
            {points.map(({ id, sheet }) => (
              <SheetOption
                key={id}
                sheet={sheet}
                isUsed={used?.sheetId === null && used.sheet.name === sheet.name}
                onPress={() =>
                  onChoose({
                    sheetId: null,
                    revision: null,
                    enteredBy: null,
                    enteredAt: null,
                    sheet,
                  })
                }
              />
            ))}
          </Box>
        </Box>
      </DialogContent>
      <DialogActions sx={{ p: 2 }}>
        {used && (
          <Button onClick={() => onChoose(null)}>{t('sheetChooser.goWithoutASheet')}</Button>
        )}
        <Button onClick={onClose}>{t('sheetChooser.cancel')}</Button>
      </DialogActions>
    </Dialog>
  );
}

function usedSheet({ id, revision, enteredBy, enteredAt, sheet }: StoredSheet): UsedSheet {
  return { sheetId: id, revision, enteredBy, enteredAt, sheet };
}

function SheetOption(props: { sheet: SpecSheet; isUsed: boolean; onPress: () => void }) {
  const { sheet, isUsed, onPress } = props;
  return (
    <Button
      variant="text"
      onClick={onPress}
      aria-pressed={isUsed}
      sx={{
        display: 'block',
        width: '100%',
        textAlign: 'left',
        px: 1,
        py: 0.75,
        color: 'var(--ink)',
        borderRadius: 0,
        borderTop: '1px solid var(--hairline)',
        borderLeft: '4px solid',
        borderLeftColor: isUsed ? 'var(--marker)' : 'transparent',
      }}
    >
      <Box sx={{ fontWeight: 650 }}>{sheet.name}</Box>
      <SheetLines sheet={sheet} />
    </Button>
  );
}
