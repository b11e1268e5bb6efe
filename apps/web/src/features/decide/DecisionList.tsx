import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { joined } from '../../shared/joined.ts';
import { useVisit } from '../../shared/visitContext.ts';
import { t } from '../../words/decide.ts';
import { actionWords, whereWords } from '../../words/pageTexts.ts';

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
        const advised = decision.advised ?? decision.diagnosis.recommendation.action;
        const person = session.people.find(({ id }) => id === decision.personId)?.name;
        return (
          <Box key={decision.id} sx={{ borderTop: '1px solid var(--hairline)', py: 1 }}>
            <strong>{actionWords(decision.action, decision.replace.length > 0)}</strong>,{' '}
            {joined(
              ANSWER_WORDS[decision.answer],
              decision.replace.length > 0 &&
                t('decisionList.new', { tires: decision.replace.map(whereWords).join(', ') }),
            )}
            {advised !== decision.action && (
              <Box>
                {t('decisionList.advisedWasReasonGiven', {
                  advised: actionWords(advised, decision.replace.length > 0),
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
