import { t } from '../words/drawing.ts';

interface TapeEndProps {
  /** Where the mark stands, in. */
  inches: number;
}

const WIDTH = 420;
const HEIGHT = 110;
/** Part of the tape in sight, in, and how wide an inch is drawn. */
const SIGHT_IN = 2.2;
const INCH = WIDTH / SIGHT_IN;
const PARTS = 16;
const TAPE = { y: 34, height: 58 } as const;

/** A tape in inches where a mark crosses it: sixteenths, eighths, quarters and halves by their length. */
export function TapeEnd({ inches }: TapeEndProps) {
  const left = inches - SIGHT_IN * 0.55;
  const first = Math.ceil(left * PARTS);
  const ticks = Array.from({ length: Math.floor(SIGHT_IN * PARTS) + 1 }, (_, i) => first + i);
  const at = (value: number) => (value - left) * INCH;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width="100%"
      role="img"
      aria-label={t('tapeEnd.aTapeBetweenAnd', {
        left: Math.floor(left),
        ceil: Math.ceil(left + SIGHT_IN),
        marks: Math.round((inches % 1) * PARTS),
        inches: Math.floor(inches),
      })}
      style={{ display: 'block', maxWidth: 560 }}
    >
      <rect
        x={0}
        y={TAPE.y}
        width={WIDTH}
        height={TAPE.height}
        fill="var(--sheet)"
        stroke="var(--ink)"
      />
      {ticks.map((tick) => {
        const part = ((tick % PARTS) + PARTS) % PARTS;
        const long =
          part === 0 ? 40 : part === 8 ? 30 : part % 4 === 0 ? 23 : part % 2 === 0 ? 16 : 10;
        return (
          <g key={tick}>
            <line
              x1={at(tick / PARTS)}
              x2={at(tick / PARTS)}
              y1={TAPE.y}
              y2={TAPE.y + long}
              stroke="var(--ink)"
              strokeWidth={part === 0 ? 2 : 1}
            />
            {part === 0 && (
              <text
                x={at(tick / PARTS) + 5}
                y={TAPE.y + TAPE.height - 6}
                fontSize={22}
                fontWeight={700}
                fill="var(--ink)"
              >
                {tick / PARTS}
              </text>
            )}
          </g>
        );
      })}
      <path d={`M${at(inches) - 9} 8L${at(inches)} 28L${at(inches) + 9} 8Z`} fill="var(--marker)" />
      <line
        x1={at(inches)}
        x2={at(inches)}
        y1={26}
        y2={TAPE.y + TAPE.height}
        stroke="var(--marker)"
        strokeWidth={1.6}
      />
    </svg>
  );
}
