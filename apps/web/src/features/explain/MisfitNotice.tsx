import type { CaseFile, Oddity, Wheel } from '@keen/contract';
import { misfits } from '@keen/core';
import type { Answer } from '@keen/core';
import Button from '@mui/material/Button';
import { showDepth } from '../../shared/format.ts';
import { Notice } from '../../shared/Notice.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { t } from '../../words/explain.ts';
import { term } from '../../words/terms.ts';
import { whereWords } from '../../words/pageTexts.ts';

/** Says where the answer does not explain the tread, what that may be, and what to do about it. */
export function MisfitNotice({ answer, file }: { answer: Answer; file: CaseFile }) {
  const { isPractice = false } = useVisit();
  // The reading that is asked for again before anything else has its place below.
  const isAsked = ({ kind, where, rib }: Oddity) =>
    !isPractice &&
    kind === 'reading' &&
    answer.diagnosis.recommendation.codes?.some(
      ({ code, figures }) => code === 'readAgain' && figures[0] === where && figures[1] === rib,
    );
  const { oddities = [] } = answer.diagnosis;
  if (oddities.length > 0) {
    return oddities
      .filter((oddity) => !isAsked(oddity))
      .map((oddity) => (
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
          {t('misfitNotice.readingDoesNotFit', {
            where: whereWords(where),
            rib: rib ? term(`rib.${rib}`) : '',
          })}{' '}
          <Go
            label={t('misfitNotice.readItAgain')}
            onClick={() => {
              if (rib) setActiveSlot({ wheel: where as Wheel, rib });
              goTo('read');
            }}
          />
        </Notice>
      );
    case 'tire':
      return <Notice>{t('misfitNotice.theTireHasWorn', { where: whereWords(where) })}</Notice>;
    case 'age':
      return (
        <Notice>
          {t('misfitNotice.olderOrNewer', {
            axle: where === 'rear' ? term('axle.rear') : term('axle.front'),
          })}{' '}
          <Go label={t('misfitNotice.enterTheirOwnDistance')} onClick={() => goTo('arrive')} />
        </Notice>
      );
  }
}

function Unexplained({ answer, file }: { answer: Answer; file: CaseFile }) {
  const { units, goTo, setActiveSlot } = useVisit();
  const [worst, ...others] = misfits(file, answer.expectedMm);
  if (!worst) return null;
  const unit = units.depth === 'mm' ? 'mm' : '/32 in';
  const place = `${whereWords(worst.wheel)} ${term(`rib.${worst.rib}`)}`;
  return (
    <Notice>
      {t('misfitNotice.noCauseExplains', {
        place,
        read: showDepth(worst.readMm, units.depth),
        expected: showDepth(worst.expectedMm, units.depth),
        unit,
      })}{' '}
      {others.length > 0 && t('misfitNotice.andMore', { count: others.length })}{' '}
      <Go
        label={t('misfitNotice.readItAgain')}
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
