import Box from '@mui/material/Box';
import { Kbd } from './Kbd.tsx';

/** The key that presses what it stands on; only where there is likely to be a keyboard. */
export function KeyHint({ children }: { children: string }) {
  return (
    <Box component="span" aria-hidden sx={{ display: { xs: 'none', md: 'inline' } }}>
      <Kbd>{children}</Kbd>
    </Box>
  );
}
