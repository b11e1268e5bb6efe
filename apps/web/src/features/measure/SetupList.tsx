import type { SetupPoint, SetupState } from '@keen/contract';
import { setupList } from '@keen/core';
import type { SetupItem } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Choice } from '../../shared/Choice.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { useMethods } from './useMethods.ts';

const STATES = [
  { value: 'done', label: 'Done' },
  { value: 'skipped', label: 'Skip' },
  { value: 'notNeeded', label: 'Not needed' },
] as const;

/** What comes before the first reading; folds away when all of it is answered. */
export function SetupList() {
  const { draft, enter } = useVisit();
  const { inUse } = useMethods();
  const setup = draft.visit?.measure?.setup ?? {};
  const items = setupList(inUse);
  const open = items.filter(({ point }) => setup[point] === undefined);
  const [isOpen, setOpen] = useState(open.length > 0);
  const set = (point: SetupPoint, state: SetupState | null) =>
    enter(`visit.measure.setup.${point}`, state);
  return (
    <Box component="section" aria-labelledby="setup-title">
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, flexWrap: 'wrap', mb: 0.5 }}>
        <Typography variant="h2" component="h3" id="setup-title">
          Make ready
        </Typography>
        <Typography color="textSecondary" role="status">
          {open.length === 0 ? 'all answered' : `${open.length} of ${items.length} open`}
        </Typography>
        <Box sx={{ ml: 'auto', display: 'flex', gap: 1 }}>
          {open.length > 0 && isOpen && (
            <Button onClick={() => open.forEach(({ point }) => set(point, 'done'))}>
              All the rest is done
            </Button>
          )}
          <Button variant="text" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
            {isOpen ? 'Fold away' : 'Show'}
          </Button>
        </Box>
      </Box>
      {isOpen &&
        items.map((item) => (
          <SetupRow
            key={item.point}
            item={item}
            state={setup[item.point] ?? null}
            onChange={(state) => set(item.point, state)}
          />
        ))}
    </Box>
  );
}

interface SetupRowProps {
  item: SetupItem;
  state: SetupState | null;
  onChange: (state: SetupState | null) => void;
}

function SetupRow({ item, state, onChange }: SetupRowProps) {
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', sm: '1fr auto' },
        columnGap: 2,
        rowGap: 0.75,
        alignItems: 'center',
        borderTop: '1px solid var(--hairline)',
        py: 0.75,
      }}
    >
      <Box>
        {item.words}
        {item.caution && (
          <Box sx={{ fontSize: '0.85rem' }}>
            <Box component="strong" sx={{ color: 'var(--marker)' }}>
              ◆ Caution
            </Box>{' '}
            {item.caution}
          </Box>
        )}
        {state === 'skipped' && (
          <Box sx={{ fontSize: '0.85rem', color: 'text.secondary' }}>Then {item.otherwise}.</Box>
        )}
      </Box>
      <Choice
        label={item.words}
        hideLabel
        dense
        options={STATES}
        value={state}
        onChange={onChange}
      />
    </Box>
  );
}
