import type { Session } from '@keen/contract';
import Box from '@mui/material/Box';
import { useHotkeys } from 'react-hotkeys-hook';
import { useNavigate } from 'react-router';
import { useSessionQuery } from '../../api/keenApi.ts';
import { PageTitle } from '../../shared/PageTitle.tsx';
import { TopBar } from '../../shared/TopBar.tsx';
import { InstrumentList } from './InstrumentList.tsx';
import { StudyList } from './StudyList.tsx';
import { t } from '../../words/gauges.ts';

const SHORTCUTS = [{ keys: ['T'], what: t('gaugesPage.backToToday') }];

/** What the shop measures with, and whether its people and gauges agree. */
export function GaugesPage() {
  const { data: session } = useSessionQuery();
  if (!session) return null;
  return <LoadedGauges session={session} />;
}

function LoadedGauges({ session }: { session: Session }) {
  const navigate = useNavigate();
  useHotkeys('t', () => void navigate('/'));
  return (
    <Box sx={{ minHeight: '100%', display: 'flex', flexDirection: 'column' }}>
      <TopBar session={session} shortcuts={SHORTCUTS}>
        <PageTitle>{t('gaugesPage.gauges')}</PageTitle>
      </TopBar>
      <Box
        component="main"
        sx={{
          px: { xs: 2, md: 5 },
          py: { xs: 2, md: 3.5 },
          maxWidth: 1240,
          width: '100%',
          mx: 'auto',
          display: 'grid',
          columnGap: 7,
          rowGap: 5,
          alignItems: 'start',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1.25fr) minmax(0, 1fr)' },
        }}
      >
        <InstrumentList session={session} />
        <StudyList session={session} />
      </Box>
    </Box>
  );
}
