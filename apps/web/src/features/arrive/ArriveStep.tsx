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
  whereWords,
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
import { useTakenAlong } from './useTakenAlong.ts';

/** A tire after some kilometres of road (common practice, no source). */
const USUAL_WARM_K = 20;
const OCCASION_OPTIONS: readonly { value: Occasion; label: string }[] = [
  { value: 'speed', label: 'At a speed' },
  { value: 'braking', label: 'Braking' },
  { value: 'bumps', label: 'Over bumps' },
  { value: 'corners', label: 'In corners' },
  { value: 'always', label: 'Always' },
];
const EVENT_OPTIONS: readonly { value: TroubleEvent; label: string }[] = [
  { value: 'kerb', label: 'A kerb' },
  { value: 'pothole', label: 'A pothole' },
  { value: 'parts', label: 'New suspension parts' },
  { value: 'lift', label: 'Lifted or lowered' },
  { value: 'newTires', label: 'New tires' },
  { value: 'unknown', label: 'Nobody knows' },
];
const AXLE_WORDS: Record<Axle, string> = { front: 'Front', rear: 'Rear' };

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
        What brings the car in?
      </Typography>
      {stored && (
        <Notice>
          <strong>Stored here:</strong> {storedWords(stored)}
        </Notice>
      )}
      <SavingField
        label="In the customer’s words"
        value={draft.visit?.words ?? ''}
        onChange={(words) => enter('visit.words', words)}
        multiline
        // A car that has just come in, at a keyboard: one types at once.
        autoFocus={isNew && hasKeyboard}
      />
      <Box sx={{ mt: -1.5 }}>
        <ManyChoice
          label="Complaints"
          hideLabel
          options={COMPLAINTS.map((value) => ({ value, label: COMPLAINT_WORDS[value] }))}
          values={complaints}
          // Asked, and none: that is an answer too.
          onChange={(values) => enter('complaints', values ?? [])}
        />
      </Box>
      {(complaints.length > 0 || draft.visit?.occasions) && (
        <ManyChoice
          label="When does it happen?"
          options={OCCASION_OPTIONS}
          values={draft.visit?.occasions ?? []}
          onChange={(values) => enter('visit.occasions', values)}
        />
      )}
      <ManyChoice
        label="Since the last alignment, or what it started after"
        options={EVENT_OPTIONS}
        values={draft.visit?.events ?? []}
        onChange={(values) => enter('visit.events', values)}
      />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 4, rowGap: 2 }}>
        <Choice
          label="Drive"
          options={[
            { value: 'fwd', label: 'Front' },
            { value: 'rwd', label: 'Rear' },
            { value: 'awd', label: 'All wheels' },
          ]}
          value={draft.vehicle?.drive ?? null}
          onChange={(drive) => enter('vehicle.drive', drive)}
        />
        <Choice
          label="The customer"
          options={[
            { value: 'counter', label: 'Waits here' },
            { value: 'phone', label: 'Wants a call' },
            { value: 'later', label: 'Comes back' },
          ]}
          value={draft.visit?.waits ?? null}
          onChange={(waits) => enter('visit.waits', waits)}
        />
        <Choice
          label="Used for"
          options={[
            { value: 'street', label: 'Street' },
            { value: 'towing', label: 'Towing' },
            { value: 'track', label: 'Track' },
            { value: 'drag', label: 'Drag' },
            { value: 'drift', label: 'Drift' },
            { value: 'cart', label: 'Cart' },
          ]}
          value={draft.vehicle?.use ?? null}
          onChange={(use) => enter('vehicle.use', use)}
        />
      </Box>
      <Box sx={{ display: 'grid', gap: 1.75 }}>
        <Typography variant="h3" component="h3" color="textSecondary">
          Tires
        </Typography>
        <TireDistances grain={grain} onGrain={setGrain} />
        {(['front', 'rear'] as const).map((axle) => (
          <AxleFields key={axle} axle={axle} hasDepth={grain !== 'tire'} />
        ))}
        <WarmPressure />
      </Box>
      <Box>
        <Folded title="Sidewalls: line, week and year, valves, placard">
          <TireDetails />
        </Folded>
        <Folded title="Rotations, last alignment">
          <Rotations />
        </Folded>
        <Folded title="The car: suspension, height, load, driver">
          <CarFacts />
        </Folded>
        <Folded title="Plate, customer, telephone, VIN">
          <CarCard />
        </Folded>
        <Folded title="Walk-round: lights, codes, battery, lamps">
          <QuickChecks />
        </Folded>
      </Box>
      <Box sx={{ display: 'flex', justifyContent: 'flex-end' }}>
        <Button variant="contained" onClick={() => goTo('read')}>
          Read the tread ↵
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
        label="Pressures were read"
        dense
        options={[
          { value: 'cold', label: 'Cold' },
          { value: 'warm', label: 'Warm' },
        ]}
        value={warmBy === undefined ? 'cold' : 'warm'}
        onChange={(value) => enter('visit.warmBy', value === 'warm' ? USUAL_WARM_K : null)}
      />
      {warmBy !== undefined && (
        <>
          <Box sx={{ width: 190 }}>
            <NumberField
              label="Warmer than the air by"
              unit="°C"
              decimals={0}
              min={1}
              max={60}
              value={warmBy}
              onChange={(value) => enter('visit.warmBy', value)}
            />
          </Box>
          <Typography color="textSecondary" sx={{ flex: '1 1 220px' }}>
            Corrected: {show(found[0]!)} warm counts as {show(coldPressure(found[0]!, warmBy))}{' '}
            cold. Never let warm air out.
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
  const along = useTakenAlong((wheel) => draft.tires?.[wheel]?.size);
  // Most cars wear the same size all round: the rears take it along until they are told otherwise.
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
        label={`${AXLE_WORDS[axle]} size`}
        placeholder="205/55R16"
        value={first?.size ?? ''}
        check={sizeFault}
        onChange={size}
      />
      {hasDepth && (
        <NewDepthField
          label="New depth"
          wheels={wheels}
          alongWith={axle === 'front' ? WHEELS_OF_AXLE.rear : []}
        />
      )}
      <NumberField
        label="Placard"
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
          label={`Found ${whereWords(wheel).split(' ')[0]}`}
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
    if (error instanceof InputError) return 'Such as 205/55R16 91V';
    throw error;
  }
}
