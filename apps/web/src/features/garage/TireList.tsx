import type { Units, Wheel } from '@keen/contract';
import { RIBS } from '@keen/contract';
import type { CarStory, TireLife } from '@keen/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { DEPTH_UNIT_WORDS, showDepth, showDistance } from '../../shared/format.ts';
import { WHEEL_LABELS } from '../../shared/wheelLabels.ts';
import { tireSets } from './tireSets.ts';

const SEASON_WORDS = { summer: 'summer', allSeason: 'all-season', winter: 'winter' };

/** The sets of tires that the car has had: what they are, how long they have run, where they are now. */
export function TireList({ story, units }: { story: CarStory; units: Units }) {
  const sets = tireSets(story.tires);
  if (sets.length === 0) return null;
  return (
    <Box component="section">
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        Tires
      </Typography>
      <Box component="ul" sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {sets.map(({ key, tires, isMounted }) => {
          const [tire] = tires;
          return (
            <Box
              component="li"
              key={key}
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
                  {[tire!.size, tire!.dateCode && `week and year ${tire!.dateCode}`]
                    .filter(Boolean)
                    .join(', ')}
                </Box>
              </Box>
              <Box>
                {isMounted ? `On the car: ${placesOf(tires)}` : 'Off the car'}
                <Box sx={{ color: 'text.secondary' }}>
                  {runOf(tires, units)}
                  {lowestOf(tires, units)}
                </Box>
              </Box>
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}

function nameOf(tire: TireLife): string {
  const season = tire.season && SEASON_WORDS[tire.season];
  if (tire.line) return season ? `${tire.line}, ${season}` : tire.line;
  return season
    ? `${season.charAt(0).toUpperCase()}${season.slice(1)} tires`
    : 'Tires, line not noted';
}

function placesOf(tires: readonly TireLife[]): string {
  const wheels = tires.flatMap(({ mounted }) => (mounted ? [mounted] : []));
  const is = (...list: Wheel[]) =>
    wheels.length === list.length && list.every((wheel) => wheels.includes(wheel));
  if (is('lf', 'rf', 'lr', 'rr')) return 'all four';
  if (is('lf', 'rf')) return 'both front';
  if (is('lr', 'rr')) return 'both rear';
  return wheels.map((wheel) => WHEEL_LABELS[wheel].toLowerCase()).join(', ');
}

function runOf(tires: readonly TireLife[], { distance }: Units): string {
  const first = tires.flatMap(({ points }) => points[0]!.at).toSorted()[0]!;
  const last = tires
    .flatMap(({ points }) => points.at(-1)!.at)
    .toSorted()
    .at(-1)!;
  const km = Math.max(...tires.map(({ points }) => points.at(-1)!.km ?? 0));
  const [from, to] = [dayjs(first).format('MMM YYYY'), dayjs(last).format('MMM YYYY')];
  const seen = from === to ? `seen ${from}` : `seen ${from} to ${to}`;
  return km > 0 ? `${showDistance(km, distance)} ${distance}, ${seen}` : seen;
}

function lowestOf(tires: readonly TireLife[], { depth }: Units): string {
  const depths = tires.flatMap(({ points }) =>
    RIBS.flatMap((rib) => points.at(-1)!.ribs[rib] ?? []),
  );
  if (depths.length === 0) return '';
  return `, lowest rib ${showDepth(Math.min(...depths), depth)} ${DEPTH_UNIT_WORDS[depth]}`;
}
