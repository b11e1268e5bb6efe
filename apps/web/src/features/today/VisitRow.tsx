import type { Person, Visit } from '@keen/contract';
import { nextStep, stepStates, noteWords } from '@keen/core';
import type { VisitStep } from '@keen/core';
import Box from '@mui/material/Box';
import dayjs from 'dayjs';
import { memo } from 'react';
import { TreadMiniature } from '../../drawing/TreadMiniature.tsx';
import { ListLink } from '../../shared/ListLink.tsx';
import { dangerWords } from '../../shared/dangerWords.ts';
import { t } from '../../words/today.ts';
import { actionWords } from '../../words/pageTexts.ts';
import { visitTexts } from '../../words/core/visit.ts';

const NEXT_WORDS: Record<VisitStep, string> = {
  arrive: t('visitRow.takeTheCarIn'),
  read: t('visitRow.readTheTread'),
  inspect: t('visitRow.inspect'),
  explain: t('visitRow.explain'),
  decide: t('visitRow.decide'),
  measure: t('visitRow.measureTheAngles'),
  set: t('visitRow.setRight'),
  'hand-over': t('visitRow.handItOver'),
};
const WAITS_WORDS = {
  counter: t('visitRow.atTheCounter'),
  phone: t('visitRow.wantsACall'),
  later: t('visitRow.comesBackLater'),
};
const ANSWER_WORDS = {
  yes: t('visitRow.saidYes'),
  no: t('visitRow.saidNo'),
  open: t('visitRow.noAnswerYet'),
};

/** A car as a row: its tread, its name, what stands next, who waits. */
export const VisitRow = memo(function VisitRow({
  visit,
  people,
}: {
  visit: Visit;
  people: readonly Person[];
}) {
  const next = nextStep(visit.draft, visit.decision !== null);
  const [danger] = dangerWords(visit.draft);
  const by = people.find(({ id }) => id === visit.decision?.personId)?.name.split(' ')[0];
  return (
    <ListLink
      to={`/visits/${visit.id}/${next ?? 'explain'}`}
      columns={{ xs: '138px 1fr', md: '150px 1.5fr 1.6fr 1fr 90px' }}
      height={73}
    >
      <TreadMiniature draft={visit.draft} />
      <Box sx={{ minWidth: 0 }}>
        <Box sx={{ fontWeight: 650, display: 'flex', gap: 1, alignItems: 'baseline' }}>
          <Box
            component="span"
            className="condensed"
            sx={{ fontSize: '1.15rem', fontWeight: 700, whiteSpace: 'nowrap' }}
          >
            {visit.vehicle.plate}
          </Box>
          <Box
            component="span"
            sx={{
              fontWeight: 450,
              overflow: 'hidden',
              textOverflow: 'ellipsis',
              whiteSpace: 'nowrap',
            }}
          >
            {visit.vehicle.label}
          </Box>
        </Box>
        <Box sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>{visit.vehicle.customer}</Box>
      </Box>
      <Box sx={{ minWidth: 0, gridColumn: { xs: '1 / -1', md: 'auto' } }}>
        {danger && (
          <Box sx={{ color: 'var(--marker)', fontWeight: 650, fontSize: '0.88rem' }}>
            ◆ {danger.what}
          </Box>
        )}
        <NextLine visit={visit} next={next} by={by} />
      </Box>
      <Box
        sx={{
          color: 'text.secondary',
          fontSize: '0.9rem',
          gridColumn: { xs: '1 / 2', md: 'auto' },
        }}
      >
        {visit.closedAt === null && visit.waits !== null && (
          <Box
            component="span"
            sx={visit.waits === 'counter' ? { color: 'var(--ink)', fontWeight: 600 } : {}}
          >
            {visit.waits === 'counter' && '● '}
            {WAITS_WORDS[visit.waits]}
          </Box>
        )}
        {visit.closedAt !== null && 'closed'}
      </Box>
      <Box
        sx={{
          color: 'text.secondary',
          fontSize: '0.9rem',
          textAlign: 'right',
          whiteSpace: 'nowrap',
        }}
      >
        {sinceWords(visit.arrivedAt)}
      </Box>
    </ListLink>
  );
});

function NextLine({
  visit,
  next,
  by,
}: {
  visit: Visit;
  next: VisitStep | null;
  by: string | undefined;
}) {
  if (visit.decision) {
    return (
      <Box>
        <Box sx={{ fontWeight: 550 }}>
          {actionWords(visit.decision.action, visit.decision.replace.length > 0)}
        </Box>
        <Box sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
          {ANSWER_WORDS[visit.decision.answer]}
          {by && `, ${by}`}
        </Box>
      </Box>
    );
  }
  if (next === null) return null;
  const { note } = stepStates(visit.draft, false)[next];
  return (
    <Box>
      <Box component="span" sx={{ color: 'text.secondary' }}>
        {t('visitRow.next')}
      </Box>
      <Box component="span" sx={{ fontWeight: 550 }}>
        {NEXT_WORDS[next]}
      </Box>
      {note && (
        <Box component="span" sx={{ color: 'text.secondary' }}>
          , {noteWords(note, visitTexts)}
        </Box>
      )}
    </Box>
  );
}

function sinceWords(iso: string): string {
  const minutes = dayjs().diff(iso, 'minute');
  if (minutes < 1) return t('visitRow.justNow');
  if (minutes < 60) return `${minutes} min`;
  if (minutes < 20 * 60)
    return t('visitRow.hMin', { floor: Math.floor(minutes / 60), minutes: minutes % 60 });
  return dayjs(iso).format('D MMM YY');
}
