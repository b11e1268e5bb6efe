import type { Advice, InsightQuery, Session } from '@keen/contract';
import { acceptance, acceptanceBy } from '@keen/core';
import type { Acceptance } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useAdviceQuery } from '../../api/insightsApi.ts';
import { spaced } from '../../shared/joined.ts';
import { Loaded } from '../../shared/Loaded.tsx';
import { nameOf } from '../../shared/nameOf.ts';
import { saveFile } from '../../shared/saveFile.ts';
import { SIDE_BY_SIDE } from '../../shared/sideBySide.ts';
import { adviceAsCsv } from './adviceAsCsv.ts';
import { adviceWords } from './adviceWords.ts';
import { hundreds, percent } from './bandWords.ts';
import { AnswerBars } from './AnswerBars.tsx';
import { t } from '../../words/insights.ts';
import { keepUnits } from '../../words/pageTexts.ts';

/** What was advised, and what customers said to it: by action, and by who asked. */
export function AdviceAnswers({ session, query }: { session: Session; query: InsightQuery }) {
  const answer = useAdviceQuery(query);
  return (
    <Loaded answer={answer} label={t('adviceAnswers.loadingTheAnswers')} height={240}>
      {(data) => <Answers data={data} session={session} />}
    </Loaded>
  );
}

function Answers({ data, session }: { data: Advice; session: Session }) {
  const all = acceptance('all', data.counts);
  // Where no work was advised there was nothing to say yes to.
  const ofWork = data.counts.filter(({ advised }) => advised !== 'fitOnly');
  const work = acceptance('work', ofWork);
  if (all.visits === 0) {
    return (
      <Box>
        <Typography variant="h1" component="h2" gutterBottom>
          {t('adviceAnswers.noDecisionsInThis')}
        </Typography>
        <Typography color="textSecondary">{t('adviceAnswers.everyDecisionThatIs')}</Typography>
      </Box>
    );
  }
  return (
    <Box component="section" aria-labelledby="answers" sx={{ display: 'grid', gap: 3 }}>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'end' }}>
        <Box sx={{ flex: '1 1 420px' }}>
          <Typography variant="h1" component="h2" id="answers">
            {headline(work)}
          </Typography>
          <Typography color="textSecondary">{keepUnits(underIt(all, work))}</Typography>
        </Box>
        <Button
          onClick={() => saveFile('advice.csv', adviceAsCsv(data.counts, session), 'text/csv')}
        >
          {t('adviceAnswers.saveAsCsv')}
        </Button>
      </Box>
      <Box sx={SIDE_BY_SIDE}>
        <AnswerBars
          title={t('adviceAnswers.byWhatWasAdvised')}
          rows={acceptanceBy('advised', ofWork)}
          nameOf={adviceWords}
        />
        <AnswerBars
          title={t('adviceAnswers.byWhoAsked')}
          rows={acceptanceBy('personId', ofWork)}
          nameOf={(personId) => nameOf(session, personId)}
        />
      </Box>
    </Box>
  );
}

const TEN = 10;

function headline({ accepted }: Acceptance<string>): string {
  if (accepted.isTooFew) return t('adviceAnswers.tooFewAnswersTo');
  return t('adviceAnswers.aboutIn10Customers', { ofTen: Math.round(TEN * accepted.part) });
}

function underIt(all: Acceptance<string>, work: Acceptance<string>): string {
  const { visits, yes, no, open, overridden, accepted } = work;
  return spaced(
    t('adviceAnswers.workWasAdvisedAt', { visits, visits2: all.visits, yes, no, open }),
    !accepted.isTooFew &&
      t('adviceAnswers.ofThoseWhoAnswered', {
        part: percent(accepted.part),
        low: hundreds(accepted.low),
        high: percent(accepted.high),
      }),
    overridden > 0 && t('adviceAnswers.choseOtherwise', { overridden }),
  );
}
