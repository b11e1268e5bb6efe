import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Kbd } from './Kbd.tsx';
import { t } from '../words/shared.ts';

export interface Shortcut {
  keys: readonly string[];
  what: string;
}

/** `?` lists what the keys of this page do. */
export function ShortcutsDialog({ shortcuts }: { shortcuts: readonly Shortcut[] }) {
  const [isOpen, setOpen] = useState(false);
  useHotkeys('?', () => setOpen(true), { useKey: true });
  return (
    <>
      <Button
        onClick={() => setOpen(true)}
        aria-label={t('shortcutsDialog.keyboardShortcuts')}
        sx={{ minWidth: 34, minHeight: 34, p: 0, display: { xs: 'none', md: 'inline-flex' } }}
      >
        ?
      </Button>
      <Dialog open={isOpen} onClose={() => setOpen(false)} aria-labelledby="shortcuts-title">
        <DialogTitle id="shortcuts-title" variant="h2">
          {t('shortcutsDialog.keysOnThisPage')}
        </DialogTitle>
        <DialogContent>
          <Box
            component="dl"
            sx={{ display: 'grid', gridTemplateColumns: 'auto 1fr', gap: 1, columnGap: 2, m: 0 }}
          >
            {[...shortcuts, { keys: ['?'], what: t('shortcutsDialog.thisList') }].map(
              ({ keys, what }) => (
                <Box key={what} sx={{ display: 'contents' }}>
                  <Box component="dt" sx={{ display: 'flex', gap: 0.5 }}>
                    {keys.map((key) => (
                      <Kbd key={key}>{key}</Kbd>
                    ))}
                  </Box>
                  <Box component="dd" sx={{ m: 0 }}>
                    {what}
                  </Box>
                </Box>
              ),
            )}
          </Box>
        </DialogContent>
      </Dialog>
    </>
  );
}
