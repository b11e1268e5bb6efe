import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { t } from '../words/shared.ts';

/** A text that is to be taken elsewhere: seen whole, selected at a press, copied with another. */
export function CopyField({ label, value }: { label: string; value: string }) {
  const [isCopied, setCopied] = useState(false);
  return (
    <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
      <TextField
        label={label}
        value={value}
        size="small"
        fullWidth
        slotProps={{ htmlInput: { readOnly: true } }}
        onFocus={({ target }) => target.select()}
      />
      <Button
        aria-live="polite"
        onClick={() => void navigator.clipboard?.writeText(value).then(() => setCopied(true))}
      >
        {isCopied ? t('copyField.copied') : t('copyField.copy')}
      </Button>
    </Box>
  );
}
