import type { Session } from '@keen/contract';
import { axleOf, formatMoney, sideOf, WHEEL_ORDER, whereWords } from '@keen/core';
import {
  carOfState,
  contactPatch,
  labState,
  neededPressure,
  patchWords,
  standingCamber,
  thrustDeg,
} from '@keen/core/lab';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useMemo, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { useSessionQuery } from '../../api/keenApi.ts';
import { ContactPatchView } from '../../drawing/ContactPatchView.tsx';
import { Choice } from '../../shared/Choice.tsx';
import { capital, showFar } from '../../shared/format.ts';
import { Notice } from '../../shared/Notice.tsx';
import { PageTitle } from '../../shared/PageTitle.tsx';
import { saveFile } from '../../shared/saveFile.ts';
import { TopBar } from '../../shared/TopBar.tsx';
import { WHEEL_LABELS } from '../../shared/wheelLabels.ts';
import { LabCar, LabCarStrip } from './LabCar.tsx';
import { LabControls } from './LabControls.tsx';
import { labCosts } from './labCosts.ts';
import { labCaseText, labPicture, labTable } from './labFiles.ts';
import { MOST_KM } from './labSetup.ts';
import type { LabSetup } from './labSetup.ts';
import { labSections } from './labTires.ts';
import { inkOf, savePicture } from './savePicture.ts';
import { TimeBar } from './TimeBar.tsx';
import { FURTHEST_KM, useLab } from './useLab.ts';
import type { Driven } from './useLab.ts';
import { useLabVisit } from './useLabVisit.ts';
import { useLabWorker } from './useLabWorker.ts';
import { usePlay } from './usePlay.ts';
import { useSetup } from './useSetup.ts';

const SHORTCUTS = [
  { keys: ['Space'], what: 'drive, stop' },
  { keys: [',', '.'], what: 'back and on by 1000 km' },
  { keys: ['1', '2', '3', '4'], what: 'wheel: left front, right front, left rear, right rear' },
  { keys: ['C'], what: 'put right beside it, or alone' },
  { keys: ['Ctrl', 'Z'], what: 'undo' },
  { keys: ['T'], what: 'back to today' },
];
const WORLD_CHOICES = [
  { value: 'own', label: 'Our formula' },
  { value: 'other', label: 'Another formula' },
  { value: 'patch', label: 'First principles' },
] as const;
const STEP_KM = 1000;
const PATCH_COLUMNS = 12;
const INKS = ['rubber', 'ink', 'soft', 'line', 'marker', 'paper'] as const;

/** Move the angles and watch the tread wear. */
export function WearLabPage() {
  const { data: session } = useSessionQuery();
  return session ? <WearLab session={session} /> : null;
}

function WearLab({ session }: { session: Session }) {
  const { setup, set, undo, redo, faults, hasCar } = useSetup();
  const { visit, failure } = useLabVisit(setup);
  const plan = useMemo(
    () => ({ car: setup.car, newMm: setup.newMm, km: MOST_KM, events: setup.events }),
    [setup.car, setup.newMm, setup.events],
  );
  const work = useLabWorker(plan, setup.world, visit?.file ?? null);
  const { asIs, putRight } = useLab(setup, visit ? work.mean : null);
  const [start, setStart] = useState(setup.car);
  const play = usePlay(setup.km, (km) => set({ ...setup, km }));
  useLabKeys({ setup, set, undo, redo, onPlay: play.toggle });

  // A visit's car comes when its tread has been read; what the link says of the car stands.
  const [taken, setTaken] = useState(false);
  if (visit && work.mean && !taken) {
    setTaken(true);
    const car = carOfState(work.mean.typical, visit.file.vehicle.drive);
    setStart(car);
    if (!hasCar) {
      set({ ...setup, car, km: Math.min(MOST_KM, visit.km), newMm: visit.newMm });
    }
  }
  const onSetup = (next: LabSetup) => {
    if (next.from !== setup.from) setStart(next.car);
    set(next);
  };

  const { units } = session.preferences;
  const { prices } = session.shop.settings;
  const costs = useMemo(() => labCosts(asIs, putRight, prices), [asIs, putRight, prices]);
  const perThousand = (minor: number) =>
    `${formatMoney(minor, prices.currency)} of tires per 1 000 km`;
  const isWaiting = setup.from !== null && 'visit' in setup.from && !taken && failure === null;
  return (
    <Box
      sx={{ height: { md: '100%' }, minHeight: '100%', display: 'flex', flexDirection: 'column' }}
    >
      <TopBar session={session} shortcuts={SHORTCUTS}>
        <PageTitle>Wear lab</PageTitle>
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
          aria-label="Settings"
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
              {`Part of this link could not be read and stands as usual: ${faults.join(', ')}.`}
            </Notice>
          )}
          {(failure ?? work.failure) !== null && (
            <Notice kind="caution">{failure ?? work.failure}</Notice>
          )}
          <Typography variant="h1" component="h2" aria-live="polite" aria-busy={isWaiting}>
            {isWaiting ? 'Reading the tread of this visit…' : headlineOf(asIs, putRight, units)}
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
              title="As it is"
              driven={asIs}
              km={setup.km}
              band={work.band}
              units={units}
              cost={perThousand(costs.asIs)}
            />
            {setup.compares ? (
              <LabCar
                title="Put right"
                driven={putRight}
                km={setup.km}
                band={null}
                units={units}
                cost={perThousand(costs.putRight)}
              />
            ) : (
              <Patch setup={setup} />
            )}
          </Box>
          <Box sx={{ color: 'text.secondary', maxWidth: '76ch' }}>
            {work.band && (
              <>
                Grey band: most of{' '}
                {visit && setup.world === 'own'
                  ? 'the cars that this tread allows'
                  : 'forty other cars, of other makes and drivers, that stand like this one'}
                .{' '}
              </>
            )}
            {setup.compares && workWords(costs, prices.currency, units)}
          </Box>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 3, alignItems: 'end' }}>
            <Choice
              label="Worn by"
              options={WORLD_CHOICES}
              value={setup.world}
              onChange={(world) => world && set({ ...setup, world })}
              dense
            />
            <Choice
              label="Beside it"
              options={[
                { value: 'right', label: 'The car put right' },
                { value: 'patch', label: 'The contact patch' },
              ]}
              value={setup.compares ? 'right' : 'patch'}
              onChange={(beside) => beside && set({ ...setup, compares: beside === 'right' })}
              dense
            />
          </Box>
          {setup.compares && <Patch setup={setup} isWide />}
          <Files setup={setup} asIs={asIs} unit={units.depth} undo={undo} redo={redo} />
          <Typography color="textSecondary" sx={{ fontSize: '0.85rem', maxWidth: '80ch' }}>
            A made-up car and a formula, to learn from. What a lowered body or a load does differs
            from car to car; the vehicle maker’s data, local law and a licensed technician decide.
          </Typography>
        </Box>
      </Box>
    </Box>
  );
}

interface KeysOptions {
  setup: LabSetup;
  set: (setup: LabSetup) => void;
  undo: (() => void) | null;
  redo: (() => void) | null;
  onPlay: () => void;
}

function useLabKeys({ setup, set, undo, redo, onPlay }: KeysOptions): void {
  const by = (km: number) => set({ ...setup, km: Math.min(MOST_KM, Math.max(0, setup.km + km)) });
  useHotkeys('space', onPlay, {
    preventDefault: true,
    // A button or a slider that has the focus keeps its own keys.
    ignoreEventWhen: ({ target }) =>
      target instanceof HTMLElement && target.closest('button, input, [role=combobox]') !== null,
  });
  useHotkeys('comma', () => by(-STEP_KM));
  useHotkeys('period', () => by(STEP_KM));
  useHotkeys(['1', '2', '3', '4'], ({ key }) => {
    const wheel = WHEEL_ORDER[Number(key) - 1];
    if (wheel) set({ ...setup, wheel });
  });
  useHotkeys('c', () => set({ ...setup, compares: !setup.compares }));
  useHotkeys('mod+z', () => undo?.(), { preventDefault: true });
  useHotkeys(['mod+y', 'mod+shift+z'], () => redo?.(), { preventDefault: true });
}

type Units = Session['preferences']['units'];

/** Where the tires end, in a sentence. */
function headlineOf({ end }: Driven, putRight: Driven, { distance }: Units): string {
  const far = (km: number) => `${showFar(km, distance)} ${distance}`;
  if (!end) return `No rib is at the legal limit before ${far(FURTHEST_KM)}.`;
  const first = `${capital(whereWords(end.wheel))}, ${end.rib}: at the legal limit after ${far(end.km)}`;
  const after = putRight.end?.km ?? FURTHEST_KM;
  return after > end.km + STEP_KM ? `${first}; put right, ${far(after)}.` : `${first}.`;
}

function workWords(
  { work, paidAfterKm }: ReturnType<typeof labCosts>,
  currency: string,
  { distance }: Units,
): string {
  if (work === 0) return '';
  const price = formatMoney(work, currency, 'en', true);
  return paidAfterKm === null || paidAfterKm > FURTHEST_KM
    ? `Putting it right costs ${price} and does not pay for itself in tires.`
    : `Putting it right costs ${price} once and has paid for itself in tires after ${showFar(paidAfterKm, distance)} ${distance}.`;
}

/** The contact patch of the wheel at hand, and why it wears as it does. */
function Patch({ setup, isWide = false }: { setup: LabSetup; isWide?: boolean }) {
  const { car, wheel } = setup;
  const patch = useMemo(
    () => contactPatch(labState(car), WHEEL_ORDER.indexOf(wheel), car.drive, PATCH_COLUMNS),
    [car, wheel],
  );
  const axle = axleOf(wheel);
  const words = patchWords(
    patch,
    standingCamber(car, wheel),
    car.pressure[wheel] / neededPressure(car.load[axle]),
  );
  const thrust = axle === 'rear' ? thrustDeg(car) : 0;
  return (
    <Box
      component="section"
      aria-label="Contact patch"
      sx={{
        display: 'grid',
        gridTemplateColumns: isWide ? { xs: '1fr', sm: '300px minmax(0, 1fr)' } : '1fr',
        gap: { xs: 1.5, sm: 3 },
        alignItems: 'start',
        alignContent: 'start',
        borderTop: isWide ? '1px solid var(--line)' : 'none',
        pt: isWide ? 1.5 : 0,
      }}
    >
      <ContactPatchView
        patch={patch}
        isLeft={sideOf(wheel) === 'left'}
        label={`Contact patch of the ${whereWords(wheel)} from above. ${words}`}
      />
      <Box>
        <Typography variant="h2" component="h3" gutterBottom>
          Where the {WHEEL_LABELS[wheel].toLowerCase()} tire meets the road
        </Typography>
        <Typography sx={{ maxWidth: '58ch' }}>{words}</Typography>
        {Math.abs(thrust) >= 0.05 && (
          <Typography sx={{ maxWidth: '58ch', mt: 1 }}>
            The rear wheels point {Math.abs(thrust).toFixed(2)}° to the{' '}
            {thrust > 0 ? 'right' : 'left'} together: the car rolls aslant and the steering wheel
            stands off, but the tires share the toe between them.
          </Typography>
        )}
        <Typography color="textSecondary" sx={{ mt: 1, fontSize: '0.88rem' }}>
          Dark: pressure. Strokes: how far the tread is bent and which way, orange where it slides.
          Bars: how fast each part wears, by our formula.
        </Typography>
      </Box>
    </Box>
  );
}

interface FilesProps {
  setup: LabSetup;
  asIs: Driven;
  unit: Units['depth'];
  undo: (() => void) | null;
  redo: (() => void) | null;
}

/** Takes the car along: as a link, a case, a table, a picture. */
function Files({ setup, asIs, unit, undo, redo }: FilesProps) {
  const [copied, setCopied] = useState<'yes' | 'no' | null>(null);
  useEffect(() => {
    if (copied === null) return;
    const timer = setTimeout(() => setCopied(null), 4000);
    return () => clearTimeout(timer);
  }, [copied]);
  const picture = () => {
    const ink = Object.fromEntries(INKS.map((token) => [token, inkOf(token)])) as Record<
      (typeof INKS)[number],
      string
    >;
    void savePicture('wear-lab.png', labPicture(labSections(asIs, setup.km, null), unit, ink));
  };
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
      <Button disabled={!undo} onClick={() => undo?.()}>
        Undo
      </Button>
      <Button disabled={!redo} onClick={() => redo?.()}>
        Redo
      </Button>
      <Button
        onClick={() => {
          // The clipboard is missing on a line without https.
          const write =
            navigator.clipboard?.writeText(location.href) ?? Promise.reject(new Error());
          write.then(
            () => setCopied('yes'),
            () => setCopied('no'),
          );
        }}
      >
        Copy the link
      </Button>
      <Button
        onClick={() =>
          saveFile('wear-lab.keen.json', labCaseText(asIs, setup.km), 'application/json')
        }
      >
        Save as case file
      </Button>
      <Button onClick={() => saveFile('wear-lab.csv', labTable(asIs), 'text/csv')}>
        Save as CSV
      </Button>
      <Button onClick={picture}>Save as picture</Button>
      <Box role="status" sx={{ color: 'text.secondary' }}>
        {copied === 'yes' && 'The link is copied.'}
        {copied === 'no' && 'Copy it from the address bar: the browser gives no clipboard here.'}
      </Box>
    </Box>
  );
}
