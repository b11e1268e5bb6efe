import Box from '@mui/material/Box';
import { useHotkeys } from 'react-hotkeys-hook';
import { useNavigate } from 'react-router';
import { useSessionQuery } from '../../api/keenApi.ts';
import { TopBar } from '../../shared/TopBar.tsx';
import { ArchiveForm } from './ArchiveForm.tsx';
import { LimitsForm } from './LimitsForm.tsx';
import { PapersForm } from './PapersForm.tsx';
import { PriceForm } from './PriceForm.tsx';
import { StaffForm } from './StaffForm.tsx';

const SHORTCUTS = [{ keys: ['T'], what: 'back to today' }];

/** What the shop settles for everybody: prices, papers, limits, people; and everything as files. */
export function ShopPage() {
  const { data: session } = useSessionQuery();
  const navigate = useNavigate();
  useHotkeys('t', () => void navigate('/'));
  if (!session) return null;
  return (
    <Box sx={{ minHeight: '100%', display: 'flex', flexDirection: 'column' }}>
      <TopBar session={session} shortcuts={SHORTCUTS}>
        <Box component="h1" sx={{ m: 0, fontSize: '1.02rem', fontWeight: 650 }}>
          {session.shop.name}
        </Box>
      </TopBar>
      <Box
        component="main"
        sx={{
          p: { xs: 2, md: 3.5 },
          display: 'grid',
          columnGap: 7,
          rowGap: 5,
          gridTemplateColumns: { lg: 'minmax(0, 700px) minmax(0, 520px)' },
          alignItems: 'start',
        }}
      >
        <PriceForm settings={session.shop.settings} />
        <Box sx={{ display: 'grid', gap: 5 }}>
          <PapersForm session={session} />
          <LimitsForm settings={session.shop.settings} unit={session.preferences.units.depth} />
          <StaffForm session={session} />
          <ArchiveForm session={session} />
        </Box>
      </Box>
    </Box>
  );
}
