import type { SetupPoint, SetupState } from '@keen/contract';
import { setupList, undermined } from '@keen/core';
import type { SetupItem } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { AnswerRow } from '../../shared/AnswerRow.tsx';
import { Choice } from '../../shared/Choice.tsx';
import { SavingField } from '../../shared/SavingField.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { FloorFields } from './FloorFields.tsx';

const STATES = [
  { value: 'done', label: 'Done' },
  { value: 'skipped', label: 'Skip' },
  { value: 'notNeeded', label: 'Not needed' },
] as const;

/** What comes before the first reading; folds away when all of it is answered. */
export function SetupList() {
  const { draft, enter } = useVisit();
  const measure = draft.visit?.measure ?? {};
  const { setup = {}, skipped = {} } = measure;
  const worthless = undermined(draft);
  const items = setupList(draft);
  const open = items.filter(({ point }) => setup[point] === undefined);
  const [isOpen, setOpen] = useState(open.length > 0 && draft.angles === undefined);
  const set = (point: SetupPoint, state: SetupState | null) =>
    enter(`visit.measure.setup.${point}`, state);
  return (
    <Box component="section" aria-labelledby="setup-title">
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, flexWrap: 'wrap', mb: 0.5 }}>
        <Typography variant="h2" component="h3" id="setup-title">
          Preparation
        </Typography>
        <Typography color="textSecondary" role="status">
          {open.length === 0 ? 'all answered' : `${open.length} of ${items.length} open`}
        </Typography>
        <Box sx={{ ml: 'auto', display: 'flex', gap: 1 }}>
          {open.length > 0 && isOpen && (
            <Button onClick={() => open.forEach(({ point }) => set(point, 'done'))}>
              Mark the rest done
            </Button>
          )}
          <Button variant="text" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
            {isOpen ? 'Hide' : 'Show'}
          </Button>
        </Box>
      </Box>
      {isOpen &&
        items.map((item) => (
          <SetupRow
            key={item.point}
            item={item}
            state={setup[item.point] ?? null}
            reason={skipped[item.point] ?? ''}
            isWorthless={worthless.includes(item.point)}
            onChange={(state) => set(item.point, state)}
            onReason={(reason) => enter(`visit.measure.skipped.${item.point}`, reason)}
          />
        ))}
    </Box>
  );
}

const TANK = ['Empty', '¼', '½', '¾', 'Full'].map((label, i) => ({ value: String(i), label }));
const LOAD_WORDS = {
  none: null,
  cabin:
    'Carries heavy loads in the cabin: angles are read as the specification asks, not as loaded.',
  trunk: 'Carries heavy loads in the trunk: rear camber and toe are others when it is loaded.',
  both: 'Carries heavy loads: camber and toe are others when it is loaded.',
} as const;

/** How full the tank is, and what was said of the load on arrival. */
function FuelAndLoad() {
  const { draft, enter } = useVisit();
  const { fuel, load } = draft.visit?.car ?? {};
  const said = LOAD_WORDS[load ?? 'none'];
  return (
    <Box sx={{ display: 'grid', gap: 0.5, mt: 0.5 }}>
      {said && <Typography color="textSecondary">{said}</Typography>}
      <Choice
        label="Fuel in the tank"
        hideLabel
        dense
        options={TANK}
        value={fuel === undefined ? null : String(fuel)}
        onChange={(value) => enter('visit.car.fuel', value === null ? null : Number(value))}
      />
    </Box>
  );
}

interface SetupRowProps {
  item: SetupItem;
  state: SetupState | null;
  /** Why it was skipped. */
  reason: string;
  /** Done, but worth nothing, because a point it depends on was skipped. */
  isWorthless: boolean;
  onChange: (state: SetupState | null) => void;
  onReason: (reason: string | null) => void;
}

function SetupRow({ item, state, reason, isWorthless, onChange, onReason }: SetupRowProps) {
  return (
    <AnswerRow>
      <Box>
        {item.words}
        {item.point === 'load' && <FuelAndLoad />}
        {item.point === 'floor' && <FloorFields />}
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
        {isWorthless && state !== 'skipped' && (
          <Box sx={{ fontSize: '0.85rem', fontWeight: 650 }}>
            Worth little: a point that it depends on was skipped.
          </Box>
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
      {state === 'skipped' && (
        <Box sx={{ gridColumn: '1 / -1', maxWidth: 420, pb: 0.5 }}>
          <SavingField label="Why it is skipped" value={reason} onChange={onReason} />
        </Box>
      )}
    </AnswerRow>
  );
}
