import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { useId, useState } from 'react';
import type { ReactNode } from 'react';

/** A passage that opens under its title. */
export function Folded({ title, children }: { title: string; children: ReactNode }) {
  const [isOpen, setOpen] = useState(false);
  const id = useId();
  return (
    <Box sx={{ borderTop: '1px solid var(--hairline)', pt: 0.75 }}>
      <Button
        variant="text"
        aria-expanded={isOpen}
        aria-controls={id}
        onClick={() => setOpen(!isOpen)}
        sx={{ px: 0, minHeight: 40, color: 'var(--ink)' }}
      >
        <Box component="span" aria-hidden sx={{ display: 'inline-block', width: 20 }}>
          {isOpen ? '–' : '+'}
        </Box>
        {title}
      </Button>
      <Box id={id} sx={{ pt: 1 }} hidden={!isOpen}>
        {isOpen && children}
      </Box>
    </Box>
  );
}
