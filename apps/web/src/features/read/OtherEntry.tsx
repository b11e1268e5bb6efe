import type { DepthUnit } from '@keen/contract';
import { readDepthText } from '@keen/core';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { t } from '../../words/read.ts';

/** For a reading written otherwise: 3/32, 4.5 mm, 0.2 in, whatever one counts in. */
export function OtherEntry({ unit, onKeep }: { unit: DepthUnit; onKeep: (mm: number) => void }) {
  const [text, setText] = useState('');
  const [isWrong, setWrong] = useState(false);

  function keep(): void {
    const mm = readDepthText(text, unit);
    setWrong(mm === null);
    if (mm === null) return;
    setText('');
    onKeep(mm);
  }

  return (
    <TextField
      label={t('otherEntry.otherFormats')}
      placeholder="3/32, 4.5 mm"
      value={text}
      error={isWrong}
      helperText={isWrong ? t('otherEntry.aDepthSuchAs') : undefined}
      onChange={({ target }) => {
        setText(target.value);
        setWrong(false);
      }}
      onKeyDown={(event) => {
        if (event.key !== 'Enter') return;
        event.preventDefault();
        keep();
      }}
      slotProps={{ inputLabel: { shrink: true }, htmlInput: { autoComplete: 'off' } }}
    />
  );
}
