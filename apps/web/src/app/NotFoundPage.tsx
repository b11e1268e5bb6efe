import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { Link as RouterLink } from 'react-router';
import { t } from '../words/app.ts';

export function NotFoundPage() {
  return (
    <Box component="main" sx={{ p: 4 }}>
      <Typography variant="h1" gutterBottom>
        {t('notFoundPage.thereIsNothingAt')}
      </Typography>
      <Link component={RouterLink} to="/">
        {t('notFoundPage.backToToday')}
      </Link>
    </Box>
  );
}
