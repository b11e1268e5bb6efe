import type { CrookedWheel } from '@keen/contract';
import { alignmentState, angleLedger, whereWords } from '@keen/core';
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

/** The plan: what to set, in order, with the arithmetic of each adjuster; before and after. */
export function SetRightStep() {
  const { draft, enter, goTo, session, isBay } = useVisit();
  const angles = draft.angles ?? {};
  const { before } = draft.visit?.setRight ?? {};
  const state = alignmentState(draft);
  const { rows, plan } = state;
  const rowWords = useRowWords();
  if (rows.length === 0) {
    return (
      <Box sx={{ maxWidth: 520 }}>
        <Typography variant="h1" component="h2" gutterBottom>
          Nothing is measured yet.
        </Typography>
        <Typography sx={{ mb: 2 }}>
          The plan is made from the angles: what is out, in which order, by how much.
        </Typography>
        <Button variant="contained" onClick={() => goTo('measure')}>
          Measure the angles
        </Button>
      </Box>
    );
  }
  return (
    <AllowedOnly
      session={session}
      right="setAngles"
      otherwise="A technician or the lead sets the angles; you can read along."
    >
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
            {state.headline}
          </Typography>
          {state.detail && (
            <Typography color="textSecondary" sx={{ mt: 0.75 }}>
              {state.detail}
            </Typography>
          )}
        </Box>
        {plan.some(({ needs, kind }) => needs === 'set' && kind !== null) && (
          <Notice kind="caution">
            Lift at the maker’s points, on stands or a lift made for it, wheels chocked.
            {!before &&
              ' The maker’s specification, torque and procedure decide, and a licensed technician does the work.'}
          </Notice>
        )}
        {draft.vehicle?.use === 'cart' && <WhichSide />}
        {plan.length > 0 && !before && (
          <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap' }}>
            <Button variant="contained" onClick={() => enter('visit.setRight.before', angles)}>
              Begin
            </Button>
            <Typography color="textSecondary">keeps these angles as the ones before</Typography>
          </Box>
        )}
        <PlanList plan={plan} hasBegun={before !== undefined} />
        <OpenRows rows={state.unanswered} title="No step sets this" words={rowWords} />
        <OpenRows rows={state.left} title="Left as it is" words={rowWords} />
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
            {row.title} {row.where ? whereWords(row.where) : ''}
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
        label="Steering wheel held straight: which front wheel is not?"
        options={[
          { value: 'left', label: 'Left' },
          { value: 'right', label: 'Right' },
          { value: 'neither', label: 'Neither' },
        ]}
        value={crooked}
        onChange={(value) => enter('visit.inspect.crookedWheel', value)}
      />
      {(crooked === 'left' || crooked === 'right') && (
        <Typography sx={{ mt: 0.75 }}>
          The {crooked === 'left' ? 'right' : 'left'} side is fine; work on the{' '}
          <strong>{crooked}</strong> one: look for a bent arm, spindle or rod there first.
        </Typography>
      )}
    </Box>
  );
}
