import type { CrookedWheel } from '@keen/contract';
import { alignmentState, angleLedger, alignmentWords, rowTitle } from '@keen/core';
import type { LedgerRow } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { AllowedOnly } from '../../shared/AllowedOnly.tsx';
import { AngleLedger } from '../../angles/AngleLedger.tsx';
import { useRowWords } from '../../angles/useAngleWords.ts';
import { Choice } from '../../shared/Choice.tsx';
import { Notice } from '../../shared/Notice.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { ChangedHeight } from './ChangedHeight.tsx';
import { Closing } from './Closing.tsx';
import { LeaveIt } from './LeaveIt.tsx';
import { PlanList } from './PlanList.tsx';
import { Rich } from '../../shared/Rich.tsx';
import { t } from '../../words/setRight.ts';
import { whereWords } from '../../words/pageTexts.ts';
import { setRightTexts } from '../../words/core/setRight.ts';
import { measureTexts, ROW_NAMES } from '../../words/core/measure.ts';

/** The plan: what to set, in order, with the arithmetic of each adjuster; before and after. */
export function SetRightStep() {
  const { draft, enter, goTo, session, isBay } = useVisit();
  const angles = draft.angles ?? {};
  const { before } = draft.visit?.setRight ?? {};
  const state = alignmentState(draft);
  const { headline, detail } = alignmentWords(draft, state, {
    measure: measureTexts,
    setRight: setRightTexts,
  });
  const { rows, plan } = state;
  const rowWords = useRowWords();
  if (rows.length === 0) {
    return (
      <Box sx={{ maxWidth: 520 }}>
        <Typography variant="h1" component="h2" gutterBottom>
          {t('setRightStep.nothingIsMeasuredYet')}
        </Typography>
        <Typography sx={{ mb: 2 }}>{t('setRightStep.thePlanIsMade')}</Typography>
        <Button variant="contained" onClick={() => goTo('measure')}>
          {t('setRightStep.measureTheAngles')}
        </Button>
      </Box>
    );
  }
  return (
    <AllowedOnly session={session} right="setAngles" otherwise={t('setRightStep.aTechnicianOrThe')}>
      <Box
        sx={{
          display: 'grid',
          // Nothing in it is wider than the pane.
          gridTemplateColumns: 'minmax(0, 1fr)',
          gap: 2.5,
          maxWidth: 760,
        }}
      >
        <Box role="status">
          <Typography variant="h1" component="h2">
            {headline}
          </Typography>
          {detail && (
            <Typography color="textSecondary" sx={{ mt: 0.75 }}>
              {detail}
            </Typography>
          )}
        </Box>
        {plan.some(({ needs, kind }) => needs === 'set' && kind !== null) && (
          <Notice kind="caution">
            {t('setRightStep.liftAtPoints')}{' '}
            {!before && t('setRightStep.theMakersSpecificationTorque')}
          </Notice>
        )}
        {draft.vehicle?.use === 'cart' && <WhichSide />}
        {plan.length > 0 && !before && (
          <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
            <Button variant="contained" onClick={() => enter('visit.setRight.before', angles)}>
              {t('setRightStep.begin')}
            </Button>
            <Typography color="textSecondary">{t('setRightStep.keepsTheseAnglesAs')}</Typography>
          </Box>
        )}
        <PlanList plan={plan} hasBegun={before !== undefined} />
        <OpenRows
          rows={state.unanswered}
          title={t('setRightStep.noStepSetsThis')}
          words={rowWords}
        />
        <OpenRows rows={state.left} title={t('setRightStep.leftAsItIs')} words={rowWords} />
        {state.kind === 'done' && <Closing />}
        {!isBay && (
          <>
            <AngleLedger rows={rows} before={before ? angleLedger(draft, before) : []} />
            <ChangedHeight />
          </>
        )}
      </Box>
    </AllowedOnly>
  );
}

interface OpenRowsProps {
  rows: readonly LedgerRow[];
  title: string;
  words: ReturnType<typeof useRowWords>;
}

/** Rows that are decided on by themselves: read again, finer, or left. */
function OpenRows({ rows, title, words }: OpenRowsProps) {
  if (rows.length === 0) return null;
  return (
    <Box component="section" aria-label={title}>
      <Typography variant="h3" component="h3">
        {title}
      </Typography>
      {rows.map((row) => (
        <Box
          key={row.key}
          sx={{
            display: 'flex',
            gap: 2,
            alignItems: 'center',
            minHeight: 44,
            borderTop: '1px solid var(--hairline)',
          }}
        >
          <Box>
            {rowTitle(row.key, ROW_NAMES)} {row.where ? whereWords(row.where) : ''}
          </Box>
          <Box className="condensed" sx={{ fontWeight: 700 }}>
            {words(row.value, row)}
          </Box>
          <Box sx={{ ml: 'auto' }}>
            <LeaveIt keys={[row.key]} />
          </Box>
        </Box>
      ))}
    </Box>
  );
}

/** On a cart one looks before one measures: the crooked wheel's side needs the work. */
function WhichSide() {
  const { draft, enter } = useVisit();
  const crooked = draft.visit?.inspect?.crookedWheel ?? null;
  return (
    <Box>
      <Choice<CrookedWheel>
        label={t('setRightStep.steeringWheelHeldStraight')}
        options={[
          { value: 'left', label: t('setRightStep.left') },
          { value: 'right', label: t('setRightStep.right') },
          { value: 'neither', label: t('setRightStep.neither') },
        ]}
        value={crooked}
        onChange={(value) => enter('visit.inspect.crookedWheel', value)}
      />
      {(crooked === 'left' || crooked === 'right') && (
        <Typography sx={{ mt: 0.75 }}>
          <Rich
            text={t(crooked === 'left' ? 'setRightStep.workOnLeft' : 'setRightStep.workOnRight')}
          />
        </Typography>
      )}
    </Box>
  );
}
