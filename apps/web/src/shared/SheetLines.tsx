import type { SpecSheet } from '@keen/contract';
import Box from '@mui/material/Box';
import { limitLines } from './sheetWords.ts';

/** What a sheet asks for, small under its name. */
export function SheetLines({ sheet }: { sheet: SpecSheet }) {
  return (
    <Box sx={{ color: 'text.secondary', fontSize: '0.85rem', fontWeight: 450 }}>
      {limitLines(sheet).map((line) => (
        <Box key={line}>{line}</Box>
      ))}
    </Box>
  );
}
