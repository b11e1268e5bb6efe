import { fieldLabel } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { Link } from 'react-router';
import { useApiDispatch, useApiSelector } from '../api/hooks.ts';
import { outbox } from '../api/outboxSlice.ts';
import { valueWords } from './valueWords.ts';
import { t } from '../words/shared.ts';
import { fieldsTexts } from '../words/core/fields.ts';
import { papers } from '../words/pageTexts.ts';
import { measureTexts } from '../words/core/measure.ts';
import { setRightTexts } from '../words/core/setRight.ts';

const FIELD_TEXTS = {
  fields: fieldsTexts,
  found: papers,
  measure: measureTexts,
  setRight: setRightTexts,
};

/** Entries that the server would not take: each is tried again, typed again in its visit, or dismissed. */
export function AsideDialog({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  const aside = useApiSelector((state) => state.outbox.aside);
  const dispatch = useApiDispatch();
  return (
    <Dialog open={isOpen && aside.length > 0} onClose={onClose} maxWidth="sm" fullWidth>
      <DialogTitle>{t('asideDialog.entriesThatCouldNot')}</DialogTitle>
      <DialogContent>
        <Typography color="textSecondary" sx={{ mb: 1 }}>
          {t('asideDialog.theyAreStillOn')}
        </Typography>
        <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
          {aside.map(({ visitId, entry, reason }) => (
            <Box
              component="li"
              key={entry.id}
              sx={{ borderTop: '1px solid var(--hairline)', py: 1.25 }}
            >
              <Typography sx={{ fontWeight: 600 }}>
                {fieldLabel(entry.path, FIELD_TEXTS)}: {valueWords(entry.value)}
              </Typography>
              <Typography color="textSecondary">{reason}</Typography>
              <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mt: 0.75 }}>
                <Button component={Link} to={`/visits/${visitId}`} size="small" onClick={onClose}>
                  {t('asideDialog.openTheVisit')}
                </Button>
                <Button size="small" onClick={() => dispatch(outbox.triedAgain(entry.id))}>
                  {t('asideDialog.tryAgain')}
                </Button>
                <Button
                  size="small"
                  variant="text"
                  onClick={() => dispatch(outbox.dismissed(entry.id))}
                >
                  {t('asideDialog.dismiss')}
                </Button>
              </Box>
            </Box>
          ))}
        </Box>
      </DialogContent>
      <DialogActions>
        <Button onClick={onClose}>{t('asideDialog.close')}</Button>
      </DialogActions>
    </Dialog>
  );
}
