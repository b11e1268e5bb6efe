import type { Person, Units, Visit } from '@keen/contract';
import { workDone } from '@keen/core';
import Box from '@mui/material/Box';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { Link as RouterLink } from 'react-router';
import { TreadMiniature } from '../../drawing/TreadMiniature.tsx';
import { showDegrees, showDistance } from '../../shared/format.ts';
import { WHEEL_LABELS } from '../../shared/wheelLabels.ts';
import { angleChanges } from './angleChanges.ts';
import { t } from '../../words/garage.ts';
import { actionWords } from '../../words/pageTexts.ts';

const ANSWER_WORDS = {
  yes: t('visitLog.agreed'),
  no: t('visitLog.declined'),
  open: t('visitLog.leftOpen'),
};

interface VisitLogProps {
  /** Latest first. */
  visits: readonly Visit[];
  shownId: string | null;
  people: readonly Person[];
  units: Units;
  onShow: (visit: Visit) => void;
}

/** Every visit: what the customer said, what was advised and what became of it, angles found and set. */
export function VisitLog({ visits, shownId, people, units, onShow }: VisitLogProps) {
  return (
    <Box component="section">
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        {t('visitLog.visits')}
      </Typography>
      <Box component="ol" reversed sx={{ listStyle: 'none', m: 0, p: 0 }}>
        {visits.map((visit) => (
          <Box
            component="li"
            key={visit.id}
            sx={{
              borderTop: '1px solid var(--hairline)',
              py: 1,
              display: 'grid',
              columnGap: 2,
              gridTemplateColumns: { xs: '1fr', sm: '138px 1fr' },
              alignItems: 'start',
            }}
          >
            <Box
              component="button"
              type="button"
              onClick={() => onShow(visit)}
              aria-pressed={visit.id === shownId}
              aria-label={t('visitLog.showTheTreadOf', {
                arrivedAt: dayjs(visit.arrivedAt).format('D MMM YYYY'),
              })}
              sx={{
                border: 0,
                p: 0.5,
                m: -0.5,
                bgcolor: visit.id === shownId ? 'var(--hairline)' : 'transparent',
                cursor: 'pointer',
                minHeight: 44,
              }}
            >
              <TreadMiniature draft={visit.draft} width={130} />
            </Box>
            <Box sx={{ minWidth: 0 }}>
              <Link
                component={RouterLink}
                to={`/visits/${visit.id}/explain`}
                sx={{ fontWeight: 650 }}
              >
                {t('visitLog.visit', {
                  arrivedAt: dayjs(visit.arrivedAt).format('D MMM YYYY'),
                  number: visit.number,
                })}
              </Link>
              {visit.draft.visit?.odometer !== undefined && (
                <Box component="span" sx={{ color: 'text.secondary' }}>
                  , {odometerWords(visit.draft.visit.odometer, units)}
                </Box>
              )}
              {visit.draft.visit?.words && (
                <Box sx={{ fontStyle: 'italic' }}>“{visit.draft.visit.words}”</Box>
              )}
              <Decided visit={visit} people={people} />
              {angleChanges(visit.draft).map(({ what, found, set }) => (
                <Box key={what} sx={{ color: 'text.secondary', fontSize: '0.9rem' }}>
                  {what} {showDegrees(found, 2)}{' '}
                  {set !== null && t('visitLog.setTo', { set: showDegrees(set, 2) })}
                </Box>
              ))}
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

function Decided({ visit, people }: { visit: Visit; people: readonly Person[] }) {
  const { decision } = visit;
  if (!decision) {
    return workDone(visit) === 'aligned' ? <Box>{t('visitLog.aligned')}</Box> : null;
  }
  const advised = decision.advised ?? decision.action;
  const by = people.find(({ id }) => id === decision.personId)?.name.split(' ')[0];
  return (
    <Box>
      {advised !== decision.action && (
        <Box sx={{ color: 'text.secondary' }}>
          {t('visitLog.advised', { advised: actionWords(advised, false) })}
        </Box>
      )}
      {actionWords(decision.action, decision.replace.length > 0)}:{' '}
      <strong>{ANSWER_WORDS[decision.answer]}</strong>
      {decision.answer === 'yes' && decision.replace.length > 0 && (
        <>
          ,{' '}
          {t('visitLog.new', {
            tires: decision.replace.map((wheel) => WHEEL_LABELS[wheel].toLowerCase()).join(', '),
          })}
        </>
      )}
      {by && (
        <Box component="span" sx={{ color: 'text.secondary' }}>
          {' '}
          · {by}
        </Box>
      )}
      {decision.reason && <Box sx={{ color: 'text.secondary' }}>{decision.reason}</Box>}
    </Box>
  );
}

function odometerWords(odometer: number, { distance }: Units): string {
  return t('visitLog.at', { odometer: showDistance(odometer, distance), distance });
}
