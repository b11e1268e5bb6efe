import { term } from '../../words/terms.ts';
import type { TreadPass } from '@keen/contract';
import { RIBS } from '@keen/contract';
import { DEFAULT_LIMITS_MM, WHEEL_ORDER, passReadings, sideOf } from '@keen/core';
import type { ProfileFault } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { ProfileView } from '../../drawing/ProfileView.tsx';
import { showDepth } from '../../shared/format.ts';
import { Notice } from '../../shared/Notice.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { WHEEL_LABELS } from '../../shared/wheelLabels.ts';
import { leastDepths, passChanges } from './passChanges.ts';
import { t } from '../../words/read.ts';

interface PassViewProps {
  pass: TreadPass;
  /** Lines of a table that were left out. */
  leftOut: readonly ProfileFault[];
  onDone: () => void;
}

const MOST_SHOWN = 5;

/** What a pass read of each tire, before it is taken over. */
export function PassView({ pass, leftOut, onDone }: PassViewProps) {
  const { draft, enter, units, ribsRead, setActiveSlot } = useVisit();
  const readings = passReadings(pass);
  const legalMm = draft.limits?.legal ?? DEFAULT_LIMITS_MM.legal;
  const unread = WHEEL_ORDER.flatMap((wheel) =>
    RIBS.filter((rib) => leastDepths(readings[wheel] ?? [])[rib] === null).map(
      (rib) => `${WHEEL_LABELS[wheel].toLowerCase()} ${rib}`,
    ),
  );

  function take(): void {
    for (const { path, value } of passChanges(readings, draft)) enter(path, value);
    // Nothing is asked for any more but what the reader could not see.
    setActiveSlot(null);
    onDone();
  }

  return (
    <Box sx={{ display: 'grid', gap: 2 }}>
      <Box
        sx={{
          display: 'grid',
          gap: { xs: 2, sm: 3 },
          gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' },
        }}
      >
        {WHEEL_ORDER.map((wheel) => {
          const places = readings[wheel];
          const profiles = pass.tires[wheel]?.profiles;
          const least = leastDepths(places ?? []);
          const ribs = sideOf(wheel) === 'left' ? RIBS.toReversed() : RIBS;
          return (
            <Box key={wheel} role="group" aria-label={WHEEL_LABELS[wheel]}>
              <Box sx={{ display: 'flex', justifyContent: 'space-between' }}>
                <strong>{WHEEL_LABELS[wheel]}</strong>
                <Box component="span" sx={{ color: 'text.secondary' }}>
                  {places ? t('passView.places', { count: places.length }) : t('passView.notSeen')}
                </Box>
              </Box>
              {profiles && <ProfileView wheel={wheel} profiles={profiles} legalMm={legalMm} />}
              {places && (
                <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(3, 1fr)' }}>
                  {ribs.map((rib) => (
                    <Box key={rib} sx={{ textAlign: 'center' }}>
                      <Box className="condensed" sx={{ fontSize: '1.5rem', fontWeight: 700 }}>
                        {least[rib] === null ? '–' : showDepth(least[rib], units.depth)}
                      </Box>
                      <Box sx={{ color: 'text.secondary', fontSize: '0.8rem' }}>
                        {term(`rib.${rib}`)}
                      </Box>
                    </Box>
                  ))}
                </Box>
              )}
            </Box>
          );
        })}
      </Box>
      <Box sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
        {t('passView.leastDepth', {
          unit: units.depth === 'mm' ? 'mm' : t('passView.ofAnInch'),
        })}
      </Box>
      {unread.length > 0 && (
        <Notice>{t('passView.noGrooveWasFound', { unread: unread.join(', ') })}</Notice>
      )}
      {leftOut.length > 0 && (
        <Notice>
          {t('passView.linesLeftOut', { count: leftOut.length })}{' '}
          {leftOut
            .slice(0, MOST_SHOWN)
            .map(({ line, expected }) => t('passView.lineExpected', { line, expected }))
            .join(' ')}
        </Notice>
      )}
      <Box>
        <Button variant="contained" onClick={take}>
          {ribsRead > 0 ? t('passView.takeTheseInsteadOf') : t('passView.takeTheseReadings')}
        </Button>
      </Box>
    </Box>
  );
}
