import type { Instrument, Session } from '@keen/contract';
import { instrumentRecord } from '@keen/core';
import type { InstrumentRecord } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { useState } from 'react';
import { useInstrumentsQuery } from '../../api/gaugesApi.ts';
import { failureOf } from '../../api/problem.ts';
import { joined, spaced } from '../../shared/joined.ts';
import { mayDo } from '../../shared/mayDo.ts';
import { CheckDialog } from './CheckDialog.tsx';
import { checksAsCsv } from './checksAsCsv.ts';
import { CheckHistory } from './CheckHistory.tsx';
import { limitWords, showError, showSize } from './gaugeWords.ts';
import { InstrumentDialog } from './InstrumentDialog.tsx';
import { saveFile } from '../../shared/saveFile.ts';
import { t } from '../../words/gauges.ts';
import { measureTexts } from '../../words/core/measure.ts';

type Open = { what: 'check' | 'change'; instrument: Instrument } | { what: 'new' } | null;

/** The shop's gauges: how each stands by its checks, and a check one press away. */
export function InstrumentList({ session }: { session: Session }) {
  const { data, error, isLoading, refetch } = useInstrumentsQuery();
  const [open, setOpen] = useState<Open>(null);
  const [showsRetired, setShowsRetired] = useState(false);
  const mayKeep = mayDo(session, 'manageGauges');
  const shown = (data ?? []).filter(({ retired }) => showsRetired || !retired);
  const hasRetired = (data ?? []).some(({ retired }) => retired);
  const close = () => setOpen(null);
  return (
    <Box component="section" aria-labelledby="own-gauges">
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2, flexWrap: 'wrap', mb: 1 }}>
        <Typography variant="h1" component="h2" id="own-gauges" sx={{ flex: 1 }}>
          {t('instrumentList.whatWeMeasureWith')}
        </Typography>
        {mayKeep && (
          <Button onClick={() => setOpen({ what: 'new' })}>{t('instrumentList.addAGauge')}</Button>
        )}
        <Button
          variant="text"
          sx={{ px: 0.5 }}
          disabled={!data?.some(({ checks }) => checks.length > 0)}
          onClick={() => saveFile('gauge-checks.csv', checksAsCsv(data ?? []), 'text/csv')}
        >
          {t('instrumentList.checksAsCsv')}
        </Button>
      </Box>
      {isLoading && (
        <Box role="status" aria-label={t('instrumentList.loadingTheGauges')}>
          {[0, 1, 2].map((i) => (
            <Skeleton key={i} height={72} />
          ))}
        </Box>
      )}
      {error && (
        <Box role="alert">
          <Typography sx={{ mb: 1 }}>{failureOf(error).text}</Typography>
          <Button onClick={() => void refetch()}>{t('instrumentList.tryAgain')}</Button>
        </Box>
      )}
      {data?.length === 0 && (
        <Typography color="textSecondary" sx={{ maxWidth: 520 }}>
          {t('instrumentList.noGaugeYetPut')}
        </Typography>
      )}
      <Box
        component="ul"
        aria-label={t('instrumentList.gauges')}
        sx={{ listStyle: 'none', m: 0, p: 0 }}
      >
        {shown.map((instrument) => (
          <Row
            key={instrument.id}
            instrument={instrument}
            onCheck={() => setOpen({ what: 'check', instrument })}
            onChange={mayKeep ? () => setOpen({ what: 'change', instrument }) : null}
          />
        ))}
      </Box>
      {hasRetired && (
        <Button variant="text" sx={{ px: 0 }} onClick={() => setShowsRetired(!showsRetired)}>
          {showsRetired
            ? t('instrumentList.hideThosePutAway')
            : t('instrumentList.showThosePutAway')}
        </Button>
      )}
      {open?.what === 'check' && <CheckDialog instrument={open.instrument} onClose={close} />}
      {open?.what === 'change' && <InstrumentDialog instrument={open.instrument} onClose={close} />}
      {open?.what === 'new' && <InstrumentDialog instrument={null} onClose={close} />}
    </Box>
  );
}

interface RowProps {
  instrument: Instrument;
  onCheck: () => void;
  onChange: (() => void) | null;
}

function Row({ instrument, onCheck, onChange }: RowProps) {
  const { name, kind, certified, retired, checks } = instrument;
  const record = instrumentRecord(kind, checks);
  const isOff = record.state === 'off';
  return (
    <Box
      component="li"
      sx={{
        borderTop: '1px solid var(--line)',
        py: 1.5,
        display: 'grid',
        columnGap: 2.5,
        rowGap: 0.75,
        alignItems: 'center',
        gridTemplateColumns: { xs: '1fr auto', sm: 'minmax(0, 1fr) 150px auto' },
        opacity: retired ? 0.65 : 1,
      }}
    >
      <Box sx={{ minWidth: 0, gridColumn: { xs: '1 / -1', sm: 'auto' } }}>
        <Box>
          <strong>{name}</strong>{' '}
          <Box component="span" sx={{ color: 'text.secondary' }}>
            {joined(
              name !== measureTexts.instruments[kind].title && measureTexts.instruments[kind].title,
              retired && t('instrumentList.putAway'),
            )}
          </Box>
        </Box>
        <Box sx={{ color: isOff ? 'var(--marker)' : undefined, fontWeight: isOff ? 650 : 400 }}>
          {isOff && <span aria-hidden>◆ </span>}
          {stateWords(instrument, record)}
        </Box>
        <Box sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
          {spaced(
            checkWords(instrument, record),
            driftWords(instrument, record),
            certified !== null &&
              t('instrumentList.certifiedTo', { kind: showSize(kind, certified) }),
          )}
        </Box>
      </Box>
      <Box>
        <CheckHistory kind={kind} record={record} />
      </Box>
      <Box sx={{ display: 'flex', gap: 0.5 }}>
        {!retired && (
          <Button onClick={onCheck} aria-label={t('instrumentList.checkOf', { name })}>
            {t('instrumentList.check')}
          </Button>
        )}
        {onChange && (
          <Button
            variant="text"
            sx={{ px: 1, minWidth: 0 }}
            onClick={onChange}
            aria-label={t('instrumentList.changeOf', { name })}
          >
            {t('instrumentList.change')}
          </Button>
        )}
      </Box>
    </Box>
  );
}

function stateWords({ kind }: Instrument, { state, errors }: InstrumentRecord): string {
  const last = errors.at(-1);
  if (state === 'never' || !last) return t('instrumentList.neverChecked');
  const error = showError(kind, last.worst);
  return state === 'off'
    ? t('instrumentList.offByAtWorst', { error })
    : t('instrumentList.goodAtWorst', { error });
}

/** When it was checked, against what limit, and what to do. */
function checkWords({ kind }: Instrument, { state, errors }: InstrumentRecord): string {
  const last = errors.at(-1);
  if (!last) return t('instrumentList.goodWouldBeWithin', { kind: limitWords(kind) });
  return spaced(
    t('instrumentList.checkedGoodIsWithin', { at: agoWords(last.at), kind: limitWords(kind) }),
    state === 'off' && t('instrumentList.setItRightOr'),
  );
}

function driftWords({ kind }: Instrument, { drift, errors }: InstrumentRecord): string {
  if (errors.length === 0) return '';
  if (!drift) return t('instrumentList.tooFewChecksTo');
  const isSure = drift.low > 0 || drift.high < 0;
  if (!isSure) return t('instrumentList.noDriftToBe', { length: errors.length });
  const span = [drift.low, drift.high].map(Math.abs).toSorted((a, b) => a - b);
  return t(drift.perYear > 0 ? 'instrumentList.driftsUp' : 'instrumentList.driftsDown', {
    size: showSize(kind, Math.abs(drift.perYear)),
    low: span[0]!.toFixed(2),
    high: span[1]!.toFixed(2),
  });
}

function agoWords(at: string): string {
  const days = dayjs().startOf('day').diff(dayjs(at).startOf('day'), 'day');
  if (days <= 0) return t('instrumentList.today');
  if (days === 1) return t('instrumentList.yesterday');
  return days < 60
    ? t('instrumentList.daysAgo', { days })
    : t('instrumentList.on', { at: dayjs(at).format('D MMM YYYY') });
}
