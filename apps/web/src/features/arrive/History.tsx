import Box from '@mui/material/Box';
import MuiLink from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { Link } from 'react-router';
import { TreadMiniature } from '../../drawing/TreadMiniature.tsx';
import { showDistance } from '../../shared/format.ts';
import { useVisit } from '../../shared/visitContext.ts';
import { t } from '../../words/arrive.ts';
import { actionWords } from '../../words/pageTexts.ts';

const ANSWER_WORDS = {
  yes: t('history.done'),
  no: t('history.customerSaidNo'),
  open: t('history.leftOpen'),
};

/** The car's earlier visits, with their tread. */
export function History() {
  const { detail, units } = useVisit();
  if (detail.history.length === 0) return null;
  return (
    <Box component="section" aria-label={t('history.earlierVisits')}>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'baseline', mb: 0.5 }}>
        <Typography variant="h3" component="h3" color="textSecondary">
          {t('history.previousVisits')}
        </Typography>
        <MuiLink component={Link} to={`/garage/${detail.visit.vehicle.id}`} sx={{ ml: 'auto' }}>
          {t('history.howItsTiresHave')}
        </MuiLink>
      </Box>
      {detail.history.map((visit) => (
        <Box
          key={visit.id}
          component={Link}
          to={`/visits/${visit.id}/explain`}
          sx={{
            display: 'flex',
            gap: 2,
            alignItems: 'center',
            py: 1,
            borderTop: '1px solid var(--hairline)',
            color: 'inherit',
            textDecoration: 'none',
            flexWrap: 'wrap',
            '&:hover': { bgcolor: 'var(--sheet)' },
          }}
        >
          <TreadMiniature draft={visit.draft} />
          <Box sx={{ minWidth: 90 }}>{dayjs(visit.arrivedAt).format('D MMM YYYY')}</Box>
          <Box sx={{ color: 'text.secondary', minWidth: 90 }}>
            {visit.draft.tires?.lf?.distance !== undefined &&
              `${showDistance(visit.draft.tires.lf.distance, units.distance)} ${units.distance}`}
          </Box>
          {visit.decision && (
            <Box sx={{ color: 'text.secondary' }}>
              {actionWords(visit.decision.action, visit.decision.replace.length > 0)}:{' '}
              {ANSWER_WORDS[visit.decision.answer]}
            </Box>
          )}
        </Box>
      ))}
    </Box>
  );
}
