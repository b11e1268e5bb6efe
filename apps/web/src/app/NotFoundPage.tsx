import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import { Link as RouterLink } from 'react-router';

export function NotFoundPage() {
  return (
    <Box component="main" sx={{ p: 4 }}>
      <Typography variant="h1" gutterBottom>
        There is nothing at this address.
      </Typography>
      <Link component={RouterLink} to="/">
        Back to today
      </Link>
    </Box>
  );
}
