import type { ReactNode } from 'react';

export const FRAME = { width: 380, height: 236 } as const;

/** The sheet that a calculator's drawing stands on. */
export function Frame({ label, children }: { label: string; children: ReactNode }) {
  return (
    <svg
      viewBox={`0 0 ${FRAME.width} ${FRAME.height}`}
      width="100%"
      role="img"
      aria-label={label}
      style={{ display: 'block', maxWidth: 560, fontFamily: 'inherit' }}
    >
      {children}
    </svg>
  );
}

interface WordsProps {
  x: number;
  y: number;
  children: ReactNode;
  anchor?: 'start' | 'middle' | 'end';
  strong?: boolean;
  marked?: boolean;
}

/** A word in the drawing. */
export function Words({ x, y, children, anchor = 'middle', strong, marked }: WordsProps) {
  return (
    <text
      x={x}
      y={y}
      fontSize={strong ? 15 : 12}
      fontWeight={strong ? 700 : 450}
      textAnchor={anchor}
      fill={marked ? 'var(--marker)' : strong ? 'var(--ink)' : 'var(--soft)'}
    >
      {children}
    </text>
  );
}

interface SpanProps {
  from: readonly [number, number];
  to: readonly [number, number];
  children: ReactNode;
  marked?: boolean;
}

/** A measured distance: a line with square ends and its figure beside the middle. */
export function Span({ from, to, children, marked }: SpanProps) {
  const [x1, y1] = from;
  const [x2, y2] = to;
  const length = Math.hypot(x2 - x1, y2 - y1) || 1;
  const [nx, ny] = [(-(y2 - y1) / length) * 4, ((x2 - x1) / length) * 4];
  const stroke = marked ? 'var(--marker)' : 'var(--soft)';
  const isUpright = Math.abs(x2 - x1) < Math.abs(y2 - y1);
  return (
    <g stroke={stroke} strokeWidth={1.2} fill="none">
      <path
        d={`M${x1 + nx} ${y1 + ny}L${x1 - nx} ${y1 - ny}M${x1} ${y1}L${x2} ${y2}M${x2 + nx} ${y2 + ny}L${x2 - nx} ${y2 - ny}`}
      />
      <text
        x={(x1 + x2) / 2 + (isUpright ? 7 : 0)}
        y={(y1 + y2) / 2 + (isUpright ? 4 : -6)}
        fontSize={13}
        fontWeight={650}
        textAnchor={isUpright ? 'start' : 'middle'}
        stroke="none"
        fill={marked ? 'var(--marker)' : 'var(--ink)'}
      >
        {children}
      </text>
    </g>
  );
}

/** Keeps a drawn angle within what a drawing can carry, exaggerated, degrees. */
export function drawnDegrees(degrees: number, factor: number, most = 24): number {
  return Math.max(-most, Math.min(most, degrees * factor));
}

/** A tire as a block, turned about its middle. */
export function Block(props: {
  x: number;
  y: number;
  turn?: number;
  width?: number;
  height?: number;
  ghost?: boolean;
}) {
  const { x, y, turn = 0, width = 34, height = 92, ghost } = props;
  return (
    <rect
      x={x - width / 2}
      y={y - height / 2}
      width={width}
      height={height}
      rx={5}
      transform={`rotate(${turn} ${x} ${y})`}
      fill={ghost ? 'none' : 'var(--rubber)'}
      stroke={ghost ? 'var(--control)' : 'none'}
      strokeDasharray={ghost ? '4 3' : undefined}
    />
  );
}
