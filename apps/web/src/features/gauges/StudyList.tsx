import type { Session, StudyRow } from '@keen/contract';
import { READING_SD_MM } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { useState } from 'react';
import { Link as RouterLink } from 'react-router';
import { useStudiesInfiniteQuery } from '../../api/gaugesApi.ts';
import { failureOf } from '../../api/problem.ts';
import { useSaveSettingsMutation } from '../../api/shopApi.ts';
import { joined } from '../../shared/joined.ts';
import { mayDo } from '../../shared/mayDo.ts';
import { MoreRows } from '../../shared/MoreRows.tsx';
import { nameOf } from '../../shared/nameOf.ts';
import { StudyDialog } from './StudyDialog.tsx';
import { Rich } from '../../shared/Rich.tsx';
import { t } from '../../words/gauges.ts';

/** Gauge studies, and the spread of a reading that new visits use. */
export function StudyList({ session }: { session: Session }) {
  const studies = useStudiesInfiniteQuery();
  const { data, error, isLoading, refetch } = studies;
  const [isOpen, setOpen] = useState(false);
  const rows = data?.pages.flatMap((page) => page.studies);
  return (
    <Box component="section" aria-labelledby="studies">
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 2, flexWrap: 'wrap', mb: 1 }}>
        <Typography variant="h1" component="h2" id="studies" sx={{ flex: 1 }}>
          {t('studyList.doWeReadAlike')}
        </Typography>
        {mayDo(session, 'manageGauges') && (
          <Button onClick={() => setOpen(true)}>{t('studyList.newGaugeStudy')}</Button>
        )}
      </Box>
      <SpreadInUse session={session} />
      {isLoading && (
        <Box role="status" aria-label={t('studyList.loadingTheStudies')}>
          <Skeleton height={64} />
        </Box>
      )}
      {error && (
        <Box role="alert">
          <Typography sx={{ mb: 1 }}>{failureOf(error).text}</Typography>
          <Button onClick={() => void refetch()}>{t('studyList.tryAgain')}</Button>
        </Box>
      )}
      {rows?.length === 0 && (
        <Typography color="textSecondary">{t('studyList.twoOrThreePeople')}</Typography>
      )}
      <Box
        component="ul"
        aria-label={t('studyList.gaugeStudies')}
        sx={{ listStyle: 'none', m: 0, p: 0 }}
      >
        {rows?.map((study) => (
          <Row key={study.id} study={study} session={session} />
        ))}
      </Box>
      {studies.hasNextPage && (
        <MoreRows
          label={t('studyList.earlierOnes')}
          isLoading={studies.isFetching}
          hasFailed={studies.isError}
          onMore={() => void studies.fetchNextPage()}
        />
      )}
      {isOpen && <StudyDialog session={session} onClose={() => setOpen(false)} />}
    </Box>
  );
}

function SpreadInUse({ session }: { session: Session }) {
  const used = session.shop.settings.readingSpread;
  const [keep, { isLoading, isError }] = useSaveSettingsMutation();
  return (
    <Box sx={{ mb: 2, display: 'grid', gap: 0.5 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1, flexWrap: 'wrap' }}>
        <Box component="span" className="condensed" sx={{ fontSize: '1.6rem', fontWeight: 700 }}>
          {t('studyList.mm', { mm: (used?.mm ?? READING_SD_MM).toFixed(2) })}
        </Box>
        <span>{t('studyList.isWhatTheDiagnosis')}</span>
      </Box>
      <Box sx={{ color: 'text.secondary', fontSize: '0.9rem' }}>
        {used ? (
          <>
            <Rich
              text={t('studyList.sinceAsAStudyFound', {
                at: dayjs(used.at).format('D MMM YYYY'),
              })}
              tags={{
                study: (inner) => (
                  <Link component={RouterLink} to={`/gauges/${used.studyId}`}>
                    {inner}
                  </Link>
                ),
              }}
            />{' '}
            {mayDo(session, 'changeShop') && (
              <Button
                variant="text"
                sx={{ px: 0.5, minHeight: 32 }}
                disabled={isLoading}
                onClick={() => void keep({ readingSpread: null })}
              >
                {t('studyList.backToTheUsual', { readingSdMm: READING_SD_MM })}
              </Button>
            )}
          </>
        ) : (
          t('studyList.asIsUsualOne')
        )}
      </Box>
      {isError && (
        <Typography role="alert" sx={{ color: 'var(--marker)' }}>
          {t('studyList.thisWasNotSaved')}
        </Typography>
      )}
    </Box>
  );
}

function Row({ study, session }: { study: StudyRow; session: Session }) {
  const { id, name, people, marks, trials, taken, closedAt, createdAt } = study;
  const planned = people.length * marks.length * trials;
  const names = people.map((person) => nameOf(session, person)).join(', ');
  const isUsed = session.shop.settings.readingSpread?.studyId === id;
  return (
    <Box
      component="li"
      sx={{
        borderTop: '1px solid var(--line)',
        py: 1.25,
        display: 'grid',
        gridTemplateColumns: '1fr auto',
        columnGap: 2,
      }}
    >
      <Box sx={{ minWidth: 0 }}>
        <Link component={RouterLink} to={`/gauges/${id}`} sx={{ fontWeight: 650 }}>
          {name}
        </Link>
        <Box sx={{ color: 'text.secondary', fontSize: '0.9rem' }}>
          {t('studyList.marksTimesEach', { names, length: marks.length, trials })}
        </Box>
      </Box>
      <Box sx={{ textAlign: 'right', whiteSpace: 'nowrap' }}>
        <Box>
          {joined(
            taken < planned
              ? t('studyList.of', { taken, planned })
              : isUsed
                ? t('studyList.inUse')
                : t('studyList.complete'),
            closedAt !== null && taken < planned && t('studyList.closed'),
          )}
        </Box>
        <Box sx={{ color: 'text.secondary', fontSize: '0.9rem' }}>
          {dayjs(createdAt).format('D MMM YYYY')}
        </Box>
      </Box>
    </Box>
  );
}
