import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';

/** When a screen breaks: what happened, what is kept, what to do. */
export function CrashPage() {
  return (
    <Box sx={{ p: 4, maxWidth: 560 }} role="alert">
      <Typography variant="h1" gutterBottom>
        This screen broke.
      </Typography>
      <Typography sx={{ mb: 2 }}>
        What you typed is kept, here and on the server. Load the page again; if it breaks the same
        way, tell whoever looks after this installation.
      </Typography>
      <Button variant="contained" onClick={() => window.location.reload()}>
        Load again
      </Button>
    </Box>
  );
}
