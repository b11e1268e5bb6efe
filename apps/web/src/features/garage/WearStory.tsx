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
import { t } from '../../words/garage.ts';
import { term } from '../../words/terms.ts';

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
            ? t('wearStory.noTreadHasBeen')
            : t('wearStory.oneReadingOfThese')}
        </Typography>
        <Typography color="textSecondary" sx={{ mt: 0.5 }}>
          {t('wearStory.withTheNextReading')}
        </Typography>
      </Box>
    );
  }
  return (
    <Box component="section" aria-label={t('wearStory.wearThenAndNow')}>
      <Typography variant="h1" component="h2">
        {headline(story, told, units)}
      </Typography>
      <Table size="small" sx={{ mt: 1.5, '& td, & th': { px: 1, py: 0.5 } }}>
        <TableHead>
          <TableRow>
            <TableCell>{t('wearStory.tireRibThatLost')}</TableCell>
            <TableCell align="right">{t('wearStory.before')}</TableCell>
            <TableCell align="right">{t('wearStory.now')}</TableCell>
            <TableCell>{rateUnit(units)}</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {told.map(({ wheel, change }) => (
            <TableRow key={wheel}>
              <TableCell>
                {WHEEL_LABELS[wheel]}, {term(`rib.${change!.rib}`)}
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
        {t('wearStory.aChangeIsCalled')}
      </Typography>
    </Box>
  );
}

/** The tire that changed most plainly, in a sentence; what it loses now where nothing can be compared. */
function headline(story: CarStory, told: readonly WheelStory[], units: Units): string {
  const { visit, work } = story.between!;
  const day = dayjs(visit.arrivedAt).format('D MMM YYYY');
  const since = t('wearStory.sinceWork', {
    work: work === null ? t('wearStory.theVisit') : WORK_WORDS[work],
    day,
  });
  const tireOf = ({ wheel, change }: WheelStory) =>
    t('wearStory.theSRib', {
      wheelLabels: WHEEL_LABELS[wheel].toLowerCase(),
      rib: term(`rib.${change!.rib}`),
    });
  const changed = told.filter(
    ({ change }) => change!.kind === 'slower' || change!.kind === 'faster',
  );
  const [most] = changed.toSorted((a, b) => sds(b) - sds(a));
  if (most) {
    const { before, now } = most.change!;
    const [is, was] = [showRate(now, units), showRate(before, units)];
    return t('wearStory.losesInsteadOf', {
      since,
      most: tireOf(most),
      is,
      units: rateUnit(units),
      was,
    });
  }
  if (told.every(({ change }) => change!.kind === 'tooLittle')) {
    const [fastest] = told.toSorted((a, b) => b.change!.now - a.change!.now);
    const stretch = fastest!.stretches.at(-1)!;
    if (stretch.sd > LEAST_SEEN * Math.max(fastest!.change!.now, 0)) {
      return t('wearStory.theCarHasRun', { since });
    }
    return t('wearStory.losesWhatWasRun', {
      capital: capital(tireOf(fastest!)),
      now: showRate(fastest!.change!.now, units),
      units: rateUnit(units),
    });
  }
  const [fastest] = told
    .filter(({ change }) => change!.kind === 'same')
    .toSorted((a, b) => b.change!.now - a.change!.now);
  return t('wearStory.goesOnLosingAs', {
    since,
    tireOf: tireOf(fastest!),
    now: showRate(fastest!.change!.now, units),
    units: rateUnit(units),
  });
}

function sds({ change }: WheelStory): number {
  return change ? Math.abs(change.now - change.before) / change.sd : 0;
}
