import type { Part, Play, Wheel } from '@keen/contract';
import { PARTS, WHEELS } from '@keen/contract';
import { PART_FACTS, wheelsOf } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Choice } from '../../shared/Choice.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { WHEEL_LABELS } from '../../shared/wheelLabels.ts';
import { Photos } from './Photos.tsx';

const FINDINGS: readonly { value: Play; label: string }[] = [
  { value: 'none', label: 'None' },
  { value: 'some', label: 'Some' },
  { value: 'excessive', label: 'Too much' },
];

/** Joints, bearings and arms, wheel by wheel, in the order one goes round under the car. */
export function UnderTheCar() {
  const { draft, enter } = useVisit();
  const [wheel, setWheel] = useState<Wheel>('lf');
  const found = draft.visit?.inspect?.parts?.[wheel] ?? {};
  const parts = partsAt(wheel);
  const open = parts.filter((part) => found[part] === undefined);
  return (
    <Box component="section" aria-labelledby="under-title">
      <Typography variant="h2" component="h3" id="under-title">
        Under the car
      </Typography>
      <Typography color="textSecondary" sx={{ mb: 1 }}>
        At each wheel, from the rod ends inward: play, knocks, what hangs or is bent. What is not
        answered was not looked at.
      </Typography>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, flexWrap: 'wrap' }}>
        <Tabs
          value={wheel}
          onChange={(_event, next: Wheel) => setWheel(next)}
          aria-label="Wheel"
          variant="scrollable"
          sx={{ mr: 'auto' }}
        >
          {WHEELS.map((one) => (
            <Tab key={one} value={one} label={`${WHEEL_LABELS[one]} ${looked(draft, one)}`} />
          ))}
        </Tabs>
        {open.length > 0 && (
          <Button
            onClick={() => {
              for (const part of open) enter(`visit.inspect.parts.${wheel}.${part}`, 'none');
            }}
          >
            Mark the rest OK
          </Button>
        )}
      </Box>
      {parts.map((part) => (
        <Box
          key={part}
          sx={{
            display: 'grid',
            gridTemplateColumns: { xs: '1fr', sm: '1fr auto auto' },
            gap: 1.5,
            rowGap: 0.75,
            alignItems: 'center',
            borderTop: '1px solid var(--hairline)',
            py: 0.75,
          }}
        >
          <Box>
            {PART_FACTS[part].title}
            {(found[part] === 'some' || found[part] === 'excessive') && (
              <Box sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
                {PART_FACTS[part].then}
              </Box>
            )}
          </Box>
          {found[part] === 'some' || found[part] === 'excessive' ? (
            <Photos subject={`${part} ${wheel}`} label={PART_FACTS[part].title} />
          ) : (
            <span />
          )}
          <Choice
            label={`${PART_FACTS[part].title}, ${WHEEL_LABELS[wheel].toLowerCase()}`}
            hideLabel
            dense
            options={FINDINGS}
            value={found[part] === 'unknown' ? null : (found[part] ?? null)}
            onChange={(finding) => enter(`visit.inspect.parts.${wheel}.${part}`, finding)}
          />
        </Box>
      ))}
    </Box>
  );
}

function partsAt(wheel: Wheel): Part[] {
  return PARTS.filter((part) => wheelsOf(part).includes(wheel));
}

/** How far a wheel's parts are looked at, in its tab. */
function looked(draft: ReturnType<typeof useVisit>['draft'], wheel: Wheel): string {
  const found = Object.keys(draft.visit?.inspect?.parts?.[wheel] ?? {}).length;
  return `${found}/${partsAt(wheel).length}`;
}
