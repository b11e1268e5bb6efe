import type { Rib, Wheel } from '@keen/contract';
import { readingConflicts } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { joined } from '../../shared/joined.ts';
import { showDepth } from '../../shared/format.ts';
import { useVisit } from '../../shared/visitContext.ts';
import { t } from '../../words/read.ts';
import { whereWords } from '../../words/pageTexts.ts';
import { term } from '../../words/terms.ts';

/** Ribs that two people read without seeing one another's reading: both stand until one is chosen. */
export function Conflicts() {
  const { detail, session, units, enter } = useVisit();
  const conflicts = readingConflicts(detail.entries);
  const nameOf = (personId: string) =>
    session.people.find(({ id }) => id === personId)?.name.split(' ')[0] ?? t('conflicts.somebody');
  return (
    <>
      {conflicts.map(({ path, readings }) => {
        const [, wheel, , station, rib] = path.split('.') as [string, Wheel, string, string, Rib];
        const place = joined(
          whereWords(wheel),
          term(`rib.${rib}`),
          station !== '0' && t('conflicts.place', { station: Number(station) + 1 }),
        );
        return (
          <Box
            key={path}
            role="alert"
            sx={{ borderLeft: '3px solid var(--marker)', pl: 1.25, display: 'grid', gap: 0.75 }}
          >
            <Box>{t('conflicts.readTwiceDifferentlyWhich', { place })}</Box>
            <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
              {readings.map(({ id, value, personId }) => (
                <Button key={id} onClick={() => enter(path, value)}>
                  {nameOf(personId)}:{' '}
                  {typeof value === 'number' ? showDepth(value, units.depth) : '×'}
                </Button>
              ))}
            </Box>
          </Box>
        );
      })}
    </>
  );
}
