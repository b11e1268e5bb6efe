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
          How it works
        </Box>
      </TopBar>
      <Box
        component="main"
        sx={{ px: { xs: 2, md: 5 }, py: 3, display: 'grid', gap: 4, maxWidth: 1160, mx: 'auto' }}
      >
        <Box>
          <Button variant="text" onClick={() => void navigate(-1)} sx={{ px: 0, minHeight: 36 }}>
            ← Back
          </Button>
          <Typography variant="h1" component="h2">
            From angles to tread, and back
          </Typography>
          <Typography sx={{ maxWidth: '68ch', mt: 1 }}>
            A formula says what given angles, pressures and driving leave of twelve ribs. Turned
            round, it says which of them your twelve readings point to, and how surely. Every figure
            on this page is taken from the code that gives the answers.
          </Typography>
        </Box>
        <Section title="Forward: what wears a rib">
          <Formula />
        </Section>
        <Section
          title={`What that leaves on a front axle after 20 000 km, depths in ${unit === 'mm' ? 'mm' : '32nds'}`}
        >
          <Box
            sx={{
              display: 'grid',
              gridTemplateColumns: 'repeat(auto-fill, minmax(240px, 1fr))',
              columnGap: 4,
              rowGap: 3,
            }}
          >
            {EXAMPLES.map(({ title, tires }) => (
              <Box component="figure" key={title} sx={{ m: 0 }}>
                <Box component="figcaption" sx={{ fontWeight: 600, mb: 0.5 }}>
                  {title}
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
        <Section title="Its constants">
          <ConstantTable facts={constantFacts()} />
        </Section>
        <Section title="Back: from tread to causes">
          <Typography sx={{ maxWidth: '68ch' }}>
            Some forty unknowns at once: four cambers, two toes, four running pressures, rate of
            wear, cornering, play, bounce, how much this car’s tires scatter, a reading that may be
            wrong, and the constants themselves. From the cars that usually come in, thousands of
            cars are drawn that would have left just these readings; a cause’s chance is the part of
            them that have it. Toe against play, camber against handed driving, low pressure against
            cornering: where two explanations fit, both keep their share.
          </Typography>
          <Typography sx={{ maxWidth: '68ch', mt: 1 }}>
            What is told on arrival counts too: a kerb or a lift makes angles likelier out, and
            today’s angles say less of what wore the tread; an alignment before most of the wear
            makes worn joints likelier; tires of different make or age may wear at different rates.
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
              title="The cars that come in (common practice, no source)"
              facts={priorFacts()}
            />
            <FactTable title="How far the formula and the hand are trusted" facts={noiseFacts()} />
          </Box>
        </Section>
        <Section title="From causes to advice">
          <Typography sx={{ maxWidth: '68ch' }}>
            Some courses are left out first: fitting new tires where the tread is plainly uneven,
            setting angles that nobody has measured, parts on a suspicion. The others are priced at
            the shop’s own prices over the life of a set, for each of the cars drawn: the work, and
            the tires used up. The cheapest on average is advised. A check is worth what deciding
            after it saves; one that would change nothing is not asked for.
          </Typography>
        </Section>
        <Section title="Sources">
          <Box component="ul" sx={{ m: 0, pl: 2.5, maxWidth: '76ch', display: 'grid', gap: 0.5 }}>
            <li>
              Wear goes with the work of friction: Archard (1953); Schallamach and Turner (1960).
            </li>
            <li>
              Work goes with slip squared while slip is small: Pacejka, Tire and Vehicle Dynamics.
            </li>
            <li>
              Draws: Metropolis et al. (1953); delayed acceptance, Christen and Fox (2005);
              differences of past draws, ter Braak and Vrugt (2008).
            </li>
            <li>What a check would tell: Lindley (1956), expected information of an experiment.</li>
            <li>
              What it is worth in money: Raiffa and Schlaifer (1961), expected value of sample
              information.
            </li>
          </Box>
        </Section>
        <Notice>
          The formula is not the truth, and is told so: that is what the scatter above is for. The
          vehicle maker’s data, local law and a licensed technician decide.
        </Notice>
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
