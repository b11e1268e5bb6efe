import type { CaseFile } from '@keen/contract';
import { misfits, whereWords } from '@keen/core';
import type { Answer } from '@keen/core';
import Button from '@mui/material/Button';
import { showDepth } from '../../shared/format.ts';
import { Notice } from '../../shared/Notice.tsx';
import { useVisit } from '../../shared/visitContext.ts';

/** Says where the answer does not explain the tread, and what to do about it. */
export function MisfitNotice({ answer, file }: { answer: Answer; file: CaseFile }) {
  const { units, goTo, setActiveSlot } = useVisit();
  const [worst, ...others] = misfits(file, answer.expectedMm);
  if (!worst) return null;
  const unit = units.depth === 'mm' ? 'mm' : '/32 in';
  const place = `${whereWords(worst.wheel)} ${worst.rib}`;
  return (
    <Notice>
      Nothing we know of explains the {place}: {showDepth(worst.readMm, units.depth)} {unit} read,{' '}
      {showDepth(worst.expectedMm, units.depth)} expected
      {others.length > 0 && `, and ${others.length} more`}. Read it again; if it stands, trust the
      ranking less and look at the tire itself.{' '}
      <Button
        variant="text"
        sx={{ minHeight: 36, textDecoration: 'underline' }}
        onClick={() => {
          setActiveSlot({ wheel: worst.wheel, rib: worst.rib });
          goTo('read');
        }}
      >
        Read it again
      </Button>
    </Notice>
  );
}
