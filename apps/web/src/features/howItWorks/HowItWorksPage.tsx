import { DEFAULT_LIMITS_MM } from '@keen/core';
import { constantFacts, noiseFacts, priorFacts, wearExamples } from '@keen/core/engine';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useNavigate } from 'react-router';
import { useSessionQuery } from '../../api/keenApi.ts';
import { AxleSectionView } from '../../drawing/AxleSectionView.tsx';
import { Notice } from '../../shared/Notice.tsx';
import { TopBar } from '../../shared/TopBar.tsx';
import { ConstantTable, FactTable } from './FactTables.tsx';
import { Formula } from './Formula.tsx';
import { DEPTH_UNIT_WORDS } from '../../shared/format.ts';
import { t } from '../../words/howItWorks.ts';
import { labTexts } from '../../words/core/lab.ts';

const EXAMPLES = wearExamples();

/** The wear model on one page: the formula, what it draws, its figures, how it is turned back. */
export function HowItWorksPage() {
  const { data: session } = useSessionQuery();
  const navigate = useNavigate();
  if (!session) return null;
  const unit = session.preferences.units.depth;
  return (
    <Box sx={{ minHeight: '100%', display: 'flex', flexDirection: 'column' }}>
      <TopBar session={session} shortcuts={[]}>
        <Box component="span" sx={{ fontWeight: 650, whiteSpace: 'nowrap' }}>
          {t('howItWorksPage.howItWorks')}
        </Box>
      </TopBar>
      <Box
        component="main"
        sx={{ px: { xs: 2, md: 5 }, py: 3, display: 'grid', gap: 4, maxWidth: 1160, mx: 'auto' }}
      >
        <Box>
          <Button variant="text" onClick={() => void navigate(-1)} sx={{ px: 0, minHeight: 36 }}>
            {t('howItWorksPage.back')}
          </Button>
          <Typography variant="h1" component="h2">
            {t('howItWorksPage.fromAnglesToTread')}
          </Typography>
          <Typography sx={{ maxWidth: '68ch', mt: 1 }}>
            {t('howItWorksPage.aFormulaSaysWhat')}
          </Typography>
        </Box>
        <Section title={t('howItWorksPage.forwardWhatWearsA')}>
          <Formula />
        </Section>
        <Section title={t('howItWorksPage.whatThatLeaves', { unit: DEPTH_UNIT_WORDS[unit] })}>
          <Box
            sx={{
              display: 'grid',
              gridTemplateColumns: 'repeat(auto-fill, minmax(240px, 1fr))',
              columnGap: 4,
              rowGap: 3,
            }}
          >
            {EXAMPLES.map(({ name, tires }) => (
              <Box component="figure" key={name} sx={{ m: 0 }}>
                <Box component="figcaption" sx={{ fontWeight: 600, mb: 0.5 }}>
                  {labTexts.examples[name]}
                </Box>
                <AxleSectionView
                  axle="front"
                  tires={tires}
                  legalMm={DEFAULT_LIMITS_MM.legal}
                  unit={unit}
                  compact
                />
              </Box>
            ))}
          </Box>
        </Section>
        <Section title={t('howItWorksPage.itsConstants')}>
          <ConstantTable facts={constantFacts(labTexts.rateUnit)} />
        </Section>
        <Section title={t('howItWorksPage.backFromTreadTo')}>
          <Typography sx={{ maxWidth: '68ch' }}>
            {t('howItWorksPage.someFortyUnknownsAt')}
          </Typography>
          <Typography sx={{ maxWidth: '68ch', mt: 1 }}>
            {t('howItWorksPage.whatIsToldOn')}
          </Typography>
          <Box
            sx={{
              display: 'grid',
              gridTemplateColumns: { xs: '1fr', md: '1fr 1fr' },
              gap: 5,
              mt: 2,
            }}
          >
            <FactTable
              title={t('howItWorksPage.theCarsThatCome')}
              facts={priorFacts()}
              words={labTexts.priors}
            />
            <FactTable
              title={t('howItWorksPage.howFarTheFormula')}
              facts={noiseFacts()}
              words={labTexts.noise}
            />
          </Box>
        </Section>
        <Section title={t('howItWorksPage.fromCausesToAdvice')}>
          <Typography sx={{ maxWidth: '68ch' }}>
            {t('howItWorksPage.someCoursesAreLeft')}
          </Typography>
        </Section>
        <Section title={t('howItWorksPage.sources')}>
          <Box component="ul" sx={{ m: 0, pl: 2.5, maxWidth: '76ch', display: 'grid', gap: 0.5 }}>
            <li>{t('howItWorksPage.wearGoesWithThe')}</li>
            <li>{t('howItWorksPage.workGoesWithSlip')}</li>
            <li>{t('howItWorksPage.drawsMetropolisEtAl')}</li>
            <li>{t('howItWorksPage.whatACheckWould')}</li>
            <li>{t('howItWorksPage.whatItIsWorth')}</li>
          </Box>
        </Section>
        <Notice>{t('howItWorksPage.theFormulaIsNot')}</Notice>
      </Box>
    </Box>
  );
}

function Section({ title, children }: { title: string; children: React.ReactNode }) {
  return (
    <Box component="section" sx={{ borderTop: '2px solid var(--ink)', pt: 1.5 }}>
      <Typography variant="h2" component="h3" sx={{ mb: 1.5 }}>
        {title}
      </Typography>
      {children}
    </Box>
  );
}
