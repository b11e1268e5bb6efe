import type { Diagnosis, ReasonCode, Recommendation } from '@keen/contract';
import { adviceWeighed, ALIGNING } from '@keen/core';
import type { CostComparison } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Notice } from '../../shared/Notice.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { AdviceInMoney } from './AdviceInMoney.tsx';
import { Choices } from './Choices.tsx';
import { Declined } from './Declined.tsx';
import { DecisionForm } from './DecisionForm.tsx';
import { DecisionList } from './DecisionList.tsx';
import { Estimate } from './Estimate.tsx';
import { OutlookChart } from './OutlookChart.tsx';
import { Rotation } from './Rotation.tsx';
import { useCostComparison } from '../../shared/useCostComparison.ts';
import { t } from '../../words/decide.ts';
import { adviceReasons, courseWords, partWords, whereWords } from '../../words/pageTexts.ts';

/** What is advised and why, what is chosen, what the customer says; all of it is kept. */
export function DecideStep() {
  const { diagnosing, ribsRead, goTo, detail } = useVisit();
  const answer = diagnosing.answer;
  const weighing = useCostComparison();
  if (ribsRead < 3) {
    return (
      <Box sx={{ maxWidth: 520 }}>
        <Typography variant="h1" component="h2" gutterBottom>
          {t('decideStep.nothingToDecideOn')}
        </Typography>
        <Button variant="contained" onClick={() => goTo('read')}>
          {t('decideStep.readTheTread')}
        </Button>
      </Box>
    );
  }
  if (!answer?.outlook || !weighing) {
    return diagnosing.failure ? (
      <Notice kind="caution">
        {t('decideStep.theAnswerCouldNot', { failure: diagnosing.failure })}
      </Notice>
    ) : (
      <Typography role="status">{t('decideStep.workingOutTheAnswer')}</Typography>
    );
  }
  const replace = detail.decisions.at(-1)?.replace ?? answer.diagnosis.recommendation.replace;
  const fitsTires = replace.length > 0;
  return (
    <Box sx={{ display: 'grid', gap: 2.5, maxWidth: 860 }}>
      <Advice diagnosis={answer.diagnosis} weighing={weighing} fitsTires={fitsTires} />
      <Declined diagnosis={answer.diagnosis} />
      <Choices weighing={weighing} oldKm={answer.outlook.oldKm} replaced={replace.length} />
      <OutlookChart outlook={answer.outlook} />
      {diagnosing.state === 'full' ? (
        <DecisionForm key={detail.visit.id} diagnosis={answer.diagnosis} weighing={weighing} />
      ) : (
        <Typography role="status" color="textSecondary">
          {t('decideStep.workingItOutIn')}
        </Typography>
      )}
      <Rotation />
      <Estimate
        weighing={weighing}
        course={detail.decisions.at(-1)?.action ?? weighing.advised.course}
        replace={replace}
      />
      <DecisionList />
      <Box sx={{ borderTop: '1px solid var(--line)', pt: 2 }}>
        <Button onClick={() => goTo('hand-over')}>{t('decideStep.toTheCustomersSheet')}</Button>
      </Box>
    </Box>
  );
}

/** The reasons less those that the parts below say again. */
function withoutParts(recommendation: Recommendation): Recommendation {
  const { codes, parts } = recommendation;
  const isSaid = ({ code, figures: [cause, , , ...places] }: ReasonCode) =>
    code === 'causeAt' &&
    places.every((where) => parts.some((part) => part.cause === cause && part.where === where));
  return codes
    ? { ...recommendation, codes: codes.filter((code) => !isSaid(code)) }
    : recommendation;
}

interface AdviceProps {
  diagnosis: Diagnosis;
  weighing: CostComparison;
  fitsTires: boolean;
}

function Advice({ diagnosis, weighing, fitsTires }: AdviceProps) {
  const { parts } = diagnosis.recommendation;
  const action = weighing.advised.course;
  return (
    <Box>
      <Typography variant="h3" component="div" color="textSecondary">
        {t('decideStep.advisedByTheTread')}
      </Typography>
      <Typography variant="h1" component="h2">
        {courseWords(action, fitsTires, weighing)}.
      </Typography>
      <AdviceInMoney weighing={weighing} fitsTires={fitsTires} />
      <Box component="ul" sx={{ m: 0, mt: 1, pl: 2.25 }}>
        {adviceReasons(withoutParts(adviceWeighed(diagnosis.recommendation, weighing))).map(
          (reason) => (
            <li key={reason}>{reason}</li>
          ),
        )}
        {parts.map((one) => {
          const { part, why } = partWords(one);
          return (
            <li key={one.part + one.where}>
              {part}, {whereWords(one.where)}: {why}.
            </li>
          );
        })}
      </Box>
      {ALIGNING.includes(action) && (
        <Box sx={{ mt: 1.5 }}>
          <Notice>{t('decideStep.anglesAreSetTo')}</Notice>
        </Box>
      )}
    </Box>
  );
}
