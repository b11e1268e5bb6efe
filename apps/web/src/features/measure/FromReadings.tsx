import type { AngleKind, Axle, Wheel } from '@keen/contract';
import { WHEELS_OF_AXLE, whereWords } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { Choice } from '../../shared/Choice.tsx';
import { showDegrees } from '../../shared/format.ts';
import { Notice } from '../../shared/Notice.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { ToolField } from '../../tools/ToolField.tsx';
import { workOut } from '../../tools/toolInput.ts';
import type { Texts } from '../../tools/toolInput.ts';
import { TOOLS } from '../../tools/tools.ts';
import { withAngle } from './AngleField.tsx';

type Calculator = 'toeFromTape' | 'toeFromStrings' | 'camberFromLevel' | 'casterFromSwing';
type Found = Partial<Record<Wheel, number>>;

interface FromReadingsProps {
  kind: AngleKind;
  calculator: Calculator;
  onClose: () => void;
}

/** Asks for the readings of a method and takes the angles over into the visit. */
export function FromReadings({ kind, calculator, onClose }: FromReadingsProps) {
  const { draft, enter } = useVisit();
  const tool = TOOLS.find(({ name }) => name === calculator)!;
  const [place, setPlace] = useState<Wheel | Axle>(calculator === 'toeFromTape' ? 'front' : 'lf');
  const [texts, setTexts] = useState<Texts>(() => startTexts(calculator));
  const filled = calculator === 'camberFromLevel' ? { ...texts, side: sideOf(place) } : texts;
  const worked = workOut(tool, filled);
  const found = worked.ok ? anglesOf(calculator, worked.output, place) : null;
  const isTouched = (path: string) => (texts[path] ?? '') !== '';
  const { Drawing } = tool;

  function takeOver(): void {
    for (const [wheel, value] of Object.entries(found ?? {}) as [Wheel, number][]) {
      const rounded = Number(value.toFixed(4));
      enter(`angles.${wheel}`, withAngle(draft.angles?.[wheel] ?? {}, kind, rounded));
    }
    onClose();
  }

  return (
    <Dialog open onClose={onClose} maxWidth="md" fullWidth aria-labelledby="readings-title">
      <DialogTitle id="readings-title" variant="h2">
        {tool.title}
      </DialogTitle>
      <DialogContent sx={{ display: 'grid', gap: 2 }}>
        <Typography color="textSecondary">{tool.question}</Typography>
        {tool.caution && <Notice kind="caution">{tool.caution}</Notice>}
        {PLACES[calculator] && (
          <Choice
            label="At the"
            dense
            options={PLACES[calculator].map((value) => ({ value, label: whereWords(value) }))}
            value={place}
            onChange={(next) => next && setPlace(next)}
          />
        )}
        <Box
          sx={{
            display: 'grid',
            gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' },
            columnGap: 2,
            rowGap: 1.75,
            pt: 0.5,
          }}
        >
          {tool.fields
            .filter(({ path }) => path !== 'side')
            .map((field) => (
              <ToolField
                key={field.path}
                field={field}
                text={texts[field.path] ?? ''}
                // An empty field is not wrong yet.
                fault={
                  !worked.ok && isTouched(field.path) ? (worked.faults[field.path] ?? null) : null
                }
                onChange={(text) => setTexts({ ...texts, [field.path]: text })}
              />
            ))}
        </Box>
        {worked.ok && <Drawing input={worked.input as never} output={worked.output} />}
        <Typography
          role="status"
          className="condensed"
          sx={{ fontSize: '1.4rem', fontWeight: 700 }}
        >
          {found
            ? (Object.entries(found) as [Wheel, number][])
                .map(([wheel, value]) => `${whereWords(wheel)} ${showDegrees(value, 2)}`)
                .join(', ')
            : 'Not all readings are there yet.'}
        </Typography>
      </DialogContent>
      <DialogActions sx={{ p: 2 }}>
        <Button onClick={onClose}>Leave it</Button>
        <Button variant="contained" disabled={!found} onClick={takeOver}>
          Take over
        </Button>
      </DialogActions>
    </Dialog>
  );
}

const PLACES: Record<Calculator, readonly (Wheel | Axle)[] | null> = {
  toeFromTape: ['front', 'rear'],
  toeFromStrings: null,
  camberFromLevel: ['lf', 'rf', 'lr', 'rr'],
  casterFromSwing: ['lf', 'rf'],
};

/** Choices that are nearly always so; the numbers start empty. */
function startTexts(calculator: Calculator): Texts {
  switch (calculator) {
    case 'toeFromTape':
    case 'toeFromStrings':
      return { unit: 'mm' };
    case 'camberFromLevel':
      return { zeroIs: 'vertical', leans: 'in' };
    case 'casterFromSwing':
      return { angle: '20' };
  }
}

function sideOf(place: Wheel | Axle): string {
  return place.startsWith('l') ? 'left' : 'right';
}

/** The wheels' angles in what a calculator found. */
function anglesOf(
  calculator: Calculator,
  output: Record<string, unknown>,
  place: Wheel | Axle,
): Found {
  switch (calculator) {
    case 'toeFromTape': {
      // The total is all a tape knows: half to each wheel.
      const half = (output.totalToe as number) / 2;
      const [left, right] = WHEELS_OF_AXLE[place as Axle];
      return { [left]: half, [right]: half };
    }
    case 'toeFromStrings':
      return output.toe as Record<Wheel, number>;
    case 'camberFromLevel':
      return { [place as Wheel]: output.camber as number };
    case 'casterFromSwing':
      return { [place as Wheel]: output.caster as number };
  }
}
