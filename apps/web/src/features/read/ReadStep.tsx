import { term } from '../../words/terms.ts';
import type { Wheel } from '@keen/contract';
import { MAX_STATIONS } from '@keen/contract';
import { oddReading, readDepthText, readingOrder } from '@keen/core';
import type { Slot } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import { Kbd } from '../../shared/Kbd.tsx';
import { capital, showDepth } from '../../shared/format.ts';
import { useVisit } from '../../shared/visitContext.ts';
import { Conflicts } from './Conflicts.tsx';
import { DriveOver } from './DriveOver.tsx';
import { GaugeBar } from '../../devices/GaugeBar.tsx';
import { Keypad } from './Keypad.tsx';
import { OddReading } from './OddReading.tsx';
import type { Asked } from './OddReading.tsx';
import { OtherEntry } from './OtherEntry.tsx';
import { playTone } from './tone.ts';
import { soFar } from './soFar.ts';
import { useGauge } from '../../devices/useGauge.ts';
import type { GaugeSource } from '../../devices/useGauge.ts';
import { useFastEntry } from './useFastEntry.ts';
import { Rich } from '../../shared/Rich.tsx';
import { t } from '../../words/read.ts';
import { whereWords } from '../../words/pageTexts.ts';

const OFF_THE_TREAD = t('readStep.theGaugeStoodOff');

/** Twelve depths, one after the other, as fast as the gauge can be set down. */
export function ReadStep() {
  const visit = useVisit();
  const { draft, units, preferences, activeSlot, setActiveSlot, enter, goTo, ribsRead } = visit;
  const { readingOrder: own } = preferences;
  const order = own === 'shop' ? visit.session.shop.settings.readingOrder : own;
  /** One more place round a tire; null while the twelve are read. */
  const [more, setMore] = useState<{ wheel: Wheel; station: number } | null>(null);
  const [asked, setAsked] = useState<Asked | null>(null);
  const station = more?.station ?? 0;
  const all = readingOrder(order);
  const slots = more ? all.filter(({ wheel }) => wheel === more.wheel) : all;
  const unit = units.depth;
  const [source, setSource] = useState<GaugeSource>(null);
  const [gaugeFault, setGaugeFault] = useState<string | null>(null);
  const entry = useFastEntry({
    slots,
    station,
    unit,
    draft,
    activeSlot,
    setActiveSlot,
    read: (slot, reading) => {
      // The unit it was read in says how far the reading was rounded, which the diagnosis must know.
      if (draft.units?.depth !== unit && reading !== null) enter('units.depth', unit);
      enter(`tires.${slot.wheel}.stations.${station}.${slot.rib}`, reading);
      const oddity = typeof reading === 'number' ? oddReading(draft, slot, reading, station) : null;
      if (oddity && typeof reading === 'number') {
        setAsked({ slot, station, mm: reading, oddity });
      } else if (isSame(asked, slot, station)) setAsked(null);
      if (preferences.sound && reading !== null) playTone(oddity ? 'asked' : 'read');
    },
    finish: () => (more ? setMore(null) : goTo('inspect')),
    readLine,
  });

  /** A reading as a gauge wrote it, typed or on its serial line. */
  function readLine(text: string): void {
    const mm = readDepthText(text, unit);
    setGaugeFault(mm === null ? t('readStep.theGaugeSentWhich', { text }) : null);
    if (mm !== null) entry.keep(mm);
  }

  const line = useGauge({
    source,
    onReading: (mm) => {
      setGaugeFault(null);
      entry.keep(mm);
    },
    onOutOfRange: () => setGaugeFault(OFF_THE_TREAD),
    onText: readLine,
  });
  // The drawing marks the rib that is asked for only while this step is open.
  useEffect(() => () => setActiveSlot(null), [setActiveSlot]);

  const { current, index, digits, last } = entry;
  const place = current
    ? `${capital(whereWords(current.wheel))}, ${term(`rib.${current.rib}`)}`
    : more
      ? t('readStep.placeIsRead', { station: station + 1 })
      : t('readStep.allTwelveAreRead');
  const wheelAtHand = more?.wheel ?? last?.slot.wheel ?? null;
  const placesRead = wheelAtHand ? (draft.tires?.[wheelAtHand]?.stations?.length ?? 0) : 0;
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', minHeight: '100%' }}>
      <Box
        sx={{ display: 'flex', justifyContent: 'space-between', gap: 2, color: 'text.secondary' }}
      >
        <Typography variant="h3" component="p">
          {current
            ? t('readStep.readingOf', { index: index + 1, length: slots.length })
            : t('readStep.ofRead', { ribsRead, length: slots.length })}
          <Box component="span" sx={{ display: { xs: 'none', sm: 'inline' } }}>
            {more
              ? `, ${t('readStep.placeRoundTheTire', { station: station + 1 })}`
              : order === 'walkAround' && `, ${t('readStep.walkingRoundFromThe')}`}
          </Box>
        </Typography>
        <Box sx={{ fontSize: '0.85rem', whiteSpace: 'nowrap' }}>
          <Rich
            text={t(unit === 'mm' ? 'readStep.keysInMm' : 'readStep.keysIn32nds')}
            tags={{ key: (inner) => <Kbd>{inner}</Kbd> }}
          />
        </Box>
      </Box>
      <Typography
        variant="h1"
        component="h2"
        aria-live="polite"
        sx={{
          fontSize: { xs: '1.9rem', md: '2.9rem' },
          fontStretch: '74%',
          mt: { xs: 0.5, md: 2 },
        }}
      >
        {place}
      </Typography>
      {current ? (
        <BigFigure digits={digits} written={entry.written} unit={unit} present={entry.present} />
      ) : (
        <Box sx={{ my: 3 }}>
          {more && (
            <Button variant="contained" sx={{ mb: 2 }} onClick={() => setMore(null)}>
              {t('readStep.backToTheMain')}
            </Button>
          )}
          <Typography sx={{ mb: 2, maxWidth: 480 }}>
            {t('readStep.strokeEachTireAcross')}
          </Typography>
          <Box sx={{ display: 'flex', gap: 1.25, flexWrap: 'wrap' }}>
            <Button variant="contained" onClick={() => goTo('inspect')}>
              {t('readStep.inspect')}
            </Button>
            <Button onClick={() => goTo('explain')}>{t('readStep.skipToTheDiagnosis')}</Button>
          </Box>
        </Box>
      )}
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', sm: 'minmax(280px, 360px) 1fr' },
          gap: { xs: 1.5, md: 4 },
          borderTop: '2px solid var(--ink)',
          pt: 1.75,
          mt: { xs: 0.5, md: 1 },
        }}
      >
        <Keypad onKey={entry.press} canBack={index > 0 || digits !== ''} />
        <Box
          sx={{
            display: 'grid',
            gap: 2,
            alignContent: 'start',
            gridTemplateColumns: { xs: '1fr 1fr', sm: '1fr' },
          }}
        >
          <Fact title={t('readStep.justRead')}>
            {last ? (
              <Box component="span" sx={{ fontWeight: 650, fontSize: '1.1rem' }}>
                {whereWords(last.slot.wheel)}, {term(`rib.${last.slot.rib}`)}{' '}
                {last.reading === 'unreadable'
                  ? t('readStep.cannotBeRead')
                  : showDepth(last.reading, unit)}
              </Box>
            ) : (
              t('readStep.nothingYet')
            )}
          </Fact>
          {!visit.isPractice && (
            <>
              <GaugeBar
                line={line}
                fault={gaugeFault}
                onSource={(next) => {
                  setSource(next);
                  setGaugeFault(null);
                }}
              />
              <DriveOver />
            </>
          )}
          <Conflicts />
          {asked && (
            <OddReading
              asked={asked}
              unit={unit}
              onKeep={() => setAsked(null)}
              onAgain={() => {
                enter(
                  `tires.${asked.slot.wheel}.stations.${asked.station}.${asked.slot.rib}`,
                  null,
                );
                setMore(
                  asked.station > 0 ? { wheel: asked.slot.wheel, station: asked.station } : null,
                );
                setActiveSlot(asked.slot);
                setAsked(null);
              }}
            />
          )}
          <Fact title={t('readStep.soFar')}>{soFar(draft, unit)}</Fact>
          {current && <OtherEntry unit={unit} onKeep={entry.keep} />}
          {!visit.isPractice && wheelAtHand && placesRead > 0 && placesRead < MAX_STATIONS && (
            <Box>
              <Button
                onClick={() => {
                  setMore({ wheel: wheelAtHand, station: placesRead });
                  setActiveSlot(null);
                }}
              >
                {t('readStep.oneMorePlace', { wheelAtHand: whereWords(wheelAtHand) })}
              </Button>
              {more && (
                <Button variant="text" onClick={() => setMore(null)}>
                  {t('readStep.backToTheMain')}
                </Button>
              )}
            </Box>
          )}
          {visit.undo && (
            <Box sx={{ display: { xs: 'none', sm: 'block' } }}>
              <Button onClick={visit.undo}>{t('readStep.undo')}</Button>
            </Box>
          )}
        </Box>
      </Box>
    </Box>
  );
}

function isSame(asked: Asked | null, slot: Slot, station: number): boolean {
  return (
    asked !== null &&
    asked.slot.wheel === slot.wheel &&
    asked.slot.rib === slot.rib &&
    asked.station === station
  );
}

interface BigFigureProps {
  digits: string;
  /** A number written out, with its point. */
  written: string;
  unit: 'mm' | 'in32';
  /** What is there already, shown pale until something is typed. */
  present: string | null;
}

function BigFigure({ digits, written, unit, present }: BigFigureProps) {
  const typed = digits !== '' || written !== '';
  const text = written
    ? written
    : typed
      ? unit === 'mm'
        ? `${digits}.`
        : digits
      : (present ?? '');
  return (
    <Box
      sx={{ display: 'flex', alignItems: 'baseline', minHeight: { xs: '4.6rem', md: '10.5rem' } }}
    >
      <Box
        data-testid="typed"
        sx={{
          fontSize: { xs: '4.4rem', md: '10rem' },
          lineHeight: 1.02,
          fontWeight: 700,
          fontStretch: '68%',
          letterSpacing: '-0.01em',
          color: typed ? 'var(--ink)' : 'var(--rubberPale)',
        }}
      >
        {text}
        <Box
          component="span"
          aria-hidden
          sx={{
            display: 'inline-block',
            width: '0.42em',
            height: '0.07em',
            bgcolor: 'var(--marker)',
            ml: '0.06em',
          }}
        />
      </Box>
      <Box
        sx={{
          fontSize: { xs: '1.3rem', md: '2rem' },
          color: 'text.secondary',
          ml: 1.5,
          fontStretch: '80%',
        }}
      >
        {unit === 'mm' ? 'mm' : '/32 in'}
      </Box>
    </Box>
  );
}

function Fact({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <Box>
      <Typography variant="h3" component="div" color="textSecondary">
        {title}
      </Typography>
      <Box>{children}</Box>
    </Box>
  );
}
