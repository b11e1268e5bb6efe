import type { Session } from '@keen/contract';
import { formatMoney } from '@keen/core';
import { carOfState } from '@keen/core/lab';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { useSessionQuery } from '../../api/keenApi.ts';
import { Choice } from '../../shared/Choice.tsx';
import { Notice } from '../../shared/Notice.tsx';
import { PageTitle } from '../../shared/PageTitle.tsx';
import { TopBar } from '../../shared/TopBar.tsx';
import { LabCar, LabCarStrip } from './LabCar.tsx';
import { LabControls } from './LabControls.tsx';
import { labCosts } from './labCosts.ts';
import { LabFileButtons } from './LabFileButtons.tsx';
import { MOST_KM } from './labSetup.ts';
import type { LabSetup } from './labSetup.ts';
import { headlineOf, workWords } from './labWords.ts';
import { PatchPanel } from './PatchPanel.tsx';
import { TimeBar } from './TimeBar.tsx';
import { useLab } from './useLab.ts';
import { useLabKeys } from './useLabKeys.ts';
import { useLabVisit } from './useLabVisit.ts';
import { useLabWorker } from './useLabWorker.ts';
import { usePlay } from './usePlay.ts';
import { useSetup } from './useSetup.ts';
import { t } from '../../words/wearLab.ts';

const SHORTCUTS = [
  { keys: [t('wearLabPage.space')], what: t('wearLabPage.driveStop') },
  { keys: [',', '.'], what: t('wearLabPage.backAndOnBy') },
  { keys: ['1', '2', '3', '4'], what: t('wearLabPage.wheelLeftFrontRight') },
  { keys: ['C'], what: t('wearLabPage.putRightBesideIt') },
  { keys: [t('wearLabPage.ctrl'), 'Z'], what: t('wearLabPage.undo') },
  { keys: ['T'], what: t('wearLabPage.backToToday') },
];
const WORLD_CHOICES = [
  { value: 'own', label: t('wearLabPage.ourFormula') },
  { value: 'other', label: t('wearLabPage.anotherFormula') },
  { value: 'patch', label: t('wearLabPage.firstPrinciples') },
] as const;

/** Move the angles and watch the tread wear. */
export function WearLabPage() {
  const { data: session } = useSessionQuery();
  return session ? <WearLab session={session} /> : null;
}

function WearLab({ session }: { session: Session }) {
  const { setup, set, begin, undo, redo, faults, hasCar } = useSetup();
  const { visit, failure } = useLabVisit(setup);
  const plan = useMemo(
    () => ({ car: setup.car, newMm: setup.newMm, km: MOST_KM, events: setup.events }),
    [setup.car, setup.newMm, setup.events],
  );
  const [start, setStart] = useState(setup.car);
  const work = useLabWorker(plan, setup.world, visit?.file ?? null, (mean) => {
    if (!visit) return;
    const car = carOfState(mean.posteriorMean, visit.file.vehicle.drive);
    setStart(car);
    // What the link says of the car stands.
    if (!hasCar) begin({ ...setup, car, km: Math.min(MOST_KM, visit.km), newMm: visit.newMm });
  });
  const { asIs, putRight } = useLab(setup, visit ? work.mean : null);
  const play = usePlay(setup.km, (km) => set({ ...setup, km }));
  useLabKeys({ setup, set, undo, redo, onPlay: play.toggle });

  const onSetup = (next: LabSetup) => {
    if (next.from !== setup.from) setStart(next.car);
    set(next);
  };

  const { units } = session.preferences;
  const { prices } = session.shop.settings;
  const costs = useMemo(() => labCosts(asIs, putRight, prices), [asIs, putRight, prices]);
  const perThousand = (minor: number) =>
    t('wearLabPage.ofTiresPer1', { minor: formatMoney(minor, prices.currency) });
  const isWaiting =
    'visit' in setup.from && work.mean === null && failure === null && work.failure === null;
  return (
    <Box
      sx={{ height: { md: '100%' }, minHeight: '100%', display: 'flex', flexDirection: 'column' }}
    >
      <TopBar session={session} shortcuts={SHORTCUTS}>
        <PageTitle>{t('wearLabPage.wearLab')}</PageTitle>
      </TopBar>
      <Box
        component="main"
        sx={{
          flex: 1,
          minHeight: 0,
          display: 'grid',
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: '296px minmax(0, 1fr)' },
          gridTemplateRows: { xs: 'auto 1fr', md: 'minmax(0, 1fr)' },
        }}
      >
        <Box
          component="section"
          aria-label={t('wearLabPage.settings')}
          sx={{
            order: { xs: 2, md: 0 },
            borderRight: { md: '1px solid var(--line)' },
            overflowY: { md: 'auto' },
            px: 2.5,
            py: 2,
          }}
        >
          <LabCarStrip driven={asIs} km={setup.km} units={units} />
          <LabControls
            setup={setup}
            start={start}
            onChange={onSetup}
            visitTitle={visit?.title ?? null}
          />
        </Box>
        <Box
          sx={{
            minWidth: 0,
            overflowY: { md: 'auto' },
            px: { xs: 2, md: 3.5 },
            py: 2,
            display: 'grid',
            gap: 2,
            alignContent: 'start',
          }}
        >
          {faults.length > 0 && (
            <Notice kind="caution">
              {t('wearLabPage.partOfThisLink', { faults: faults.join(', ') })}
            </Notice>
          )}
          {(failure ?? work.failure) !== null && (
            <Notice kind="caution">{failure ?? work.failure}</Notice>
          )}
          <Typography variant="h1" component="h2" aria-live="polite" aria-busy={isWaiting}>
            {isWaiting ? t('wearLabPage.readingTheTreadOf') : headlineOf(asIs, putRight, units)}
          </Typography>
          <TimeBar
            km={setup.km}
            events={setup.events}
            units={units}
            isPlaying={play.isPlaying}
            onPlay={play.toggle}
            onKm={(km) => {
              play.stop();
              set({ ...setup, km });
            }}
            onEvents={(events) => set({ ...setup, events })}
          />
          <Box
            sx={{
              display: 'grid',
              gridTemplateColumns: {
                xs: '1fr',
                sm: setup.compares ? '1fr 1fr' : 'minmax(0, 440px) minmax(0, 1fr)',
              },
              gap: { xs: 2.5, md: 4 },
            }}
          >
            <LabCar
              title={t('wearLabPage.asItIs')}
              driven={asIs}
              km={setup.km}
              band={work.band}
              units={units}
              cost={perThousand(costs.asIs)}
            />
            {setup.compares ? (
              <LabCar
                title={t('wearLabPage.putRight')}
                driven={putRight}
                km={setup.km}
                band={null}
                units={units}
                cost={perThousand(costs.putRight)}
              />
            ) : (
              <PatchPanel setup={setup} />
            )}
          </Box>
          <Box sx={{ color: 'text.secondary', maxWidth: '76ch' }}>
            {work.band && (
              <>
                {t('wearLabPage.greyBand', {
                  cars:
                    visit && setup.world === 'own'
                      ? t('wearLabPage.theCarsThatThis')
                      : t('wearLabPage.fortyOtherCarsOf'),
                })}{' '}
              </>
            )}
            {setup.compares && workWords(costs, prices.currency, units)}
          </Box>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 3, alignItems: 'end' }}>
            <Choice
              label={t('wearLabPage.wornBy')}
              options={WORLD_CHOICES}
              value={setup.world}
              onChange={(world) => world && set({ ...setup, world })}
              dense
            />
            <Choice
              label={t('wearLabPage.besideIt')}
              options={[
                { value: 'right', label: t('wearLabPage.theCarPutRight') },
                { value: 'patch', label: t('wearLabPage.theContactPatch') },
              ]}
              value={setup.compares ? 'right' : 'patch'}
              onChange={(beside) => beside && set({ ...setup, compares: beside === 'right' })}
              dense
            />
          </Box>
          {setup.compares && <PatchPanel setup={setup} isWide />}
          <LabFileButtons setup={setup} asIs={asIs} unit={units.depth} undo={undo} redo={redo} />
          <Typography color="textSecondary" sx={{ fontSize: '0.85rem', maxWidth: '80ch' }}>
            {t('wearLabPage.aMadeUpCar')}
          </Typography>
        </Box>
      </Box>
    </Box>
  );
}
