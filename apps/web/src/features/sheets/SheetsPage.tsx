import type { StoredSheet } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { Link, useNavigate, useParams } from 'react-router';
import { useSessionQuery, useSheetsQuery } from '../../api/keenApi.ts';
import { AllowedOnly } from '../../shared/AllowedOnly.tsx';
import { mayDo } from '../../shared/mayDo.ts';
import { Notice } from '../../shared/Notice.tsx';
import { saveFile } from '../../shared/saveFile.ts';
import { SheetLines } from '../../shared/SheetLines.tsx';
import { PageTitle } from '../../shared/PageTitle.tsx';
import { TopBar } from '../../shared/TopBar.tsx';
import { SheetForm } from './SheetForm.tsx';
import { SheetImport } from './SheetImport.tsx';
import { StockForm } from './StockForm.tsx';
import { sheetsAsCsv } from './sheetFiles.ts';
import { t } from '../../words/sheets.ts';

const BY_TECHNICIAN = t('sheetsPage.sheetsAndStockAre');

const SHORTCUTS = [
  { keys: ['N'], what: t('sheetsPage.aNewSheet') },
  { keys: ['T'], what: t('sheetsPage.backToToday') },
];

/** The shop's specification sheets, and its stock of shims. */
export function SheetsPage() {
  const { data: session } = useSessionQuery();
  const { data, isLoading, isError, refetch } = useSheetsQuery();
  const { sheetId } = useParams();
  const navigate = useNavigate();
  const [showsRetired, setShowsRetired] = useState(false);
  useHotkeys('n', () => session && mayDo(session, 'editSheets') && void navigate('/sheets/new'));
  useHotkeys('t', () => void navigate('/'));
  if (!session) return null;
  const chosen = data?.find(({ id }) => id === sheetId) ?? null;
  const shown = (data ?? []).filter(({ retired }) => showsRetired || !retired);
  const hasRetired = (data ?? []).some(({ retired }) => retired);
  return (
    <Box
      sx={{ height: { md: '100%' }, minHeight: '100%', display: 'flex', flexDirection: 'column' }}
    >
      <TopBar session={session} shortcuts={SHORTCUTS}>
        <PageTitle>{t('sheetsPage.sheetsAndStock')}</PageTitle>
      </TopBar>
      <Box
        component="main"
        sx={{
          flex: 1,
          minHeight: 0,
          display: 'grid',
          gridTemplateColumns: { xs: '1fr', md: '340px minmax(0, 1fr)' },
        }}
      >
        <Box
          sx={{
            borderRight: { md: '1px solid var(--line)' },
            display: { xs: sheetId ? 'none' : 'grid', md: 'grid' },
            alignContent: 'start',
            gap: 2,
            p: 2.5,
            overflowY: { md: 'auto' },
          }}
        >
          <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}>
            {mayDo(session, 'editSheets') && (
              <>
                <Button component={Link} to="/sheets/new" variant="contained">
                  {t('sheetsPage.newSheet')}
                </Button>
                <SheetImport known={data ?? []} />
              </>
            )}
            <Button
              disabled={shown.length === 0}
              onClick={() =>
                saveFile(
                  'specification-sheets.csv',
                  sheetsAsCsv(shown.map(({ sheet }) => sheet)),
                  'text/csv',
                )
              }
            >
              {t('sheetsPage.saveAsCsv')}
            </Button>
          </Box>
          {isLoading && [0, 1, 2].map((i) => <Skeleton key={i} height={52} />)}
          {isError && (
            <Notice kind="caution">
              {t('sheetsPage.cannotBeFetched')}{' '}
              <Button onClick={() => void refetch()}>{t('sheetsPage.tryAgain')}</Button>
            </Notice>
          )}
          {data?.length === 0 && (
            <Typography color="textSecondary">{t('sheetsPage.noSheetYetEnter')}</Typography>
          )}
          <Box component="nav" aria-label={t('sheetsPage.sheets')}>
            {shown.map((kept) => (
              <SheetLink key={kept.id} kept={kept} isCurrent={kept.id === sheetId} />
            ))}
          </Box>
          {hasRetired && (
            <Button variant="text" onClick={() => setShowsRetired(!showsRetired)}>
              {showsRetired ? t('sheetsPage.hideTheRetired') : t('sheetsPage.showTheRetiredToo')}
            </Button>
          )}
          <AllowedOnly session={session} right="editSheets" otherwise={BY_TECHNICIAN}>
            <StockForm settings={session.shop.settings} />
          </AllowedOnly>
        </Box>
        <Box
          // Scrolls, also for somebody to whom none of its controls is open.
          role="region"
          aria-label={t('sheetsPage.theSheet')}
          tabIndex={0}
          sx={{
            display: { xs: sheetId ? 'block' : 'none', md: 'block' },
            overflowY: { md: 'auto' },
            minWidth: 0,
          }}
        >
          {(sheetId === 'new' || chosen) && (
            <AllowedOnly session={session} right="editSheets" otherwise={BY_TECHNICIAN}>
              <SheetForm
                key={chosen ? `${chosen.id} ${chosen.revision}` : 'new'}
                kept={chosen}
                chain={session.shop.chain}
              />
            </AllowedOnly>
          )}
          {sheetId && sheetId !== 'new' && data && !chosen && (
            <Box sx={{ p: 3 }}>
              <Typography variant="h1" component="h2">
                {t('sheetsPage.thereIsNoSuch')}
              </Typography>
            </Box>
          )}
          {!sheetId && (
            <Box sx={{ p: 4, maxWidth: 520, display: { xs: 'none', md: 'block' } }}>
              <Typography variant="h1" component="h2" gutterBottom>
                {t('sheetsPage.whatShouldTheAngles')}
              </Typography>
              <Typography color="textSecondary">
                {t('sheetsPage.theVehicleMakersFigures')}
              </Typography>
            </Box>
          )}
        </Box>
      </Box>
    </Box>
  );
}

function SheetLink({ kept, isCurrent }: { kept: StoredSheet; isCurrent: boolean }) {
  return (
    <Box
      component={Link}
      to={`/sheets/${kept.id}`}
      aria-current={isCurrent ? 'page' : undefined}
      sx={{
        display: 'block',
        py: 1,
        pl: 1.25,
        borderTop: '1px solid var(--hairline)',
        borderLeft: '4px solid',
        borderLeftColor: isCurrent ? 'var(--marker)' : 'transparent',
        color: 'var(--ink)',
        textDecoration: 'none',
        opacity: kept.retired ? 0.7 : 1,
      }}
    >
      <Box sx={{ fontWeight: 650 }}>
        {kept.sheet.name}
        {kept.retired && ' (retired)'}
      </Box>
      <SheetLines sheet={kept.sheet} />
    </Box>
  );
}
