import type { CaseFile, Oddity, Wheel } from '@keen/contract';
import { misfits, whereWords } from '@keen/core';
import type { Answer } from '@keen/core';
import Button from '@mui/material/Button';
import { showDepth } from '../../shared/format.ts';
import { Notice } from '../../shared/Notice.tsx';
import { useVisit } from '../../shared/visitContext.ts';

/** Says where the answer does not explain the tread, what that may be, and what to do about it. */
export function MisfitNotice({ answer, file }: { answer: Answer; file: CaseFile }) {
  const oddities = answer.diagnosis.oddities ?? [];
  if (oddities.length > 0) {
    return oddities.map((oddity) => (
      <OddityNotice key={`${oddity.kind}.${oddity.where}.${oddity.rib ?? ''}`} oddity={oddity} />
    ));
  }
  return <Unexplained answer={answer} file={file} />;
}

function OddityNotice({ oddity: { kind, where, rib } }: { oddity: Oddity }) {
  const { goTo, setActiveSlot } = useVisit();
  switch (kind) {
    case 'reading':
      return (
        <Notice>
          The {whereWords(where)} {rib} reading does not fit the others. Read it again.{' '}
          <Go
            label="Read it again"
            onClick={() => {
              if (rib) setActiveSlot({ wheel: where as Wheel, rib });
              goTo('read');
            }}
          />
        </Notice>
      );
    case 'tire':
      return (
        <Notice>
          The {whereWords(where)} tire has worn at another rate than anything entered explains. Look
          at the tire: another make or age, a flat spot, a brake that drags.
        </Notice>
      );
    case 'age':
      return (
        <Notice>
          The {where} tires look older or newer than the distance entered for all four. Are they the
          same age as the others?{' '}
          <Go label="Enter their own distance" onClick={() => goTo('arrive')} />
        </Notice>
      );
  }
}

function Unexplained({ answer, file }: { answer: Answer; file: CaseFile }) {
  const { units, goTo, setActiveSlot } = useVisit();
  const [worst, ...others] = misfits(file, answer.expectedMm);
  if (!worst) return null;
  const unit = units.depth === 'mm' ? 'mm' : '/32 in';
  const place = `${whereWords(worst.wheel)} ${worst.rib}`;
  return (
    <Notice>
      No cause here explains the {place}: {showDepth(worst.readMm, units.depth)} {unit} read,{' '}
      {showDepth(worst.expectedMm, units.depth)} expected
      {others.length > 0 && `, and ${others.length} more`}. Read it again; if it stands, trust the
      ranking less and look at the tire itself.{' '}
      <Go
        label="Read it again"
        onClick={() => {
          setActiveSlot({ wheel: worst.wheel, rib: worst.rib });
          goTo('read');
        }}
      />
    </Notice>
  );
}

function Go({ label, onClick }: { label: string; onClick: () => void }) {
  return (
    <Button variant="text" sx={{ minHeight: 36, textDecoration: 'underline' }} onClick={onClick}>
      {label}
    </Button>
  );
}
