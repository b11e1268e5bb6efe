import type { Axle, Occasion, TroubleEvent } from '@keen/contract';
import { COMPLAINTS } from '@keen/contract';
import {
  coldPressure,
  InputError,
  parseTireSize,
  pressureFromKpa,
  pressureToKpa,
  WHEEL_ORDER,
  WHEELS_OF_AXLE,
} from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import useMediaQuery from '@mui/material/useMediaQuery';
import { useState } from 'react';
import { COMPLAINT_WORDS } from '../../shared/complaintWords.ts';
import { Choice } from '../../shared/Choice.tsx';
import { NumberField } from '../../shared/NumberField.tsx';
import { Notice } from '../../shared/Notice.tsx';
import { storedWords } from '../../shared/tireWords.ts';
import { SavingField } from '../../shared/SavingField.tsx';
import { useEnter } from '../../shared/useEnter.ts';
import { useVisit } from '../../shared/visitContext.ts';
import { Folded } from '../../shared/Folded.tsx';
import { CarCard } from './CarCard.tsx';
import { CarFacts } from './CarFacts.tsx';
import { History } from './History.tsx';
import { ManyChoice } from '../../shared/ManyChoice.tsx';
import { QuickChecks } from './QuickChecks.tsx';
import { Rotations } from './Rotations.tsx';
import { TireDetails } from './TireDetails.tsx';
import { NewDepthField } from './TireNumbers.tsx';
import { TireDistances, useGrain } from './TireDistances.tsx';
import { useCarriedAlong } from './useCarriedAlong.ts';
import { t } from '../../words/arrive.ts';
import { whereWords } from '../../words/pageTexts.ts';

/** A tire after some kilometres of road (common practice, no source). */
const USUAL_WARM_K = 20;
const OCCASION_OPTIONS: readonly { value: Occasion; label: string }[] = [
  { value: 'speed', label: t('arriveStep.atASpeed') },
  { value: 'braking', label: t('arriveStep.braking') },
  { value: 'bumps', label: t('arriveStep.overBumps') },
  { value: 'corners', label: t('arriveStep.inCorners') },
  { value: 'always', label: t('arriveStep.always') },
];
const EVENT_OPTIONS: readonly { value: TroubleEvent; label: string }[] = [
  { value: 'kerb', label: t('arriveStep.aKerb') },
  { value: 'pothole', label: t('arriveStep.aPothole') },
  { value: 'parts', label: t('arriveStep.newSuspensionParts') },
  { value: 'lift', label: t('arriveStep.liftedOrLowered') },
  { value: 'newTires', label: t('arriveStep.newTires') },
  { value: 'unknown', label: t('arriveStep.nobodyKnows') },
];
const AXLE_WORDS: Record<Axle, string> = {
  front: t('arriveStep.front'),
  rear: t('arriveStep.rear'),
};

/** The car, its tires and what the customer says; nothing is demanded before it is needed. */
export function ArriveStep() {
  const { draft, enter, goTo } = useVisit();
  const [grain, setGrain] = useGrain();
  useEnter(() => goTo('read'));
  const [isNew] = useState(draft.visit?.words === undefined && draft.complaints === undefined);
  const hasKeyboard = useMediaQuery('(hover: hover) and (pointer: fine)', { noSsr: true });
  const complaints = draft.complaints ?? [];
  const stored = draft.visit?.handOver?.stored;

  return (
    <Box sx={{ display: 'grid', gap: 2.75, maxWidth: 720 }}>
      <Typography variant="h1" component="h2">
        {t('arriveStep.whatBringsTheCar')}
      </Typography>
      {stored && (
        <Notice>
          <strong>{t('arriveStep.storedHere')}</strong> {storedWords(stored)}
        </Notice>
      )}
      <SavingField
        label={t('arriveStep.inTheCustomersWords')}
        value={draft.visit?.words ?? ''}
        onChange={(words) => enter('visit.words', words)}
        multiline
        // A car that has just come in, at a keyboard: one types at once.
        autoFocus={isNew && hasKeyboard}
      />
      <Box sx={{ mt: -1.5 }}>
        <ManyChoice
          label={t('arriveStep.complaints')}
          hideLabel
          options={COMPLAINTS.map((value) => ({ value, label: COMPLAINT_WORDS[value] }))}
          values={complaints}
          // Asked, and none: that is an answer too.
          onChange={(values) => enter('complaints', values ?? [])}
        />
      </Box>
      {(complaints.length > 0 || draft.visit?.occasions) && (
        <ManyChoice
          label={t('arriveStep.whenDoesItHappen')}
          options={OCCASION_OPTIONS}
          values={draft.visit?.occasions ?? []}
          onChange={(values) => enter('visit.occasions', values)}
        />
      )}
      <ManyChoice
        label={t('arriveStep.sinceTheLastAlignment')}
        options={EVENT_OPTIONS}
        values={draft.visit?.events ?? []}
        onChange={(values) => enter('visit.events', values)}
      />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 4, rowGap: 2 }}>
        <Choice
          label={t('arriveStep.drive')}
          options={[
            { value: 'fwd', label: t('arriveStep.front') },
            { value: 'rwd', label: t('arriveStep.rear') },
            { value: 'awd', label: t('arriveStep.allWheels') },
          ]}
          value={draft.vehicle?.drive ?? null}
          onChange={(drive) => enter('vehicle.drive', drive)}
        />
        <Choice
          label={t('arriveStep.theCustomer')}
          options={[
            { value: 'counter', label: t('arriveStep.waitsHere') },
            { value: 'phone', label: t('arriveStep.wantsACall') },
            { value: 'later', label: t('arriveStep.comesBack') },
          ]}
          value={draft.visit?.waits ?? null}
          onChange={(waits) => enter('visit.waits', waits)}
        />
        <Choice
          label={t('arriveStep.usedFor')}
          options={[
            { value: 'street', label: t('arriveStep.street') },
            { value: 'towing', label: t('arriveStep.towing') },
            { value: 'track', label: t('arriveStep.track') },
            { value: 'drag', label: t('arriveStep.drag') },
            { value: 'drift', label: t('arriveStep.drift') },
            { value: 'cart', label: t('arriveStep.cart') },
          ]}
          value={draft.vehicle?.use ?? null}
          onChange={(use) => enter('vehicle.use', use)}
        />
      </Box>
      <Box sx={{ display: 'grid', gap: 1.75 }}>
        <Typography variant="h3" component="h3" color="textSecondary">
          {t('arriveStep.tires')}
        </Typography>
        <TireDistances grain={grain} onGrain={setGrain} />
        {(['front', 'rear'] as const).map((axle) => (
          <AxleFields key={axle} axle={axle} hasDepth={grain !== 'tire'} />
        ))}
        <WarmPressure />
      </Box>
      <Box>
        <Folded title={t('arriveStep.sidewallsLineWeekAnd')}>
          <TireDetails />
        </Folded>
        <Folded title={t('arriveStep.rotationsLastAlignment')}>
          <Rotations />
        </Folded>
        <Folded title={t('arriveStep.theCarSuspensionHeight')}>
          <CarFacts />
        </Folded>
        <Folded title={t('arriveStep.plateCustomerTelephoneVin')}>
          <CarCard />
        </Folded>
        <Folded title={t('arriveStep.lightsAndCodes')}>
          <QuickChecks />
        </Folded>
      </Box>
      <Box sx={{ display: 'flex', justifyContent: 'flex-end' }}>
        <Button variant="contained" onClick={() => goTo('read')}>
          {t('arriveStep.readTheTread')}
        </Button>
      </Box>
      <History />
    </Box>
  );
}

/** Pressures read warm are corrected; how much warmer is asked, not guessed. */
function WarmPressure() {
  const { draft, enter, units } = useVisit();
  const { warmBy } = draft.visit ?? {};
  const found = WHEEL_ORDER.flatMap((wheel) => draft.tires?.[wheel]?.pressure?.measured ?? []);
  if (found.length === 0) return null;
  const show = (kpa: number) =>
    `${pressureFromKpa(kpa, units.pressure).toFixed(units.pressure === 'bar' ? 2 : 0)} ${units.pressure}`;
  return (
    <Box sx={{ display: 'flex', gap: 2, alignItems: 'flex-end', flexWrap: 'wrap' }}>
      <Choice
        label={t('arriveStep.pressuresWereRead')}
        dense
        options={[
          { value: 'cold', label: t('arriveStep.cold') },
          { value: 'warm', label: t('arriveStep.warm') },
        ]}
        value={warmBy === undefined ? 'cold' : 'warm'}
        onChange={(value) => enter('visit.warmBy', value === 'warm' ? USUAL_WARM_K : null)}
      />
      {warmBy !== undefined && (
        <>
          <Box sx={{ width: 190 }}>
            <NumberField
              label={t('arriveStep.warmerThanTheAir')}
              unit="°C"
              decimals={0}
              min={1}
              max={60}
              value={warmBy}
              onChange={(value) => enter('visit.warmBy', value)}
            />
          </Box>
          <Typography color="textSecondary" sx={{ flex: '1 1 220px' }}>
            {t('arriveStep.correctedWarmCountsAs', {
              value: show(found[0]!),
              value2: show(coldPressure(found[0]!, warmBy)),
            })}
          </Typography>
        </>
      )}
    </Box>
  );
}

/** What the two tires of an axle share, and the pressure of each. */
function AxleFields({ axle, hasDepth }: { axle: Axle; hasDepth: boolean }) {
  const { draft, enter, enterAll, units } = useVisit();
  const wheels = WHEELS_OF_AXLE[axle];
  const first = draft.tires?.[wheels[0]];
  const both = (field: string, value: unknown) => {
    for (const wheel of wheels) enter(`tires.${wheel}.${field}`, value);
  };
  const along = useCarriedAlong((wheel) => draft.tires?.[wheel]?.size);
  // Most cars wear the same size all round: the rears take it along until something else is entered.
  const size = (value: string | null) => {
    const rears = axle === 'front' ? along(WHEELS_OF_AXLE.rear, value) : [];
    enterAll([...wheels, ...rears].map((wheel) => ({ path: `tires.${wheel}.size`, value })));
  };
  const kpa = (value: number | null) =>
    value === null ? null : pressureToKpa(value, units.pressure);
  const shown = (value: number | undefined) =>
    inUnit(value, (known) => pressureFromKpa(known, units.pressure));
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 1.25,
        gridTemplateColumns: { xs: 'repeat(6, 1fr)', sm: '1.5fr 1fr 1fr 1fr 1fr' },
        // On a phone two rows: size and new depth, then the three pressures.
        '& > *': { gridColumn: { xs: 'span 2', sm: 'auto' } },
        '& > :first-of-type': { gridColumn: { xs: 'span 4', sm: 'auto' } },
      }}
    >
      <SavingField
        label={t('arriveStep.size', { axle: AXLE_WORDS[axle] })}
        placeholder="205/55R16"
        value={first?.size ?? ''}
        check={sizeFault}
        onChange={size}
      />
      {hasDepth && (
        <NewDepthField
          label={t('arriveStep.newDepth')}
          wheels={wheels}
          alongWith={axle === 'front' ? WHEELS_OF_AXLE.rear : []}
        />
      )}
      <NumberField
        label={t('arriveStep.placard')}
        unit={units.pressure}
        decimals={units.pressure === 'bar' ? 2 : 0}
        min={0.1}
        max={pressureFromKpa(1_500, units.pressure)}
        value={shown(first?.pressure?.target)}
        onChange={(value) => both('pressure.target', kpa(value))}
      />
      {wheels.map((wheel) => (
        <NumberField
          key={wheel}
          label={t('arriveStep.found', { side: whereWords(wheel).split(' ')[0]! })}
          unit={units.pressure}
          decimals={units.pressure === 'bar' ? 2 : 0}
          max={pressureFromKpa(1_500, units.pressure)}
          value={shown(draft.tires?.[wheel]?.pressure?.measured)}
          onChange={(value) => enter(`tires.${wheel}.pressure.measured`, kpa(value))}
        />
      ))}
    </Box>
  );
}

function inUnit(value: number | undefined, convert: (value: number) => number): number | null {
  return value === undefined ? null : convert(value);
}

function sizeFault(size: string): string | null {
  try {
    parseTireSize(size);
    return null;
  } catch (error) {
    if (error instanceof InputError) return t('arriveStep.suchAs20555r16');
    throw error;
  }
}
