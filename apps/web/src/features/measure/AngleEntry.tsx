import type { AngleKind, Axle, Method, VisitDraft, Wheel } from '@keen/contract';
import {
  axleOf,
  measuredToday,
  METHOD_FACTS,
  methodSd,
  RESOLUTIONS,
  WHEEL_ORDER,
} from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { FromReadings } from '../../angles/FromReadings.tsx';
import { ReadingsField } from '../../angles/ReadingsField.tsx';
import { AngleField } from '../../shared/AngleField.tsx';
import { Choice } from '../../shared/Choice.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { WHEEL_LABELS } from '../../shared/wheelLabels.ts';
import { AngleFileButton } from './AngleFileButton.tsx';
import { KIND_WORDS } from './kindWords.ts';
import { RigButton } from './RigButton.tsx';
import { ToeUnit } from './ToeUnit.tsx';
import { InstrumentLine } from './InstrumentLine.tsx';
import { useMethods } from './useMethods.ts';
import { t } from '../../words/measure.ts';
import { measureTexts } from '../../words/core/measure.ts';

const STEPS = RESOLUTIONS.map((step) => ({ value: String(step), label: `${step}°` }));
const TOTALS: readonly { where: Axle; label: string }[] = [
  { where: 'front', label: t('angleEntry.frontTotal') },
  { where: 'rear', label: t('angleEntry.rearTotal') },
];

/** The readings, kind by kind: from a rig or a file, typed as angles, or worked out from readings. */
export function AngleEntry() {
  const { draft, enter } = useVisit();
  const { method } = useMethods();
  const { kinds, axles } = measuredToday(draft);
  const [working, setWorking] = useState<AngleKind | null>(null);
  const resolution = draft.visit?.measure?.resolution ?? {};
  return (
    <Box component="section" aria-labelledby="entry-title" sx={{ display: 'grid', gap: 2 }}>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
        <Typography
          variant="h2"
          component="h3"
          id="entry-title"
          sx={{ mr: 'auto', width: { xs: '100%', sm: 'auto' } }}
        >
          {t('angleEntry.readTheAngles')}
        </Typography>
        <RigButton />
        <AngleFileButton />
      </Box>
      <Typography color="textSecondary" sx={{ mt: -1.5 }}>
        {t('angleEntry.readTwiceOrMore')}
      </Typography>
      {kinds.map((kind) => {
        const facts = METHOD_FACTS[method[kind]];
        const all: readonly Wheel[] = kind === 'caster' ? ['lf', 'rf'] : WHEEL_ORDER;
        const wheels = all.filter((wheel) => axles.includes(axleOf(wheel)));
        if (wheels.length === 0) return null;
        const isTotal = kind === 'toe' && facts.tellsTotalOnly === true;
        return (
          <Box
            key={kind}
            role="group"
            aria-label={KIND_WORDS[kind]}
            sx={{ borderTop: '1px solid var(--hairline)', pt: 1.5, display: 'grid', gap: 1.25 }}
          >
            <Typography variant="h3" component="h4">
              {KIND_WORDS[kind]}{' '}
              <Box component="span" sx={{ color: 'text.secondary', fontWeight: 450 }}>
                {t('angleEntry.byEach', {
                  title: measureTexts.methods[method[kind]].title.toLowerCase(),
                  draft: showUncertainty(draft, method[kind], kind),
                })}
              </Box>
            </Typography>
            <InstrumentLine draft={draft} method={method[kind]} />
            {facts.calculator && (
              <Button sx={{ justifySelf: 'start' }} onClick={() => setWorking(kind)}>
                {t('angleEntry.workItOutFrom')}
              </Button>
            )}
            {kind === 'toe' && <ToeUnit />}
            <Box
              sx={{
                display: 'grid',
                gridTemplateColumns: { xs: '1fr 1fr', sm: 'repeat(4, 1fr)' },
                gap: 1.25,
                alignItems: 'start',
              }}
            >
              {(isTotal
                ? TOTALS.filter(({ where }) => axles.includes(where))
                : wheels.map((where) => ({ where, label: WHEEL_LABELS[where] }))
              ).map(({ where, label }) => (
                <ReadingsField
                  key={`${where} ${method[kind]}`}
                  where={where}
                  kind={kind}
                  method={method[kind]}
                  label={label}
                />
              ))}
              {kind === 'caster' &&
                wheels.map((wheel) => (
                  <AngleField
                    key={wheel}
                    wheel={wheel}
                    kind="sai"
                    label={t('angleEntry.sai', { wheel: WHEEL_LABELS[wheel] })}
                    angles={draft.angles?.[wheel] ?? {}}
                  />
                ))}
            </Box>
            <Choice
              label={t('angleEntry.theGaugeShowsSteps')}
              dense
              options={STEPS}
              value={resolution[kind] === undefined ? null : String(resolution[kind])}
              onChange={(next) =>
                enter(`visit.measure.resolution.${kind}`, next === null ? null : Number(next))
              }
            />
          </Box>
        );
      })}
      {working && (
        <FromReadings
          calculator={METHOD_FACTS[method[working]].calculator!}
          method={method[working]}
          onClose={() => setWorking(null)}
        />
      )}
    </Box>
  );
}

function showUncertainty(draft: VisitDraft, method: Method, kind: AngleKind): string {
  return String(Number(methodSd(draft, method, kind).toFixed(2)));
}
