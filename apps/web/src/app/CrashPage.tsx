import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect } from 'react';
import { useRouteError } from 'react-router';
import { reportError } from './reportErrors.ts';
import { t } from '../words/app.ts';

/** When a screen breaks: what happened, what is kept, what to do. */
export function CrashPage() {
  const error = useRouteError();
  useEffect(() => reportError(error), [error]);
  return (
    <Box sx={{ p: 4, maxWidth: 560 }} role="alert">
      <Typography variant="h1" gutterBottom>
        {t('crashPage.thisScreenBroke')}
      </Typography>
      <Typography sx={{ mb: 2 }}>{t('crashPage.whatYouTypedIs')}</Typography>
      <Button variant="contained" onClick={() => window.location.reload()}>
        {t('crashPage.loadAgain')}
      </Button>
    </Box>
  );
}
