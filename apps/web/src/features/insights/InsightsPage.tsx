import type { InsightQuery, Session } from '@keen/contract';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { useNavigate } from 'react-router';
import { useSessionQuery } from '../../api/keenApi.ts';
import { Choice } from '../../shared/Choice.tsx';
import { MadeUpYears } from '../../shared/MadeUpYears.tsx';
import { mayDo } from '../../shared/mayDo.ts';
import { PageTitle } from '../../shared/PageTitle.tsx';
import { SIDE_BY_SIDE } from '../../shared/sideBySide.ts';
import { TopBar } from '../../shared/TopBar.tsx';
import { AdviceAnswers } from './AdviceAnswers.tsx';
import { ChancesHeld } from './ChancesHeld.tsx';
import { DeclineCosts } from './DeclineCosts.tsx';
import { DeclinedList } from './DeclinedList.tsx';
import { ForecastsHeld } from './ForecastsHeld.tsx';
import { OwnFigures } from './OwnFigures.tsx';
import { WorkHeld } from './WorkHeld.tsx';
import { t } from '../../words/insights.ts';

const SHORTCUTS = [{ keys: ['T'], what: t('insightsPage.backToToday') }];
const SPANS = [
  { value: '1', label: t('insightsPage.aMonth') },
  { value: '3', label: t('insightsPage.aQuarter') },
  { value: '12', label: t('insightsPage.aYear') },
  { value: 'all', label: t('insightsPage.all') },
] as const;
type SpanOfMonths = (typeof SPANS)[number]['value'];

/** What the shop's own work teaches its lead. */
export function InsightsPage() {
  const { data: session } = useSessionQuery();
  if (!session) return null;
  return <LoadedInsights session={session} />;
}

function LoadedInsights({ session }: { session: Session }) {
  const [span, setSpan] = useState<SpanOfMonths>('12');
  const navigate = useNavigate();
  useHotkeys('t', () => void navigate('/'));
  const query: InsightQuery =
    span === 'all' ? {} : { from: dayjs().subtract(Number(span), 'month').format('YYYY-MM-DD') };
  return (
    <Box sx={{ minHeight: '100%', display: 'flex', flexDirection: 'column' }}>
      <TopBar session={session} shortcuts={SHORTCUTS}>
        <PageTitle>{t('insightsPage.insights')}</PageTitle>
      </TopBar>
      <Box
        component="main"
        sx={{
          px: { xs: 2, md: 5 },
          py: { xs: 2, md: 3.5 },
          maxWidth: 1240,
          width: '100%',
          mx: 'auto',
          display: 'grid',
          gap: 6,
        }}
      >
        {mayDo(session, 'readInsights') ? (
          <>
            <MadeUpYears session={session} />
            <Choice
              label={t('insightsPage.lookingBack')}
              options={SPANS}
              value={span}
              onChange={(next) => next && setSpan(next)}
            />
            <AdviceAnswers session={session} query={query} />
            <Box sx={SIDE_BY_SIDE}>
              <ChancesHeld query={query} />
              <ForecastsHeld session={session} query={query} />
            </Box>
            <OwnFigures session={session} />
            <WorkHeld session={session} query={query} />
            <DeclineCosts session={session} query={query} />
            <DeclinedList session={session} query={query} />
          </>
        ) : (
          <Typography>{t('insightsPage.onlyTheLeadSees')}</Typography>
        )}
      </Box>
    </Box>
  );
}
