import type { StoredTires, Units, Wheel } from '@keen/contract';
import { RIBS } from '@keen/contract';
import type { CarStory, SetEvent, TireLife, TireSet } from '@keen/core';
import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { Link as RouterLink } from 'react-router';
import { capital, DEPTH_UNIT_WORDS, showDepth, showDistance } from '../../shared/format.ts';
import { joined } from '../../shared/joined.ts';
import { SEASON_WORDS, storedWords } from '../../shared/tireWords.ts';
import { WHEEL_LABELS } from '../../shared/wheelLabels.ts';
import { t } from '../../words/garage.ts';

interface TireListProps {
  story: CarStory;
  /** Tires of the car that the shop stores, by its latest visit. */
  stored: StoredTires | undefined;
  units: Units;
}

/** The sets of tires that the car has had, with the life of each. */
export function TireList({ story, stored, units }: TireListProps) {
  const { sets } = story;
  if (sets.length === 0 && !stored) return null;
  return (
    <Box component="section">
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        {t('tireList.tires')}
      </Typography>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {stored && (
          <Box component="li" sx={{ borderTop: '1px solid var(--hairline)', py: 1 }}>
            <strong>{t('tireList.storedHere')}</strong> {storedWords(stored)}
          </Box>
        )}
        {sets.map((set) => (
          <SetRow key={set.key} set={set} units={units} />
        ))}
      </Box>
    </Box>
  );
}

function SetRow({ set, units }: { set: TireSet; units: Units }) {
  const { tires, isMounted, events } = set;
  const [tire] = tires;
  const isGone = events.at(-1)?.kind === 'replaced';
  return (
    <Box
      component="li"
      sx={{
        borderTop: '1px solid var(--hairline)',
        py: 1,
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' },
        columnGap: 2,
        color: isMounted ? undefined : 'text.secondary',
      }}
    >
      <Box>
        <strong>{nameOf(tire!)}</strong>
        <Box sx={{ color: 'text.secondary' }}>
          {joined(
            tire!.size,
            tire!.dateCode && t('tireList.weekAndYear', { dateCode: tire!.dateCode }),
          )}
        </Box>
        <Box sx={{ color: 'text.secondary' }}>
          {isMounted
            ? t('tireList.onTheCar', {
                placesOf: placesOf(tires.flatMap(({ mounted }) => mounted ?? [])),
              })
            : isGone
              ? t('tireList.replaced')
              : t('tireList.offTheCar')}
        </Box>
        <Box sx={{ color: 'text.secondary' }}>
          {joined(runOf(tires, units), lowestOf(tires, units))}
        </Box>
      </Box>
      <Box component="ol" aria-label={t('tireList.itsLife')} sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {events.map((event) => (
          <Box
            component="li"
            key={`${event.visitId} ${event.kind}`}
            sx={{ display: 'flex', gap: 1.5, color: 'text.secondary' }}
          >
            <Box component="span" sx={{ minWidth: 78 }}>
              {dayjs(event.at).format('MMM YYYY')}
            </Box>
            <Link
              component={RouterLink}
              to={`/visits/${event.visitId}/read`}
              color="inherit"
              underline="hover"
              // One event stands close under the other: a line of 24 px is a target a finger hits.
              sx={{ display: 'inline-block', minHeight: 24, minWidth: 24 }}
            >
              {eventWords(event)}
            </Link>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

function eventWords({ kind, wheels }: SetEvent): string {
  switch (kind) {
    case 'fitted':
      return t('tireList.fittedNew', { wheels: placesOf(wheels) });
    case 'firstSeen':
      return t('tireList.firstRead', { wheels: placesOf(wheels) });
    case 'moved':
      return t('tireList.changedPlacesNow', { wheels: placesOf(wheels) });
    case 'takenOff':
      return t('tireList.otherTiresWereOn');
    case 'backOn':
      return t('tireList.backOn', { wheels: placesOf(wheels) });
    case 'replaced':
      return t('tireList.wereReplaced');
  }
}

function nameOf(tire: TireLife): string {
  const season = tire.season && SEASON_WORDS[tire.season];
  if (tire.line) return season ? `${tire.line}, ${season}` : tire.line;
  return season ? capital(t('tireList.ofSeason', { season })) : t('tireList.tiresLineNotNoted');
}

function placesOf(wheels: readonly Wheel[]): string {
  const is = (...list: Wheel[]) =>
    wheels.length === list.length && list.every((wheel) => wheels.includes(wheel));
  if (is('lf', 'rf', 'lr', 'rr')) return t('tireList.allFour');
  if (is('lf', 'rf')) return t('tireList.bothFront');
  if (is('lr', 'rr')) return t('tireList.bothRear');
  return wheels.map((wheel) => WHEEL_LABELS[wheel].toLowerCase()).join(', ');
}

function runOf(tires: readonly TireLife[], { distance }: Units): string {
  const km = Math.max(...tires.map(({ points }) => points.at(-1)!.km ?? 0));
  return km > 0 ? `${showDistance(km, distance)} ${distance}` : t('tireList.distanceNotNoted');
}

function lowestOf(tires: readonly TireLife[], { depth }: Units): string {
  const depths = tires.flatMap(({ points }) =>
    RIBS.flatMap((rib) => points.at(-1)!.ribs[rib] ?? []),
  );
  if (depths.length === 0) return '';
  return t('tireList.lowestRib', {
    depth: showDepth(Math.min(...depths), depth),
    depthUnitWords: DEPTH_UNIT_WORDS[depth],
  });
}
