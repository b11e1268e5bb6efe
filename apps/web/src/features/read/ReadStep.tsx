import { depthToMm, readingOrder, whereWords } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect } from 'react';
import { Kbd } from '../../shared/Kbd.tsx';
import { showDepth } from '../../shared/format.ts';
import { useVisit } from '../../shared/visitContext.ts';
import { Keypad } from './Keypad.tsx';
import { soFar } from './soFar.ts';
import { useFastEntry } from './useFastEntry.ts';

/** Twelve depths, one after the other, as fast as the gauge can be set down. */
export function ReadStep() {
  const visit = useVisit();
  const { draft, units, preferences, activeSlot, setActiveSlot, enter, goTo, ribsRead } = visit;
  const slots = readingOrder(preferences.readingOrder);
  const unit = units.depth;
  const entry = useFastEntry({
    slots,
    unit,
    draft,
    activeSlot,
    setActiveSlot,
    read: (slot, reading) => {
      // The unit it was read in says how far the reading was rounded, which the diagnosis must know.
      if (draft.units?.depth !== unit && reading !== null) enter('units.depth', unit);
      enter(
        `tires.${slot.wheel}.stations.0.${slot.rib}`,
        typeof reading === 'number' ? Number(depthToMm(reading, unit).toFixed(5)) : reading,
      );
    },
    finish: () => goTo('inspect'),
  });
  // The drawing marks the rib that is asked for only while this step is open.
  useEffect(() => () => setActiveSlot(null), [setActiveSlot]);

  const { current, index, digits, last } = entry;
  const place = current
    ? `${capital(whereWords(current.wheel))}, ${current.rib}`
    : 'All twelve are read';
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', minHeight: '100%' }}>
      <Box
        sx={{ display: 'flex', justifyContent: 'space-between', gap: 2, color: 'text.secondary' }}
      >
        <Typography variant="h3" component="p">
          {current
            ? `Reading ${index + 1} of ${slots.length}`
            : `${ribsRead} of ${slots.length} read`}
          <Box component="span" sx={{ display: { xs: 'none', sm: 'inline' } }}>
            {preferences.readingOrder === 'walkRound' && ', walking round from the left front'}
          </Box>
        </Typography>
        <Box sx={{ fontSize: '0.85rem', whiteSpace: 'nowrap' }}>
          {unit === 'mm' ? (
            <>
              <Kbd>53</Kbd> is 5.3 mm
            </>
          ) : (
            <>
              32nds, <Kbd>7</Kbd> goes at once
            </>
          )}
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
        <BigFigure digits={digits} unit={unit} present={entry.present} />
      ) : (
        <Box sx={{ my: 3 }}>
          <Typography sx={{ mb: 2, maxWidth: 480 }}>
            Stroke each tire across the ribs next: a catch one way and smooth the other is what
            tells toe from camber.
          </Typography>
          <Box sx={{ display: 'flex', gap: 1.25, flexWrap: 'wrap' }}>
            <Button variant="contained" onClick={() => goTo('inspect')}>
              Feel and look ↵
            </Button>
            <Button onClick={() => goTo('explain')}>Straight to the answer</Button>
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
          <Fact title="Just read">
            {last ? (
              <Box component="span" sx={{ fontWeight: 650, fontSize: '1.1rem' }}>
                {whereWords(last.slot.wheel)}, {last.slot.rib}{' '}
                {last.reading === 'unreadable' ? 'cannot be read' : showDepth(last.reading, unit)}
              </Box>
            ) : (
              'nothing yet'
            )}
          </Fact>
          <Fact title="So far">{soFar(draft, unit)}</Fact>
          {visit.undo && (
            <Box sx={{ display: { xs: 'none', sm: 'block' } }}>
              <Button onClick={visit.undo}>Undo</Button>
            </Box>
          )}
        </Box>
      </Box>
    </Box>
  );
}

interface BigFigureProps {
  digits: string;
  unit: 'mm' | 'in32';
  /** What is there already, shown pale until something is typed. */
  present: string | null;
}

function BigFigure({ digits, unit, present }: BigFigureProps) {
  const typed = digits !== '';
  const text = typed ? (unit === 'mm' ? `${digits}.` : digits) : (present ?? '');
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

function capital(text: string): string {
  return text.charAt(0).toUpperCase() + text.slice(1);
}
