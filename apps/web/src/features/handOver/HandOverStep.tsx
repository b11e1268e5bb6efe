import type { Given } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useSetClosedMutation } from '../../api/keenApi.ts';
import { Choice } from '../../shared/Choice.tsx';
import { LANGUAGE_OPTIONS } from '../../shared/languages.ts';
import { Notice } from '../../shared/Notice.tsx';
import { PaperView } from '../../shared/PaperView.tsx';
import { UnitChoices } from '../../shared/UnitChoices.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { NextChecks } from './NextChecks.tsx';
import { SheetLinks } from './SheetLinks.tsx';
import { StoredHere } from './StoredHere.tsx';
import { usePaper } from './usePaper.ts';
import { VisitFiles } from './VisitFiles.tsx';
import { t } from '../../words/handOver.ts';

const GIVEN_OPTIONS: readonly { value: Given; label: string }[] = [
  { value: 'printed', label: t('handOverStep.onPaper') },
  { value: 'link', label: t('handOverStep.byLink') },
  { value: 'notWanted', label: t('handOverStep.notWanted') },
];

/** What goes along with the car: the customer's sheet, the next checks, the files. */
export function HandOverStep() {
  const { ribsRead, goTo } = useVisit();
  if (ribsRead < 3) {
    return (
      <Box sx={{ maxWidth: 520 }}>
        <Typography variant="h1" component="h2" gutterBottom>
          {t('handOverStep.nothingToHandOver')}
        </Typography>
        <Typography sx={{ mb: 2 }}>{t('handOverStep.theSheetIsMade')}</Typography>
        <Button variant="contained" onClick={() => goTo('read')}>
          {t('handOverStep.readTheTread')}
        </Button>
      </Box>
    );
  }
  return (
    <Box sx={{ display: 'grid', gap: 3.5, maxWidth: 820 }}>
      <ForTheCustomer />
      <NextChecks />
      <StoredHere />
      <VisitFiles />
      <Leaving />
    </Box>
  );
}

/** The sheet as the customer will read it, in their language and units, and how it gets to them. */
function ForTheCustomer() {
  const { detail, draft, enter, preferences, diagnosing } = useVisit();
  const { paper, language, units } = usePaper();
  const { visit } = detail;
  const given = draft.visit?.handOver?.given ?? null;
  return (
    <Box component="section" aria-labelledby="sheet-title" sx={{ display: 'grid', gap: 2 }}>
      <Typography variant="h1" component="h2" id="sheet-title">
        {t('handOverStep.theCustomersSheet')}
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 3, rowGap: 1.5 }}>
        <Choice
          label={t('handOverStep.language')}
          options={LANGUAGE_OPTIONS}
          value={language}
          onChange={(next) => next && enter('visit.handOver.language', next)}
        />
        <UnitChoices units={units} onChange={(next) => enter('visit.handOver.units', next)} />
      </Box>
      <Box
        sx={{
          bgcolor: 'var(--sheet)',
          border: '1px solid var(--line)',
          p: { xs: 1.75, sm: 3 },
          minHeight: 200,
        }}
      >
        {paper ? (
          <PaperView paper={paper} level={3} />
        ) : diagnosing.failure ? (
          <Notice kind="caution">
            {t('handOverStep.theAnswerCouldNot', { failure: diagnosing.failure })}
          </Notice>
        ) : (
          <Typography role="status">{t('handOverStep.workingOutTheAnswer')}</Typography>
        )}
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'flex-end' }}>
        <Button
          variant="contained"
          href={`/api/visits/${visit.id}/sheet?paper=${preferences.paper}`}
          target="_blank"
          rel="noreferrer"
        >
          {t('handOverStep.printPdf')}
        </Button>
        <Box sx={{ flex: 1 }} />
        <Choice
          label={t('handOverStep.theCustomerHasIt')}
          options={GIVEN_OPTIONS}
          value={given}
          onChange={(next) => enter('visit.handOver.given', next)}
        />
      </Box>
      <SheetLinks />
    </Box>
  );
}

/** The car goes; the visit closes, and can be opened again. */
function Leaving() {
  const { detail } = useVisit();
  const [setClosed, { isLoading, isError }] = useSetClosedMutation();
  const { visit } = detail;
  const isClosed = visit.closedAt !== null;
  return (
    <Box sx={{ borderTop: '1px solid var(--line)', pt: 2, display: 'grid', gap: 1.5 }}>
      {isError && <Notice kind="caution">{t('handOverStep.notSavedTryAgain')}</Notice>}
      <Box>
        <Button
          variant={isClosed ? 'outlined' : 'contained'}
          disabled={isLoading}
          onClick={() => void setClosed({ visitId: visit.id, closed: !isClosed })}
        >
          {isClosed ? t('handOverStep.openTheVisitAgain') : t('handOverStep.carHasLeftClose')}
        </Button>
      </Box>
    </Box>
  );
}
