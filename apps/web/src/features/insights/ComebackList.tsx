import type { ComebackRow, Comebacks, Units, VisitRef } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { useState } from 'react';
import { Link as RouterLink } from 'react-router';
import { capital, showFar } from '../../shared/format.ts';
import { saveFile } from '../../shared/saveFile.ts';
import { CATCH_WORDS, comebacksAsCsv, RETURN_WORDS, WORK_TITLES } from './comebackWords.ts';
import { Rich } from '../../shared/Rich.tsx';
import { t } from '../../words/insights.ts';

const FIRST = 6;

interface ComebackListProps {
  rows: Comebacks['rows'];
  units: Units;
}

/** Each comeback with the visit that could have caught it, latest first. */
export function ComebackList({ rows, units }: ComebackListProps) {
  const [isWhole, setWhole] = useState(false);
  const shown = isWhole ? rows : rows.slice(0, FIRST);
  return (
    <Box>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2 }}>
        <Typography variant="h3" color="textSecondary" sx={{ flex: 1 }}>
          {t('comebackList.whatCameBackAnd')}
        </Typography>
        <Button
          variant="text"
          onClick={() => saveFile('comebacks.csv', comebacksAsCsv(rows), 'text/csv')}
        >
          {t('comebackList.saveAsCsv')}
        </Button>
      </Box>
      <Box
        component="ul"
        aria-label={t('comebackList.comebacks')}
        sx={{ listStyle: 'none', m: 0, p: 0 }}
      >
        {shown.map((row) => (
          <Row key={`${row.done.visitId} ${row.back.visitId}`} row={row} units={units} />
        ))}
      </Box>
      {rows.length > FIRST && (
        <Button variant="text" onClick={() => setWhole(!isWhole)}>
          {isWhole ? t('comebackList.fewer') : t('comebackList.all', { length: rows.length })}
        </Button>
      )}
    </Box>
  );
}

function Row({ row, units }: { row: ComebackRow; units: Units }) {
  const { work, plate, label, km, how, done, back, caughtAt } = row;
  return (
    <Box
      component="li"
      sx={{
        borderTop: '1px solid var(--line)',
        py: 1.25,
        display: 'grid',
        columnGap: 2.5,
        rowGap: 0.25,
        gridTemplateColumns: { xs: '1fr', md: '110px 1fr 1.6fr 1.6fr' },
        alignItems: 'baseline',
      }}
    >
      <Box sx={{ color: 'text.secondary', whiteSpace: 'nowrap' }}>
        {dayjs(back.at).format('D MMM YYYY')}
      </Box>
      <Box>
        <Box component="span" sx={{ fontWeight: 650 }}>
          {plate}
        </Box>{' '}
        {label}
      </Box>
      <Box>
        <Rich
          text={t('comebackList.doneAndBack', {
            work: WORK_TITLES[work],
            km: showFar(km, units.distance),
            unit: units.distance,
            how: RETURN_WORDS[how],
          })}
          tags={{
            done: () => <VisitLink visit={done} />,
            back: () => <VisitLink visit={back} />,
          }}
        />
      </Box>
      <Box>
        {caughtAt ? (
          <>
            <VisitLink visit={caughtAt.visit} isFirst />: {CATCH_WORDS[caughtAt.why]}
          </>
        ) : (
          <Box component="span" sx={{ color: 'text.secondary' }}>
            {t('comebackList.nothingBeforeItWould')}
          </Box>
        )}
      </Box>
    </Box>
  );
}

function VisitLink({ visit, isFirst = false }: { visit: VisitRef; isFirst?: boolean }) {
  const name = t('comebackList.visit', { number: visit.number });
  return (
    <Link component={RouterLink} to={`/visits/${visit.visitId}/decide`}>
      {isFirst ? capital(name) : name}
    </Link>
  );
}
