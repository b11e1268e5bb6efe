import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { PointerEvent } from 'react';
import { useRef } from 'react';

const GRID = 1000;
const ASPECT = 0.32;
const MOST_STROKES = 60;
const MOST_NUMBERS = 400;

interface SignaturePadProps {
  /** Each stroke x, y, x, y, ... between 0 and 1000. */
  strokes: readonly (readonly number[])[];
  texts: { byFinger: string; signed: string; wipe: string };
  onChange: (strokes: number[][]) => void;
}

/** Signs with the finger; the name alone does as well. */
export function SignaturePad({ strokes, texts, onChange }: SignaturePadProps) {
  const isDown = useRef(false);
  const at = ({ currentTarget, clientX, clientY }: PointerEvent<SVGSVGElement>) => {
    const box = currentTarget.getBoundingClientRect();
    const part = (value: number, size: number) =>
      Math.round(GRID * Math.min(1, Math.max(0, size > 0 ? value / size : 0)));
    return [part(clientX - box.left, box.width), part(clientY - box.top, box.height)];
  };
  const done = () => {
    isDown.current = false;
  };
  return (
    <Box>
      <svg
        viewBox={`0 0 ${GRID} ${GRID * ASPECT}`}
        width="100%"
        role="img"
        aria-label={strokes.length > 0 ? texts.signed : texts.byFinger}
        data-testid="signature"
        style={{ border: '1px solid var(--line)', touchAction: 'none', display: 'block' }}
        onPointerDown={(event) => {
          if (strokes.length >= MOST_STROKES) return;
          isDown.current = true;
          onChange([...strokes.map((stroke) => [...stroke]), at(event)]);
        }}
        onPointerMove={(event) => {
          const last = strokes.at(-1);
          if (!isDown.current || !last || last.length >= MOST_NUMBERS) return;
          onChange([...strokes.slice(0, -1).map((one) => [...one]), [...last, ...at(event)]]);
        }}
        onPointerUp={done}
        onPointerLeave={done}
      >
        <line
          x1={40}
          x2={GRID - 40}
          y1={GRID * ASPECT * 0.8}
          y2={GRID * ASPECT * 0.8}
          stroke="var(--control)"
        />
        {strokes.length === 0 && (
          <text x={40} y={GRID * ASPECT * 0.92} fontSize={24} fill="var(--soft)">
            {texts.byFinger}
          </text>
        )}
        {strokes.map((stroke, i) => (
          <polyline
            key={i}
            points={pairs(stroke)
              .map(([x, y]) => `${x},${(y! * ASPECT).toFixed(1)}`)
              .join(' ')}
            fill="none"
            stroke="var(--ink)"
            strokeWidth={5}
            strokeLinecap="round"
            strokeLinejoin="round"
          />
        ))}
      </svg>
      {strokes.length > 0 && (
        <Button variant="text" onClick={() => onChange([])}>
          {texts.wipe}
        </Button>
      )}
    </Box>
  );
}

function pairs(stroke: readonly number[]): number[][] {
  const points: number[][] = [];
  for (let i = 0; i + 1 < stroke.length; i += 2) points.push([stroke[i]!, stroke[i + 1]!]);
  return points;
}
