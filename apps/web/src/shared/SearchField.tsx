import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import type { SxProps } from '@mui/material/styles';
import { useRef } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Kbd } from './Kbd.tsx';

interface SearchFieldProps {
  /** What it searches, as it is read aloud. */
  label: string;
  placeholder: string;
  value: string;
  onChange: (value: string) => void;
  sx?: SxProps;
}

/** The search of a page's list; / goes to it. */
export function SearchField({ label, placeholder, value, onChange, sx = {} }: SearchFieldProps) {
  const input = useRef<HTMLInputElement>(null);
  useHotkeys('slash', () => input.current?.focus(), { preventDefault: true });
  return (
    <TextField
      inputRef={input}
      value={value}
      onChange={({ target }) => onChange(target.value)}
      placeholder={placeholder}
      // The browser's own cross comes in its own blue.
      sx={{ ...sx, '& input::-webkit-search-cancel-button': { filter: 'grayscale(1)' } }}
      slotProps={{
        htmlInput: { 'aria-label': label, type: 'search' },
        input: {
          endAdornment: value === '' && (
            <Box sx={{ display: { xs: 'none', md: 'block' } }}>
              <Kbd>/</Kbd>
            </Box>
          ),
        },
      }}
    />
  );
}
