import type { AngleKind, Axle, VisitDraft, Wheel } from '@keen/contract';
import { parseTireSize, InputError, WHEELS_OF_AXLE, whereWords } from '@keen/core';
import type { MethodFacts } from '@keen/core';
import Button from '@mui/material/Button';
import { useState } from 'react';
import { Choice } from '../../shared/Choice.tsx';
import { showDegrees } from '../../shared/format.ts';
import { useVisit } from '../../shared/visitContext.ts';
import { ToolDialog } from '../../tools/ToolDialog.tsx';
import type { Texts, Worked } from '../../tools/toolInput.ts';
import { TOOLS } from '../../tools/tools.ts';
import { withAngle } from '../../shared/AngleField.tsx';
import { PlateReadings } from './PlateReadings.tsx';

type Calculator = NonNullable<MethodFacts['calculator']>;
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
  const [swing, setSwing] = useState<number | null>(null);
  const found = (worked: Worked) => (worked.ok ? anglesOf(calculator, worked.output, place) : null);

  function takeOver(angles: Found): void {
    for (const [wheel, value] of Object.entries(angles) as [Wheel, number][]) {
      const rounded = Number(value.toFixed(4));
      enter(`angles.${wheel}`, withAngle(draft.angles?.[wheel] ?? {}, kind, rounded));
    }
    onClose();
  }

  return (
    <ToolDialog
      tool={tool}
      start={startTexts(calculator, diameterOf(draft))}
      given={{
        ...(calculator === 'camberFromLevel' ? { side: sideOf(place) } : {}),
        ...(swing === null ? {} : { angle: swing.toFixed(6) }),
      }}
      answer={(worked) =>
        (Object.entries(found(worked) ?? {}) as [Wheel, number][])
          .map(([wheel, value]) => `${whereWords(wheel)} ${showDegrees(value, 2)}`)
          .join(', ')
      }
      actions={(worked) => {
        const angles = found(worked);
        return (
          <>
            <Button onClick={onClose}>Cancel</Button>
            <Button
              variant="contained"
              disabled={!angles}
              onClick={() => angles && takeOver(angles)}
            >
              Use
            </Button>
          </>
        );
      }}
      onClose={onClose}
    >
      {PLACES[calculator] && (
        <Choice
          label="At the"
          dense
          options={PLACES[calculator].map((value) => ({ value, label: whereWords(value) }))}
          value={place}
          onChange={(next) => next && setPlace(next)}
        />
      )}
      {calculator === 'casterFromSwing' && <PlateReadings onSwing={setSwing} />}
    </ToolDialog>
  );
}

const PLACES: Record<Calculator, readonly (Wheel | Axle)[] | null> = {
  toeFromTape: ['front', 'rear'],
  toeFromStrings: null,
  toeFromGauges: null,
  camberFromLevel: ['lf', 'rf', 'lr', 'rr'],
  camberFromSquare: ['lf', 'rf', 'lr', 'rr'],
  casterFromSwing: ['lf', 'rf'],
};

/** The front tire's diameter by its size, mm; null where no size is known. */
function diameterOf(draft: VisitDraft): number | null {
  const size = draft.tires?.lf?.size;
  if (!size) return null;
  try {
    return parseTireSize(size).diameter;
  } catch (error) {
    if (error instanceof InputError) return null;
    throw error;
  }
}

/** Choices that are nearly always so, and what the car's tires say; the readings start empty. */
function startTexts(calculator: Calculator, diameter: number | null): Texts {
  switch (calculator) {
    case 'toeFromTape':
      return { unit: 'mm', ...(diameter === null ? {} : { span: diameter.toFixed(0) }) };
    case 'toeFromStrings':
    case 'camberFromSquare':
      return { unit: 'mm' };
    case 'toeFromGauges':
      return { unit: 'mm', toeInReads: 'plus', frontAgainst: 'rearAxle' };
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
    case 'toeFromGauges':
      return output.toe as Record<Wheel, number>;
    case 'camberFromSquare':
    case 'camberFromLevel':
      return { [place as Wheel]: output.camber as number };
    case 'casterFromSwing':
      return { [place as Wheel]: output.caster as number };
  }
}
