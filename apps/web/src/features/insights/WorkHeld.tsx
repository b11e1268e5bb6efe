import type { Comebacks, InsightQuery, Session } from '@keen/contract';
import { distanceFromKm, distanceToKm } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { lazy, Suspense } from 'react';
import { useComebacksQuery } from '../../api/insightsApi.ts';
import { useSaveSettingsMutation } from '../../api/shopApi.ts';
import { showFar } from '../../shared/format.ts';
import { Loaded } from '../../shared/Loaded.tsx';
import { mayDo } from '../../shared/mayDo.ts';
import { Notice } from '../../shared/Notice.tsx';
import { NumberField } from '../../shared/NumberField.tsx';
import { saveFile } from '../../shared/saveFile.ts';
import { SIDE_BY_SIDE } from '../../shared/sideBySide.ts';
import { ComebackList } from './ComebackList.tsx';
import { worksAsCsv } from './comebackWords.ts';
import { WorkTable } from './WorkTable.tsx';
import { t } from '../../words/insights.ts';

const HoldingChart = lazy(async () => ({
  default: (await import('./HoldingChart.tsx')).HoldingChart,
}));

/** The least and the most that a shop may call a comeback, km. */
const [LEAST_KM, MOST_KM] = [500, 100_000];

/** Whether the work done has held, and what came back within the shop's distance. */
export function WorkHeld({ session, query }: { session: Session; query: InsightQuery }) {
  const answer = useComebacksQuery(query);
  return (
    <Loaded answer={answer} label={t('workHeld.loadingHowWorkHeld')} height={240}>
      {(data) => <HeldWork data={data} session={session} />}
    </Loaded>
  );
}

function HeldWork({ data, session }: { data: Comebacks; session: Session }) {
  const { units } = session.preferences;
  const { works, rows, withinKm, isCut } = data;
  // Pressures fall by themselves: they are counted, and not laid at anybody's door.
  const undone = rows.filter(({ work }) => work !== 'inflated');
  // Of what sets angles, the kind that tells most.
  const [drawn] = works
    .filter(({ work }) => work === 'aligned' || work === 'partsThenAligned')
    .toSorted((a, b) => b.seenAgain - a.seenAgain);
  return (
    <Box component="section" aria-labelledby="work-held" sx={{ display: 'grid', gap: 2 }}>
      <Box sx={{ display: 'flex', gap: 2, flexWrap: 'wrap', alignItems: 'end' }}>
        <Box sx={{ flex: '1 1 420px' }}>
          <Typography variant="h2" id="work-held">
            {headline(data, units.distance)}
          </Typography>
          <Typography color="textSecondary" sx={{ maxWidth: 860 }}>
            {works.length === 0 ? t('workHeld.workCountsOnceA') : t('workHeld.carsAreFollowedFrom')}{' '}
            {isCut && t('workHeld.onlyTheLatest2')}
          </Typography>
        </Box>
        {mayDo(session, 'changeShop') && <WithinField withinKm={withinKm} unit={units.distance} />}
      </Box>
      {works.length > 0 && (
        <Box sx={SIDE_BY_SIDE}>
          <Box sx={{ overflowX: 'auto' }}>
            <WorkTable data={data} units={units} />
            <Button
              variant="text"
              onClick={() => saveFile('work-held.csv', worksAsCsv(data), 'text/csv')}
            >
              {t('workHeld.saveAsCsv')}
            </Button>
          </Box>
          {drawn && !drawn.isTooFew && (
            <Box>
              <Typography variant="h3" color="textSecondary">
                {drawn.work === 'aligned'
                  ? t('workHeld.howFarAlignmentsHold')
                  : t('workHeld.howFarAlignmentsWith')}
              </Typography>
              <Suspense fallback={<Box sx={{ height: 260 }} />}>
                <HoldingChart work={drawn} withinKm={withinKm} units={units} />
              </Suspense>
            </Box>
          )}
        </Box>
      )}
      {undone.length > 0 && <ComebackList rows={undone} units={units} />}
    </Box>
  );
}

function WithinField({ withinKm, unit }: { withinKm: number; unit: 'km' | 'mi' }) {
  const [keep, { isError }] = useSaveSettingsMutation();
  return (
    <Box sx={{ width: 220 }}>
      <NumberField
        label={t('workHeld.aComebackIsWithin')}
        unit={unit}
        decimals={0}
        min={Math.ceil(distanceFromKm(LEAST_KM, unit))}
        max={Math.floor(distanceFromKm(MOST_KM, unit))}
        value={distanceFromKm(withinKm, unit)}
        onChange={(value) => value !== null && void keep({ comebackKm: distanceToKm(value, unit) })}
      />
      {isError && <Notice kind="caution">{t('workHeld.notSavedTheDistance')}</Notice>}
    </Box>
  );
}

const TEN = 10;

function headline({ works, withinKm }: Comebacks, unit: 'km' | 'mi'): string {
  const aligned = works.find(({ work }) => work === 'aligned');
  if (!aligned || aligned.isTooFew || !aligned.held) {
    return t('workHeld.doesTheWorkHold');
  }
  // A figure stays on one line.
  const distance = `${showFar(withinKm, unit)} ${unit}`.replaceAll(' ', '\u00a0');
  const tenths = Math.round(TEN * aligned.held.part);
  if (tenths === TEN) return t('workHeld.nearlyAllAlignmentsStill', { distance });
  return t('workHeld.aboutIn10Alignments', { tenths, distance });
}
