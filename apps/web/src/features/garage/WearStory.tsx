import type { Units } from '@keen/contract';
import type { CarStory, WheelStory } from '@keen/core';
import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { capital } from '../../shared/format.ts';
import { WHEEL_LABELS } from '../../shared/wheelLabels.ts';
import { CHANGE_WORDS, rateUnit, showRate, WORK_WORDS } from './rateWords.ts';

/** A rate with a larger error than this part of it says nothing. */
const LEAST_SEEN = 0.25;

/** How fast the tires wear since the visit before last, against before it. */
export function WearStory({ story, units }: { story: CarStory; units: Units }) {
  const told = story.wheels.filter(({ change }) => change !== null);
  if (told.length === 0 || story.between === null) {
    return (
      <Box component="section">
        <Typography variant="h1" component="h2">
          {story.wheels.length === 0
            ? 'No tread has been read yet.'
            : 'One reading of these tires so far.'}
        </Typography>
        <Typography color="textSecondary" sx={{ mt: 0.5 }}>
          With the next reading this page says how fast each tire wears, and whether what was done
          helped.
        </Typography>
      </Box>
    );
  }
  return (
    <Box component="section" aria-label="Wear then and now">
      <Typography variant="h1" component="h2">
        {headline(story, told, units)}
      </Typography>
      <Table size="small" sx={{ mt: 1.5, '& td, & th': { px: 1, py: 0.5 } }}>
        <TableHead>
          <TableRow>
            <TableCell>Tire, rib that lost most</TableCell>
            <TableCell align="right">Before</TableCell>
            <TableCell align="right">Now</TableCell>
            <TableCell>{rateUnit(units)}</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {told.map(({ wheel, change }) => (
            <TableRow key={wheel}>
              <TableCell>
                {WHEEL_LABELS[wheel]}, {change!.rib}
              </TableCell>
              <TableCell align="right">{showRate(change!.before, units)}</TableCell>
              <TableCell align="right" sx={{ fontWeight: 700 }}>
                {showRate(change!.now, units)}
              </TableCell>
              <TableCell sx={{ color: 'text.secondary' }}>{CHANGE_WORDS[change!.kind]}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
      <Typography variant="body2" color="textSecondary" sx={{ mt: 0.75 }}>
        A change is called one when it is more than twice what the readings and an ordinary car’s
        ups and downs would make.
      </Typography>
    </Box>
  );
}

/** The tire that changed most plainly, in a sentence; what it loses now where nothing can be compared. */
function headline(story: CarStory, told: readonly WheelStory[], units: Units): string {
  const { visit, work } = story.between!;
  const day = dayjs(visit.arrivedAt).format('D MMM YYYY');
  const since = `Since ${work === null ? 'the visit' : WORK_WORDS[work]} on ${day}`;
  const tireOf = ({ wheel, change }: WheelStory) =>
    `the ${WHEEL_LABELS[wheel].toLowerCase()}’s ${change!.rib} rib`;
  const changed = told.filter(
    ({ change }) => change!.kind === 'slower' || change!.kind === 'faster',
  );
  const [most] = changed.toSorted((a, b) => sds(b) - sds(a));
  if (most) {
    const { before, now } = most.change!;
    const [is, was] = [showRate(now, units), showRate(before, units)];
    return `${since} ${tireOf(most)} loses ${is} ${rateUnit(units)} instead of ${was}.`;
  }
  if (told.every(({ change }) => change!.kind === 'tooLittle')) {
    const [fastest] = told.toSorted((a, b) => b.change!.now - a.change!.now);
    const stretch = fastest!.stretches.at(-1)!;
    if (stretch.sd > LEAST_SEEN * Math.max(fastest!.change!.now, 0)) {
      return `${since} the car has run too little to tell.`;
    }
    return `${capital(tireOf(fastest!))} loses ${showRate(fastest!.change!.now, units)} ${rateUnit(units)}; what was run before is too little to compare.`;
  }
  const [fastest] = told
    .filter(({ change }) => change!.kind === 'same')
    .toSorted((a, b) => b.change!.now - a.change!.now);
  return `${since} ${tireOf(fastest!)} goes on losing ${showRate(fastest!.change!.now, units)} ${rateUnit(units)}, as before.`;
}

function sds({ change }: WheelStory): number {
  return change ? Math.abs(change.now - change.before) / change.sd : 0;
}
