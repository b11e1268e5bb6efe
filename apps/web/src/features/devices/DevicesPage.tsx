import Box from '@mui/material/Box';
import { useHotkeys } from 'react-hotkeys-hook';
import { useNavigate } from 'react-router';
import { useSessionQuery } from '../../api/keenApi.ts';
import { PageTitle } from '../../shared/PageTitle.tsx';
import { TopBar } from '../../shared/TopBar.tsx';
import { GaugePanel } from './GaugePanel.tsx';
import { ReaderPanel } from './ReaderPanel.tsx';
import { RigPanel } from './RigPanel.tsx';
import { t } from '../../words/devicesPage.ts';

const SHORTCUTS = [{ keys: ['T'], what: t('devicesPage.backToToday') }];
/** The simulated devices that ship with the product: what they stand for, and their faults. */
export function DevicesPage() {
  const { data: session } = useSessionQuery();
  const navigate = useNavigate();
  useHotkeys('t', () => void navigate('/'));
  if (!session) return null;
  return (
    <Box sx={{ minHeight: '100%', display: 'flex', flexDirection: 'column' }}>
      <TopBar session={session} shortcuts={SHORTCUTS}>
        <PageTitle>{t('devicesPage.simulatedDevices')}</PageTitle>
      </TopBar>
      <Box component="main" sx={{ p: { xs: 2, md: 3.5 }, maxWidth: 860, display: 'grid', gap: 5 }}>
        <GaugePanel />
        <ReaderPanel />
        <RigPanel />
      </Box>
    </Box>
  );
}
