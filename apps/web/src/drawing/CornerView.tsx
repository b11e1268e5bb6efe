import type { Part, Play, Wheel } from '@keen/contract';
import { axleOf, partsAt, sideOf } from '@keen/core';
import Box from '@mui/material/Box';
import { t } from '../words/drawing.ts';
import { whereWords } from '../words/pageTexts.ts';
import { FOUND } from '../words/core/inspect.ts';

const WIDTH = 600;
const HEIGHT = 352;

/** What is looked at behind a wheel: the wheel shaken, or one of its parts. */
export type CornerPoint = 'shaken' | Part;

/** Where each stands on a left corner seen from behind and a little from below. */
const FRONT_AT: Partial<Record<CornerPoint, readonly [number, number]>> = {
  shaken: [72, 196],
  rim: [100, 84],
  outerTieRod: [187, 240],
  innerTieRod: [385, 233],
  rackMount: [520, 229],
  ballJoint: [160, 312],
  armBushing: [430, 312],
  wheelBearing: [152, 178],
  damper: [184, 112],
  spring: [200, 54],
  stabilizer: [288, 166],
  bentArm: [296, 312],
};
const REAR_AT: Partial<Record<CornerPoint, readonly [number, number]>> = {
  shaken: [72, 196],
  rim: [100, 84],
  armBushing: [430, 312],
  wheelBearing: [152, 178],
  damper: [212, 60],
  spring: [262, 226],
  rearLink: [352, 112],
  toeLink: [356, 258],
  bentArm: [330, 312],
};

/** The points of a corner, in the order one goes. */
export function cornerPoints(wheel: Wheel): CornerPoint[] {
  return ['shaken', ...partsAt(wheel)];
}

export function pointTitle(point: CornerPoint): string {
  return point === 'shaken' ? t('cornerView.playWhenShaken') : FOUND.parts[point];
}

interface CornerViewProps {
  wheel: Wheel;
  findings: Partial<Record<CornerPoint, Play>>;
  /** The point that is looked at. */
  at: CornerPoint | null;
  onPick: (point: CornerPoint) => void;
}

/**
 * What hangs behind one wheel, seen from under the car: each joint and part with its finding as a mark,
 * the left corner as it stands, the right one mirrored.
 */
export function CornerView({ wheel, findings, at, onPick }: CornerViewProps) {
  const isLeft = sideOf(wheel) === 'left';
  const isFront = axleOf(wheel) === 'front';
  const places = isFront ? FRONT_AT : REAR_AT;
  return (
    <Box sx={{ position: 'relative', maxWidth: 560 }}>
      <svg viewBox={`0 0 ${WIDTH} ${HEIGHT}`} width="100%" aria-hidden style={{ display: 'block' }}>
        <g transform={isLeft ? undefined : `translate(${WIDTH} 0) scale(-1 1)`}>
          {isFront ? <FrontCorner /> : <RearCorner />}
        </g>
      </svg>
      {cornerPoints(wheel).map((point) => {
        const [x, y] = places[point] ?? [0, 0];
        const finding = findings[point] ?? 'unknown';
        const words = finding === 'unknown' ? t('cornerView.notChecked') : FOUND.plays[finding];
        return (
          <Box
            key={point}
            component="button"
            type="button"
            aria-label={`${pointTitle(point)}, ${whereWords(wheel)}: ${words}`}
            aria-pressed={point === at}
            onClick={() => onPick(point)}
            sx={{
              position: 'absolute',
              left: `${((isLeft ? x : WIDTH - x) / WIDTH) * 100}%`,
              top: `${(y / HEIGHT) * 100}%`,
              transform: 'translate(-50%, -50%)',
              width: { xs: 36, sm: 44 },
              height: { xs: 36, sm: 44 },
              p: 0,
              border: 0,
              background: 'none',
              cursor: 'pointer',
              display: 'grid',
              placeItems: 'center',
            }}
          >
            <FindingMark finding={finding} isAt={point === at} />
          </Box>
        );
      })}
    </Box>
  );
}

/** Open: a hollow ring. In order: a tick. Some play: half a diamond. Too much: a whole one. */
function FindingMark({ finding, isAt }: { finding: Play; isAt: boolean }) {
  const ink = finding === 'some' || finding === 'excessive' ? 'var(--marker)' : 'var(--ink)';
  return (
    <svg width={36} height={36} viewBox="-18 -18 36 36" aria-hidden style={{ display: 'block' }}>
      <circle
        r={isAt ? 15 : 11}
        fill="var(--sheet)"
        stroke={isAt ? 'var(--marker)' : ink}
        strokeWidth={isAt ? 3.5 : 1.6}
      />
      {finding === 'none' && (
        <path d="M-5 0L-1.5 4L5.5 -4.5" fill="none" stroke="var(--ink)" strokeWidth={2.2} />
      )}
      {finding === 'some' && (
        <>
          <path d="M0 -8L8 0L0 8L-8 0Z" fill="none" stroke={ink} strokeWidth={1.8} />
          <path d="M0 -8L0 8L-8 0Z" fill={ink} />
        </>
      )}
      {finding === 'excessive' && <path d="M0 -9L9 0L0 9L-9 0Z" fill={ink} />}
    </svg>
  );
}

const METAL = {
  fill: 'none',
  stroke: 'var(--soft)',
  strokeLinecap: 'round',
  strokeLinejoin: 'round',
} as const;

function Wheel() {
  return (
    <>
      <path d="M0 336H600" stroke="var(--line)" />
      <rect x={28} y={58} width={90} height={276} rx={26} fill="var(--rubber)" />
    </>
  );
}

/** Hub and upright. */
function Upright() {
  return (
    <>
      <path d="M120 112V280" {...METAL} strokeLinecap="butt" strokeWidth={9} />
      <path d="M122 178H152M160 110L150 178L162 312" {...METAL} strokeWidth={12} />
    </>
  );
}

/** A spring round the line from one end to the other. */
function Coils({ from, to }: { from: readonly [number, number]; to: readonly [number, number] }) {
  const TURNS = 5;
  const HALF = 25;
  const along = [to[0] - from[0], to[1] - from[1]] as const;
  const length = Math.hypot(...along);
  const across = [(-along[1] / length) * HALF, (along[0] / length) * HALF] as const;
  const at = (part: number, side: 1 | -1) =>
    `${(from[0] + along[0] * part + across[0] * side).toFixed(1)} ${(from[1] + along[1] * part + across[1] * side).toFixed(1)}`;
  return (
    <>
      {Array.from({ length: TURNS }, (_, i) => (
        <path
          key={i}
          d={`M${at(i / TURNS, -1)}L${at((i + 0.7) / TURNS, 1)}`}
          fill="none"
          stroke="var(--ink)"
          strokeWidth={4.5}
          strokeLinecap="round"
        />
      ))}
    </>
  );
}

function FrontCorner() {
  return (
    <>
      <Wheel />
      <g opacity={0.8}>
        <Upright />
        {/* Strut with its spring. */}
        <path d="M164 150L184 112L210 22" {...METAL} strokeWidth={13} />
        <Coils from={[189, 92]} to={[210, 20]} />
        {/* Rack, tie rod. */}
        <path d="M400 231H600" {...METAL} strokeWidth={22} opacity={0.55} />
        <path d="M160 244L187 240L385 233L430 231" {...METAL} strokeWidth={6} />
        {/* Lower arm on its two bushings. */}
        <path d="M160 312L430 312M160 312L410 286" {...METAL} strokeWidth={11} />
        {/* Stabilizer bar and its link. */}
        <path d="M600 196H372L356 190L186 140" {...METAL} strokeWidth={4} />
      </g>
    </>
  );
}

function RearCorner() {
  return (
    <>
      <Wheel />
      <g opacity={0.8}>
        <Upright />
        {/* Upper link. */}
        <path d="M160 118L430 108" {...METAL} strokeWidth={8} />
        {/* Damper. */}
        <path d="M196 306L202 190" {...METAL} strokeWidth={15} />
        <path d="M202 190L216 24" {...METAL} strokeWidth={6} />
        {/* Spring on the lower arm. */}
        <Coils from={[262, 300]} to={[262, 168]} />
        {/* Toe link, lower arm. */}
        <path d="M160 262L430 256" {...METAL} strokeWidth={6} />
        <path d="M160 312H430" {...METAL} strokeWidth={13} />
      </g>
    </>
  );
}
