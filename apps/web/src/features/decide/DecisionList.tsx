import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Action } from '@keen/contract/words';
import dayjs from 'dayjs';
import { joined } from '../../shared/joined.ts';
import { useVisit } from '../../shared/visitContext.ts';
import { t } from '../../words/decide.ts';
import { courseWords, whereWords } from '../../words/pageTexts.ts';

const ANSWER_WORDS = {
  yes: t('decisionList.customerSaidYes'),
  no: t('decisionList.customerSaidNo'),
  open: t('decisionList.customerWillThinkAbout'),
};

/** Every decision of the visit, with what was advised; nothing is overwritten. */
export function DecisionList() {
  const { detail, session } = useVisit();
  if (detail.decisions.length === 0) return null;
  return (
    <Box component="section" aria-label={t('decisionList.savedDecisions')}>
      <Typography variant="h3" color="textSecondary" sx={{ mb: 0.5 }}>
        {t('decisionList.decided')}
      </Typography>
      {detail.decisions.toReversed().map((decision) => {
        const { codes, action } = decision.diagnosis.recommendation;
        const advised = decision.advised ?? action;
        // As it was said when it was decided, whatever the car has been given since.
        const dampersFirst = codes?.some(({ code }) => code === 'dampersFirst') ?? false;
        const named = (course: Action) =>
          courseWords(course, decision.replace.length > 0, { dampersFirst });
        const person = session.people.find(({ id }) => id === decision.personId)?.name;
        return (
          <Box key={decision.id} sx={{ borderTop: '1px solid var(--hairline)', py: 1 }}>
            <strong>{named(decision.action)}</strong>,{' '}
            {joined(
              ANSWER_WORDS[decision.answer],
              decision.replace.length > 0 &&
                t('decisionList.new', { tires: decision.replace.map(whereWords).join(', ') }),
            )}
            {advised !== decision.action && (
              <Box>
                {t('decisionList.advisedWasReasonGiven', {
                  advised: named(advised),
                  reason: decision.reason,
                })}
              </Box>
            )}
            <Box sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
              {person}, {dayjs(decision.at).format('D MMM YYYY, HH:mm')}
            </Box>
          </Box>
        );
      })}
    </Box>
  );
}
