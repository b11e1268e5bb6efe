import type { ContactPatch } from '@keen/core/lab';
import { memo } from 'react';
import { t } from '../words/drawing.ts';
import { term } from '../words/terms.ts';

interface ContactPatchViewProps {
  patch: ContactPatch;
  /** Whether the outer edge is on the left of the drawing, as on a left wheel seen from behind. */
  isLeft: boolean;
  label: string;
}

const WIDTH = 300;
const HEIGHT = 250;
const PATCH = { x: 24, y: 26, width: 252, length: 122 };
const ROWS = 9;
const BARS = { y: 224, height: 52 };
/** Pressure that is drawn as full ink. */
const FULL_PRESSURE = 1.8;
/** Work that fills the height of a bar, where none does more. */
const FULL_WORK = 3;
/** How long a degree of slip is drawn at the rear of the patch, and the longest. */
const SLIP_LENGTH = { each: 14, most: 13 };

/**
 * Where one tire touches the road, from above: ink is pressure, strokes are how far the tread is bent and which
 * way, orange where it slides, and the bars under it are the work that wears it.
 */
export const ContactPatchView = memo(function ContactPatchView(props: ContactPatchViewProps) {
  const { patch, isLeft, label } = props;
  const columns = patch.y.length;
  const wide = PATCH.width / columns;
  const long = PATCH.length / ROWS;
  const at = (column: number) => PATCH.x + (isLeft ? columns - 1 - column : column) * wide;
  // Toe-in drags the patch toward the outside of its car: to the left on a left wheel.
  const outward = isLeft ? -1 : 1;
  const most = Math.max(...patch.work);
  const full = Math.max(FULL_WORK, most);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width="100%"
      role="img"
      aria-label={label}
      style={{ display: 'block', maxWidth: 380 }}
    >
      <text x={WIDTH / 2} y={14} fontSize={12} fill="var(--soft)" textAnchor="middle">
        {t('contactPatchView.driving')}
      </text>
      {patch.y.map((_, column) =>
        Array.from({ length: ROWS }, (_row, row) => {
          const along = (row + 0.5) / ROWS;
          // Parabolic along the patch: nothing at its ends, half as much again in the middle.
          const pressure = patch.pressure[column]! * 6 * along * (1 - along);
          const x = at(column);
          const y = PATCH.y + row * long;
          const slides = along > 1 - patch.sliding[column]!;
          // A bristle that sticks is bent the further the longer it has been on the road.
          const bent = SLIP_LENGTH.each * patch.slipDeg[column]! * along;
          const length = Math.min(SLIP_LENGTH.most, bent);
          const toe = patch.parts.toe;
          const across =
            outward * Math.sign(toe) * Math.min(1, Math.abs(toe) / patch.slipDeg[column]!);
          const back = Math.sqrt(Math.max(0, 1 - across * across));
          return (
            <g key={`${column} ${row}`}>
              <rect
                x={x + 1}
                y={y + 1}
                width={wide - 2}
                height={long - 2}
                rx={1.5}
                fill="var(--rubber)"
                opacity={Math.min(1, pressure / FULL_PRESSURE)}
              />
              <path
                d={`M${x + wide / 2 - (across * length) / 2} ${y + long / 2 - (back * length) / 2}l${(across * length).toFixed(1)} ${(back * length).toFixed(1)}`}
                stroke={slides ? 'var(--marker)' : 'var(--paper)'}
                strokeWidth={slides ? 2.6 : 1.6}
                strokeLinecap="round"
              />
            </g>
          );
        }),
      )}
      {patch.y.map((_, column) => {
        const height = (BARS.height * patch.work[column]!) / full;
        return (
          <rect
            key={column}
            x={at(column) + 1}
            y={BARS.y - height}
            width={wide - 2}
            height={height}
            fill={patch.work[column] === most && most > 1.5 ? 'var(--marker)' : 'var(--rubberPale)'}
          />
        );
      })}
      <line
        x1={PATCH.x}
        x2={PATCH.x + PATCH.width}
        y1={BARS.y}
        y2={BARS.y}
        stroke="var(--ink)"
        strokeWidth={1.4}
      />
      <text x={PATCH.x} y={BARS.y + 17} fontSize={12} fill="var(--soft)">
        {term(isLeft ? 'rib.outer' : 'rib.inner')}
      </text>
      <text x={WIDTH / 2} y={BARS.y + 17} fontSize={12} fill="var(--soft)" textAnchor="middle">
        {most >= 1.5
          ? t('contactPatchView.upTo', { times: most < 10 ? most.toFixed(1) : Math.round(most) })
          : t('contactPatchView.wearAcrossTheTread')}
      </text>
      <text
        x={PATCH.x + PATCH.width}
        y={BARS.y + 17}
        fontSize={12}
        fill="var(--soft)"
        textAnchor="end"
      >
        {term(isLeft ? 'rib.inner' : 'rib.outer')}
      </text>
    </svg>
  );
});
