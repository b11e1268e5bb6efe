import type { AngleKind } from '@keen/contract';
import { ANGLE_KINDS } from '@keen/contract';
import { METHOD_FACTS, methodsFor, WHEEL_ORDER } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Choice } from '../../shared/Choice.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { WHEEL_LABELS } from '../../shared/wheelLabels.ts';
import { AngleField } from '../../shared/AngleField.tsx';
import { FromReadings } from './FromReadings.tsx';
import { useMethods } from './useMethods.ts';

const KIND_WORDS: Record<AngleKind, string> = { camber: 'Camber', toe: 'Toe', caster: 'Caster' };
/** The readings, kind by kind: typed as angles, or worked out from what was read. */
export function AngleEntry() {
  const { draft } = useVisit();
  const { method, choose } = useMethods();
  const [working, setWorking] = useState<AngleKind | null>(null);
  return (
    <Box component="section" aria-labelledby="entry-title" sx={{ display: 'grid', gap: 2 }}>
      <Typography variant="h2" component="h3" id="entry-title">
        Read the angles
      </Typography>
      {ANGLE_KINDS.map((kind) => {
        const facts = METHOD_FACTS[method[kind]];
        const wheels = kind === 'caster' ? (['lf', 'rf'] as const) : WHEEL_ORDER;
        return (
          <Box
            key={kind}
            role="group"
            aria-label={KIND_WORDS[kind]}
            sx={{ borderTop: '1px solid var(--hairline)', pt: 1.5, display: 'grid', gap: 1.25 }}
          >
            <Box sx={{ display: 'flex', gap: 2, alignItems: 'flex-end', flexWrap: 'wrap' }}>
              <Choice
                label={`${KIND_WORDS[kind]}, measured with`}
                dense
                options={methodsFor(kind).map((value) => ({
                  value,
                  label: METHOD_FACTS[value].title,
                }))}
                value={method[kind]}
                onChange={(next) => next && choose(kind, next)}
              />
              {facts.calculator && (
                <Button onClick={() => setWorking(kind)}>Work it out from the readings</Button>
              )}
            </Box>
            {facts.blindTo && (
              <Typography variant="body2" color="textSecondary">
                {facts.blindTo}
              </Typography>
            )}
            <Box
              sx={{
                display: 'grid',
                gridTemplateColumns: { xs: '1fr 1fr', sm: 'repeat(4, 1fr)' },
                gap: 1.25,
              }}
            >
              {wheels.map((wheel) => (
                <AngleField
                  key={wheel}
                  wheel={wheel}
                  kind={kind}
                  label={WHEEL_LABELS[wheel]}
                  angles={draft.angles?.[wheel] ?? {}}
                />
              ))}
            </Box>
          </Box>
        );
      })}
      {working && (
        <FromReadings
          kind={working}
          calculator={METHOD_FACTS[method[working]].calculator!}
          onClose={() => setWorking(null)}
        />
      )}
    </Box>
  );
}
