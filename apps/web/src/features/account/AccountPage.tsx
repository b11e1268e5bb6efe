import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useHotkeys } from 'react-hotkeys-hook';
import { useNavigate } from 'react-router';
import { useSessionQuery } from '../../api/keenApi.ts';
import { Notice } from '../../shared/Notice.tsx';
import { PageTitle } from '../../shared/PageTitle.tsx';
import { TopBar } from '../../shared/TopBar.tsx';
import { OwnSessions } from './OwnSessions.tsx';
import { PasswordChange } from './PasswordChange.tsx';
import { SecondFactor } from './SecondFactor.tsx';
import { t } from '../../words/account.ts';

const SHORTCUTS = [{ keys: ['T'], what: t('accountPage.backToToday') }];

/** One's own account: password, second factor, where one is signed in. */
export function AccountPage() {
  const { data: session } = useSessionQuery();
  const navigate = useNavigate();
  useHotkeys('t', () => void navigate('/'));
  if (!session) return null;
  const { account } = session;
  return (
    <Box sx={{ minHeight: '100%', display: 'flex', flexDirection: 'column' }}>
      <TopBar session={session} shortcuts={SHORTCUTS}>
        <PageTitle>{t('accountPage.yourAccount')}</PageTitle>
      </TopBar>
      <Box
        component="main"
        sx={{
          p: { xs: 2, md: 3.5 },
          display: 'grid',
          columnGap: 7,
          rowGap: 5,
          gridTemplateColumns: { lg: 'minmax(0, 520px) minmax(0, 560px)' },
          alignItems: 'start',
        }}
      >
        {account.mustSetUpSecondFactor && (
          <Box sx={{ gridColumn: '1 / -1' }}>
            <Notice kind="caution">{t('accountPage.yourShopAsksLeads')}</Notice>
          </Box>
        )}
        {account.hasPassword ? (
          <Box sx={{ display: 'grid', gap: 5 }}>
            <SecondFactor account={account} />
            <PasswordChange />
          </Box>
        ) : (
          <Typography color="textSecondary">{t('accountPage.demoStaffSignIn')}</Typography>
        )}
        <OwnSessions />
      </Box>
    </Box>
  );
}
