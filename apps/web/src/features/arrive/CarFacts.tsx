import { term } from '../../words/terms.ts';
import type { Known, Suspension } from '@keen/contract';
import { depthFromMm, depthToMm, MM_PER_IN } from '@keen/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Choice } from '../../shared/Choice.tsx';
import { DEPTH_UNIT_WORDS, capital } from '../../shared/format.ts';
import { NumberField } from '../../shared/NumberField.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { OtherWheels } from './OtherWheels.tsx';
import { t } from '../../words/arrive.ts';

const SUSPENSION_OPTIONS: readonly { value: Suspension; label: string }[] = [
  { value: 'strut', label: t('carFacts.strut') },
  { value: 'twoArms', label: t('carFacts.twoArms') },
  { value: 'multiLink', label: t('carFacts.severalLinks') },
  { value: 'beam', label: t('carFacts.beam') },
  { value: 'solidAxle', label: t('carFacts.solidAxle') },
];
const KNOWN_OPTIONS: readonly { value: Known; label: string }[] = [
  { value: 'yes', label: t('carFacts.yes') },
  { value: 'no', label: t('carFacts.no') },
  { value: 'unknown', label: t('carFacts.unknown') },
];
const AXLES = [
  { axle: 'front', kinds: ['camber', 'caster', 'toe'] },
  { axle: 'rear', kinds: ['camber', 'toe'] },
] as const;

/** How the car is built, loaded and driven: what measuring and setting will ask for. */
export function CarFacts() {
  const { draft, enter, units } = useVisit();
  const { car = {} } = draft.visit ?? {};
  const { rideHeightChange } = draft.vehicle ?? {};
  // Who reads tread in 32nds measures a body in inches.
  const height =
    units.depth === 'in32'
      ? ({ unit: 'in', mm: MM_PER_IN, decimals: 2 } as const)
      : ({ unit: 'mm', mm: 1, decimals: 0 } as const);
  const inHeight = (mm: number | undefined) => (mm === undefined ? null : mm / height.mm);
  return (
    <Box sx={{ display: 'grid', gap: 2.25, pb: 1 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 4, rowGap: 2 }}>
        <Choice
          label={t('carFacts.driven')}
          options={[
            { value: 'gentle', label: t('carFacts.gently') },
            { value: 'usual', label: t('carFacts.asUsual') },
            { value: 'hard', label: t('carFacts.hard') },
          ]}
          value={car.driver ?? null}
          onChange={(value) => enter('visit.car.driver', value)}
        />
        <Choice
          label={t('carFacts.usualHeavyLoad')}
          options={[
            { value: 'none', label: t('carFacts.none') },
            { value: 'cabin', label: t('carFacts.cabin') },
            { value: 'trunk', label: t('carFacts.trunk') },
            { value: 'both', label: t('carFacts.both') },
          ]}
          value={car.load ?? null}
          onChange={(value) => enter('visit.car.load', value)}
        />
        <Choice
          label={t('carFacts.steeringRack')}
          options={[
            { value: 'ahead', label: t('carFacts.aheadOfTheAxle') },
            { value: 'behind', label: t('carFacts.behindIt') },
          ]}
          value={car.rack ?? null}
          onChange={(value) => enter('visit.car.rack', value)}
        />
      </Box>
      {AXLES.map(({ axle, kinds }) => (
        <Box
          key={axle}
          role="group"
          aria-label={t(axle === 'front' ? 'carFacts.frontSuspension' : 'carFacts.rearSuspension')}
          sx={{ display: 'grid', gap: 1.25, borderTop: '1px solid var(--hairline)', pt: 1.25 }}
        >
          <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 4, rowGap: 1.5 }}>
            <Choice
              label={t(axle === 'front' ? 'carFacts.frontSuspension' : 'carFacts.rearSuspension')}
              dense
              options={SUSPENSION_OPTIONS}
              value={car.suspension?.[axle] ?? null}
              onChange={(value) => enter(`visit.car.suspension.${axle}`, value)}
            />
            <Box sx={{ width: 170, alignSelf: 'end' }}>
              <NumberField
                label={t('carFacts.rideHeightChangeUp')}
                unit={height.unit}
                decimals={height.decimals}
                min={-300 / height.mm}
                max={600 / height.mm}
                value={inHeight(rideHeightChange?.[axle])}
                onChange={(value) =>
                  enter(
                    `vehicle.rideHeightChange.${axle}`,
                    value === null ? null : Number((value * height.mm).toFixed(2)),
                  )
                }
              />
            </Box>
          </Box>
          <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 3, rowGap: 1 }}>
            {kinds.map((kind) => (
              <Choice
                key={kind}
                label={t('carFacts.angleAdjustable', { angle: capital(term(`angle.${kind}`)) })}
                dense
                options={KNOWN_OPTIONS}
                value={car.adjustable?.[axle]?.[kind] ?? null}
                onChange={(value) => enter(`visit.car.adjustable.${axle}.${kind}`, value)}
              />
            ))}
          </Box>
        </Box>
      ))}
      <OtherWheels />
      {draft.vehicle?.drive === 'awd' && (
        <Box>
          <Box sx={{ width: 260 }}>
            <NumberField
              label={t('carFacts.depthsMayDifferBy')}
              unit={DEPTH_UNIT_WORDS[units.depth]}
              min={0.1}
              max={units.depth === 'mm' ? 10 : 12}
              value={car.awdMatch === undefined ? null : depthFromMm(car.awdMatch, units.depth)}
              onChange={(value) =>
                enter('visit.car.awdMatch', value === null ? null : depthToMm(value, units.depth))
              }
            />
          </Box>
          <Typography variant="body2" color="textSecondary" sx={{ mt: 0.5 }}>
            {t('carFacts.allWheelDriveThe')}
          </Typography>
        </Box>
      )}
    </Box>
  );
}
