import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useHotkeys } from 'react-hotkeys-hook';
import { useNavigate } from 'react-router';
import { useSessionQuery } from '../../api/keenApi.ts';
import { mayDo } from '../../shared/mayDo.ts';
import { PageTitle } from '../../shared/PageTitle.tsx';
import { TopBar } from '../../shared/TopBar.tsx';
import { ArchiveForm } from './ArchiveForm.tsx';
import { AuditList } from './AuditList.tsx';
import { ChainForm } from './ChainForm.tsx';
import { LimitsForm } from './LimitsForm.tsx';
import { PapersForm } from './PapersForm.tsx';
import { PriceForm } from './PriceForm.tsx';
import { ProgramsForm } from './ProgramsForm.tsx';
import { SafetyForm } from './SafetyForm.tsx';
import { StaffForm } from './StaffForm.tsx';
import { t } from '../../words/shop.ts';

const SHORTCUTS = [{ keys: ['T'], what: t('shopPage.backToToday') }];

/** What the shop settles for everybody: prices, papers, limits, people; and everything as files. */
export function ShopPage() {
  const { data: session } = useSessionQuery();
  const navigate = useNavigate();
  useHotkeys('t', () => void navigate('/'));
  if (!session) return null;
  return (
    <Box sx={{ minHeight: '100%', display: 'flex', flexDirection: 'column' }}>
      <TopBar session={session} shortcuts={SHORTCUTS}>
        <PageTitle>{session.shop.name}</PageTitle>
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
        {mayDo(session, 'changeShop') ? (
          <Box sx={{ display: 'grid', gap: 5 }}>
            <PriceForm settings={session.shop.settings} />
            <SafetyForm settings={session.shop.settings} />
            {mayDo(session, 'useArchive') && <ArchiveForm />}
            <ChainForm session={session} />
            {mayDo(session, 'manageKeys') && <ProgramsForm session={session} />}
          </Box>
        ) : (
          <Typography color="textSecondary">{t('shopPage.pricesLimitsPapersAnd')}</Typography>
        )}
        <Box sx={{ display: 'grid', gap: 5 }}>
          {mayDo(session, 'changeShop') && (
            <>
              <PapersForm session={session} />
              <LimitsForm settings={session.shop.settings} unit={session.preferences.units.depth} />
            </>
          )}
          <StaffForm session={session} />
          {mayDo(session, 'readAudit') && <AuditList session={session} />}
        </Box>
      </Box>
    </Box>
  );
}
