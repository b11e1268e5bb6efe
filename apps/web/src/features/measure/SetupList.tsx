import type { SetupPoint, SetupState } from '@keen/contract';
import { setupList, invalidated } from '@keen/core';
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
import { t } from '../../words/measure.ts';
import { measureTexts } from '../../words/core/measure.ts';

const STATES = [
  { value: 'done', label: t('setupList.done') },
  { value: 'skipped', label: t('setupList.skip') },
  { value: 'notNeeded', label: t('setupList.notNeeded') },
] as const;

/** What comes before the first reading; folds away when all of it is answered. */
export function SetupList() {
  const { draft, enter } = useVisit();
  const measure = draft.visit?.measure ?? {};
  const { setup = {}, skipped = {} } = measure;
  const worthless = invalidated(draft);
  const items = setupList(draft);
  const open = items.filter(({ point }) => setup[point] === undefined);
  const [isOpen, setOpen] = useState(open.length > 0 && draft.angles === undefined);
  const set = (point: SetupPoint, state: SetupState | null) =>
    enter(`visit.measure.setup.${point}`, state);
  return (
    <Box component="section" aria-labelledby="setup-title">
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, flexWrap: 'wrap', mb: 0.5 }}>
        <Typography variant="h2" component="h3" id="setup-title">
          {t('setupList.preparation')}
        </Typography>
        <Typography color="textSecondary" role="status">
          {open.length === 0
            ? t('setupList.allAnswered')
            : t('setupList.ofOpen', { length: open.length, length2: items.length })}
        </Typography>
        <Box sx={{ ml: 'auto', display: 'flex', gap: 1 }}>
          {open.length > 0 && isOpen && (
            <Button onClick={() => open.forEach(({ point }) => set(point, 'done'))}>
              {t('setupList.markTheRestDone')}
            </Button>
          )}
          <Button variant="text" aria-expanded={isOpen} onClick={() => setOpen(!isOpen)}>
            {isOpen ? t('setupList.hide') : t('setupList.show')}
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

const TANK = [t('setupList.empty'), '¼', '½', '¾', t('setupList.full')].map((label, i) => ({
  value: String(i),
  label,
}));
const LOAD_WORDS = {
  none: null,
  cabin: t('setupList.carriesHeavyLoadsIn'),
  trunk: t('setupList.carriesHeavyLoadsInThe'),
  both: t('setupList.carriesHeavyLoadsCamber'),
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
        label={t('setupList.fuelInTheTank')}
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
  const { words, otherwise, caution } = measureTexts.setup[item.point];
  return (
    <AnswerRow>
      <Box>
        {words}
        {item.point === 'load' && <FuelAndLoad />}
        {item.point === 'floor' && <FloorFields />}
        {caution && (
          <Box sx={{ fontSize: '0.85rem' }}>
            <Box component="strong" sx={{ color: 'var(--marker)' }}>
              {t('setupList.caution')}
            </Box>{' '}
            {caution}
          </Box>
        )}
        {state === 'skipped' && (
          <Box sx={{ fontSize: '0.85rem', color: 'text.secondary' }}>
            {t('setupList.then', { otherwise })}
          </Box>
        )}
        {isWorthless && state !== 'skipped' && (
          <Box sx={{ fontSize: '0.85rem', fontWeight: 650 }}>
            {t('setupList.worthLittleAPoint')}
          </Box>
        )}
      </Box>
      <Choice label={words} hideLabel dense options={STATES} value={state} onChange={onChange} />
      {state === 'skipped' && (
        <Box sx={{ gridColumn: '1 / -1', maxWidth: 420, pb: 0.5 }}>
          <SavingField label={t('setupList.whyItIsSkipped')} value={reason} onChange={onReason} />
        </Box>
      )}
    </AnswerRow>
  );
}
