import { casterWithHeight, FRONT_LAYOUTS } from '@keen/core';
import type { FrontLayout } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Choice } from '../../shared/Choice.tsx';
import { Folded } from '../../shared/Folded.tsx';
import { showDegrees } from '../../shared/format.ts';
import { Notice } from '../../shared/Notice.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { ToolDialog } from '../../tools/ToolDialog.tsx';
import { resultOf, textsOf } from '../../tools/toolInput.ts';
import type { Worked } from '../../tools/toolInput.ts';
import { TOOLS } from '../../tools/tools.ts';
import { t } from '../../words/setRight.ts';
import { measureTexts } from '../../words/core/measure.ts';

const TOOL = TOOLS.find(({ name }) => name === 'rideHeight')!;
const USUAL_CHANGE_MM = -30;

/** What changed heights bring (common practice, no source). */
const LIFTED = t('changedHeight.liftedRodsThatSlope');
const LOWERED = t('changedHeight.loweredCamberGoesNegative');

/** What a changed body height does to camber and toe, from a typical layout or the car's own joints. */
export function ChangedHeight() {
  const { draft } = useVisit();
  const [layout, setLayout] = useState<(typeof FRONT_LAYOUTS)[number] | null>(null);
  const change = draft.vehicle?.rideHeightChange?.front ?? 0;
  return (
    <Folded title={t('changedHeight.changedHeightWhatIt')}>
      <Box sx={{ display: 'grid', gap: 1.25, pb: 1 }}>
        <Typography color="textSecondary">
          {change === 0
            ? t('changedHeight.noChangeOfHeight')
            : t(change > 0 ? 'changedHeight.movedUp' : 'changedHeight.movedDown', {
                mm: Math.abs(change),
              })}
        </Typography>
        {change > 0 && <Notice kind="caution">{LIFTED}</Notice>}
        {change < 0 && <Notice kind="caution">{LOWERED}</Notice>}
        <Choice
          label={t('changedHeight.frontSuspension')}
          options={FRONT_LAYOUTS.map(({ id }) => ({
            value: id,
            label: measureTexts.frontLayouts[id],
          }))}
          value={null}
          onChange={(id) => setLayout(FRONT_LAYOUTS.find((one) => one.id === id) ?? null)}
        />
      </Box>
      {layout && (
        <ToolDialog
          tool={TOOL}
          start={textsOf(TOOL.fields, {
            change: change === 0 ? USUAL_CHANGE_MM : change,
            points: layout.points,
            steeringArm: layout.steeringArm,
            rack: draft.visit?.car?.rack ?? layout.rack,
          })}
          answer={(worked) => {
            if (!worked.ok) return '';
            const {
              input: { change: moved },
              output: { camberChange, toeChange },
            } = resultOf('rideHeight', worked);
            return t(moved > 0 ? 'changedHeight.raisedBy' : 'changedHeight.loweredBy', {
              mm: Math.abs(moved),
              camber: showDegrees(camberChange, 2),
              toe: t(toeChange > 0 ? 'changedHeight.toeIn' : 'changedHeight.toeOut', {
                degrees: Math.abs(toeChange).toFixed(2),
              }),
            });
          }}
          after={(worked) => <CasterWords layout={layout} worked={worked} />}
          actions={() => (
            <Button variant="contained" onClick={() => setLayout(null)}>
              {t('changedHeight.backToThePlan')}
            </Button>
          )}
          onClose={() => setLayout(null)}
        />
      )}
    </Folded>
  );
}

/** What the height does to the car's caster, the arms' axes taken as level. */
function CasterWords({ layout, worked }: { layout: FrontLayout; worked: Worked }) {
  const { draft } = useVisit();
  const caster = draft.angles?.lf?.caster ?? draft.angles?.rf?.caster;
  if (!worked.ok || caster === undefined) return null;
  const { change } = resultOf('rideHeight', worked).input;
  const { lowerOuter, upperOuter, strutTop } = layout.points;
  const top = strutTop ?? upperOuter;
  if (!top || change <= lowerOuter[1] - top[1]) return null;
  const found = casterWithHeight({
    change,
    caster,
    height: top[1] - lowerOuter[1],
    upper: strutTop ? 'strut' : 'arm',
  });
  return (
    <Typography>
      {t(strutTop ? 'changedHeight.casterFromTo' : 'changedHeight.casterWithLevelArms', {
        from: showDegrees(caster, 2),
        to: showDegrees(found.caster, 2),
      })}
    </Typography>
  );
}
