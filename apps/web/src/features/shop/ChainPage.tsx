import type { Session } from '@keen/contract';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useHotkeys } from 'react-hotkeys-hook';
import { useNavigate } from 'react-router';
import { useChainQuery } from '../../api/chainApi.ts';
import { useSessionQuery } from '../../api/keenApi.ts';
import { Loaded } from '../../shared/Loaded.tsx';
import { PageTitle } from '../../shared/PageTitle.tsx';
import { TopBar } from '../../shared/TopBar.tsx';
import { ChainLeads } from './ChainLeads.tsx';
import { ChainLog } from './ChainLog.tsx';
import { ChainShops } from './ChainShops.tsx';
import { ClosingLines } from './ClosingLines.tsx';
import { LimitsForm } from './LimitsForm.tsx';
import { OpenShop } from './OpenShop.tsx';
import { PriceForm } from './PriceForm.tsx';
import { SafetyForm } from './SafetyForm.tsx';
import { SameOrOwn } from './SameOrOwn.tsx';
import { SettlesFor } from './useSaveSettings.ts';
import { t } from '../../words/chain.ts';

const SHORTCUTS = [{ keys: ['T'], what: t('chainPage.backToToday') }];

/** All shops of the chain: how they do, what holds in all of them, who leads it. */
export function ChainPage() {
  const { data: session } = useSessionQuery();
  const navigate = useNavigate();
  useHotkeys('t', () => void navigate('/'));
  if (!session) return null;
  const { chain } = session.shop;
  return (
    <Box sx={{ minHeight: '100%', display: 'flex', flexDirection: 'column' }}>
      <TopBar session={session} shortcuts={SHORTCUTS}>
        <PageTitle>{chain?.name ?? t('chainForm.severalShops')}</PageTitle>
      </TopBar>
      {chain?.isLead ? (
        <Whole session={session} />
      ) : (
        <Typography component="main" sx={{ p: { xs: 2, md: 3.5 } }}>
          {t('chainPage.forLeadsOnly')}
        </Typography>
      )}
    </Box>
  );
}

function Whole({ session }: { session: Session }) {
  const answer = useChainQuery(undefined, { refetchOnMountOrArgChange: true });
  return (
    <Box component="main" sx={{ p: { xs: 2, md: 3.5 }, display: 'grid', gap: 5 }}>
      <ChainShops />
      <Loaded answer={answer} label={t('chainPage.loading')} height={420}>
        {(chain) => (
          <SettlesFor value="chain">
            <Box
              sx={{
                display: 'grid',
                columnGap: 7,
                rowGap: 5,
                gridTemplateColumns: { lg: 'minmax(0, 700px) minmax(0, 520px)' },
                alignItems: 'start',
              }}
            >
              <Box sx={{ display: 'grid', gap: 5 }}>
                <Box>
                  <Typography variant="h1" component="h2">
                    {t('chainPage.settledForAll')}
                  </Typography>
                  <Typography color="textSecondary" sx={{ mt: 0.5 }}>
                    {t('chainPage.settledForAllWhat')}
                  </Typography>
                </Box>
                <PriceForm settings={chain.settings} />
                <SafetyForm settings={chain.settings} />
                <OpenShop />
                <ChainLeads chain={chain} />
              </Box>
              <Box sx={{ display: 'grid', gap: 5 }}>
                <LimitsForm settings={chain.settings} unit={session.preferences.units.depth} />
                <Box
                  component="section"
                  aria-labelledby="words-title"
                  sx={{ display: 'grid', gap: 2 }}
                >
                  <Typography variant="h1" component="h2" id="words-title">
                    {t('chainPage.words')}
                  </Typography>
                  <ClosingLines settings={chain.settings} />
                </Box>
                <SameOrOwn chain={chain} />
                <ChainLog chain={chain} />
              </Box>
            </Box>
          </SettlesFor>
        )}
      </Loaded>
    </Box>
  );
}
