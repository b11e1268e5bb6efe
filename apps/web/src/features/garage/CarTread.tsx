import type { Session, Visit, Wheel } from '@keen/contract';
import type { Rib } from '@keen/contract/words';
import { DEFAULT_LIMITS_MM, sectionTires, WHEEL_ORDER } from '@keen/core';
import type { CarStory, SectionTire } from '@keen/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { useMemo } from 'react';
import { AxleSectionView } from '../../drawing/AxleSectionView.tsx';
import { distanceOnTiresWords } from '../../shared/distanceOnTiresWords.ts';
import { showDistance } from '../../shared/format.ts';
import { t } from '../../words/garage.ts';

interface CarTreadProps {
  session: Session;
  story: CarStory;
  /** Visits at which tread was read, oldest first; at least one. */
  visits: readonly Visit[];
  shown: Visit;
  onShow: (visit: Visit) => void;
}

/** The tread at one visit, with what it has lost since the reading before; a slider goes through time. */
export function CarTread({ session, story, visits, shown, onShow }: CarTreadProps) {
  const { units } = session.preferences;
  const at = visits.findIndex(({ id }) => id === shown.id);
  const tires = useMemo(() => agedTires(shown, story), [shown, story]);
  const legalMm = shown.draft.limits?.legal ?? DEFAULT_LIMITS_MM.legal;
  const hasEarlier = WHEEL_ORDER.some((wheel) => tires[wheel].earlierMm !== undefined);
  return (
    <Box component="section" aria-label={t('carTread.treadThroughTime')}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
        <Typography
          variant="h2"
          component="h2"
          aria-live="polite"
          sx={{ minWidth: 116, whiteSpace: 'nowrap' }}
        >
          {dayjs(shown.arrivedAt).format('D MMM YYYY')}
        </Typography>
        {visits.length > 1 && (
          <Box
            component="input"
            type="range"
            min={0}
            max={visits.length - 1}
            step={1}
            value={at}
            aria-label={t('carTread.visitShown')}
            aria-valuetext={dayjs(shown.arrivedAt).format('D MMM YYYY')}
            onChange={({ target }) => onShow(visits[Number(target.value)]!)}
            sx={{ flex: 1, minWidth: 0, accentColor: 'var(--rubber)', minHeight: 44 }}
          />
        )}
      </Box>
      <Box
        sx={{
          display: 'flex',
          columnGap: 2,
          justifyContent: 'space-between',
          flexWrap: 'wrap',
          color: 'text.secondary',
          fontSize: '0.9rem',
          mb: 1,
        }}
      >
        <span>{distanceWords(shown, session)}</span>
        {hasEarlier && <span>{t('carTread.paleLostSinceThe')}</span>}
      </Box>
      <Box sx={{ display: 'grid', gap: 1.5 }}>
        <AxleSectionView axle="front" tires={tires} legalMm={legalMm} unit={units.depth} />
        <AxleSectionView axle="rear" tires={tires} legalMm={legalMm} unit={units.depth} />
      </Box>
    </Box>
  );
}

function distanceWords({ draft }: Visit, { preferences }: Session): string {
  const { distance: unit } = preferences.units;
  const odometer = draft.visit?.odometer;
  if (odometer !== undefined)
    return t('carTread.at', { odometer: showDistance(odometer, unit), unit });
  return distanceOnTiresWords(draft, unit);
}

/** The tires of a visit, each with what the same tire had at its reading before. */
function agedTires(visit: Visit, story: CarStory): Record<Wheel, SectionTire> {
  const tires = sectionTires(visit.draft, null);
  for (const wheel of WHEEL_ORDER) {
    const earlier = ribsBefore(story, visit.id, wheel);
    if (earlier) tires[wheel] = { ...tires[wheel], earlierMm: earlier };
  }
  return tires;
}

function ribsBefore(
  { sets }: CarStory,
  visitId: string,
  wheel: Wheel,
): Record<Rib, number | null> | null {
  for (const { points } of sets.flatMap(({ tires }) => tires)) {
    const at = points.findIndex((point) => point.visitId === visitId && point.wheel === wheel);
    if (at > 0) return points[at - 1]!.ribs;
  }
  return null;
}
