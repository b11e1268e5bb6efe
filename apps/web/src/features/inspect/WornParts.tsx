import { whereWords, wornParts } from '@keen/core';
import Box from '@mui/material/Box';
import { Notice } from '../../shared/Notice.tsx';
import { useVisit } from '../../shared/visitContext.ts';

/** What holds the alignment back, why, and what it does to the answer. */
export function WornParts() {
  const { draft } = useVisit();
  const worn = wornParts(draft);
  if (worn.length === 0) return null;
  const isHeld = worn.some(({ finding }) => finding === 'excessive');
  return (
    <Notice kind="caution">
      <strong>
        {isHeld
          ? 'Parts come first: an alignment on these does not hold.'
          : 'Looked at again before an alignment:'}
      </strong>
      <Box component="ul" sx={{ m: 0, mt: 0.5, pl: 2.25 }}>
        {worn.map(({ part, title, wheel, finding, then }) => (
          <li key={`${part} ${wheel}`}>
            {title}
            {wheel && `, ${whereWords(wheel)}`}, {finding === 'excessive' ? 'too much' : 'some'}:{' '}
            {then}.
          </li>
        ))}
      </Box>
      Joints found loose stand in the answer as play at their wheel. A licensed technician judges
      whether it may be driven.
    </Notice>
  );
}
