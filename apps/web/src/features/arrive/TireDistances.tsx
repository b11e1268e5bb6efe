import type { TirePair, Wheel } from '@keen/contract';
import { distanceFromKm, distanceRun, distanceToKm, WHEEL_ORDER, WHEELS_OF_AXLE } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import { useState } from 'react';
import { Choice } from '../../shared/Choice.tsx';
import { showDistance } from '../../shared/format.ts';
import { NumberField } from '../../shared/NumberField.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { WHEEL_LABELS } from '../../shared/wheelLabels.ts';
import { ManyChoice } from '../../shared/ManyChoice.tsx';
import { DistanceField, NewDepthField } from './TireNumbers.tsx';
import { t } from '../../words/arrive.ts';

/** How finely the distances are known: one for the car, one an axle, one a tire. */
export type Grain = 'car' | 'axle' | 'tire';

const GRAIN_OPTIONS: readonly { value: Grain; label: string }[] = [
  { value: 'car', label: t('tireDistances.theSameOnAll') },
  { value: 'axle', label: t('tireDistances.byAxle') },
  { value: 'tire', label: t('tireDistances.eachTire') },
];
const DIFFER_OPTIONS: readonly { value: TirePair; label: string }[] = [
  { value: 'axles', label: t('tireDistances.frontsFromRears') },
  { value: 'front', label: t('tireDistances.theTwoFronts') },
  { value: 'rear', label: t('tireDistances.theTwoRears') },
];
const FIELDS: Record<Grain, readonly { label: string; wheels: readonly Wheel[] }[]> = {
  car: [{ label: t('tireDistances.distanceOnTheseTires'), wheels: WHEEL_ORDER }],
  axle: [
    { label: t('tireDistances.distanceOnTheFronts'), wheels: WHEELS_OF_AXLE.front },
    { label: t('tireDistances.distanceOnTheRears'), wheels: WHEELS_OF_AXLE.rear },
  ],
  tire: WHEEL_ORDER.map((wheel) => ({ label: WHEEL_LABELS[wheel], wheels: [wheel] })),
};

/** The grain chosen, or the one that what was entered needs. */
export function useGrain(): [Grain, (grain: Grain) => void] {
  const { draft } = useVisit();
  const [chosen, setChosen] = useState<Grain | null>(null);
  const unlike = (a: Wheel, b: Wheel) =>
    (['distance', 'newDepth'] as const).some((field) => {
      const [one, other] = [draft.tires?.[a]?.[field], draft.tires?.[b]?.[field]];
      return one !== undefined && other !== undefined && one !== other;
    });
  const needed: Grain =
    unlike('lf', 'rf') || unlike('lr', 'rr')
      ? 'tire'
      : draft.tires?.lf?.distance !== draft.tires?.lr?.distance
        ? 'axle'
        : 'car';
  return [chosen ?? needed, setChosen];
}

/** What each tire has run, typed or from the odometer, and which tires are known to differ. */
export function TireDistances({ grain, onGrain }: { grain: Grain; onGrain: (to: Grain) => void }) {
  const { draft, enter, units } = useVisit();
  const odometer = draft.visit?.odometer;

  function choose(next: Grain): void {
    onGrain(next);
    // One number for several tires: that of the first of them.
    for (const { wheels } of FIELDS[next]) {
      const km = draft.tires?.[wheels[0]!]?.distance;
      for (const wheel of wheels) {
        if (km !== undefined && draft.tires?.[wheel]?.distance !== km) {
          enter(`tires.${wheel}.distance`, km);
        }
      }
    }
  }

  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <Choice
        label={t('tireDistances.howTheDistanceIs')}
        options={GRAIN_OPTIONS}
        value={grain}
        onChange={(next) => choose(next ?? 'car')}
      />
      <Box
        sx={{
          display: 'grid',
          gap: 1.25,
          gridTemplateColumns: { xs: '1fr 1fr', sm: '1fr 1fr 1fr' },
        }}
      >
        <NumberField
          label={t('tireDistances.odometer')}
          unit={units.distance}
          decimals={0}
          max={3_000_000}
          value={odometer === undefined ? null : distanceFromKm(odometer, units.distance)}
          onChange={(value) =>
            enter('visit.odometer', value === null ? null : distanceToKm(value, units.distance))
          }
        />
        {grain !== 'tire' &&
          FIELDS[grain].map((field) => <DistanceField key={field.label} {...field} />)}
      </Box>
      <FromTheOdometer />
      {grain === 'tire' && <EachTire />}
      <ManyChoice
        label={t('tireDistances.differentMakeTreadPattern')}
        options={DIFFER_OPTIONS}
        values={draft.visit?.tiresDiffer ?? []}
        onChange={(pairs) => enter('visit.tiresDiffer', pairs)}
      />
    </Box>
  );
}

/** The car's distances by the odometer then and now, in one press. */
function FromTheOdometer() {
  const { draft, detail, enter, units } = useVisit();
  const odometer = draft.visit?.odometer;
  if (odometer === undefined) return null;
  const earlier = detail.history.filter(({ arrivedAt }) => arrivedAt < detail.visit.arrivedAt);
  const run = distanceRun(odometer, earlier);
  if (!run) return null;
  const { sinceKm, sameTiresKm } = run;
  const show = (km: number) => `${showDistance(km, units.distance)} ${units.distance}`;
  const use = (km: (wheel: Wheel) => number) => {
    for (const wheel of WHEEL_ORDER) enter(`tires.${wheel}.distance`, km(wheel));
  };
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1 }}>
      <Typography color="textSecondary">
        {t('tireDistances.since', {
          sinceKm: show(sinceKm),
          readAt: dayjs(run.readAt).format('D MMM YYYY'),
        })}
      </Typography>
      {sameTiresKm && (
        <Button onClick={() => use((wheel) => sameTiresKm[wheel])}>
          {t('tireDistances.sameTires', { lf: show(sameTiresKm.lf) })}
        </Button>
      )}
      <Button onClick={() => use(() => sinceKm)}>
        {t('tireDistances.newOnesWentOn', { sinceKm: show(sinceKm) })}
      </Button>
    </Box>
  );
}

/** Distance and new depth of each tire by itself. */
function EachTire() {
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 1.25,
        gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' },
        columnGap: 3,
      }}
    >
      {WHEEL_ORDER.map((wheel) => (
        <Box key={wheel} role="group" aria-label={WHEEL_LABELS[wheel]}>
          <Typography variant="h3" component="div" color="textSecondary" sx={{ mb: 0.75 }}>
            {WHEEL_LABELS[wheel]}
          </Typography>
          <Box sx={{ display: 'grid', gap: 1.25, gridTemplateColumns: '1.4fr 1fr' }}>
            <DistanceField label={t('tireDistances.distance')} wheels={[wheel]} />
            <NewDepthField label={t('tireDistances.newDepth')} wheels={[wheel]} />
          </Box>
        </Box>
      ))}
    </Box>
  );
}
