import type { Axle } from '@keen/contract';
import type { DrawnAngle, DrawnAxle, DrawnWheel } from '@keen/core';
import { whereWords } from '@keen/core';
import { showDegrees } from '../shared/format.ts';

/** The angle at hand, and which way it has to go. */
export interface MarkedAngle {
  kind: 'camber' | 'toe' | 'caster';
  where: DrawnWheel['wheel'] | Axle;
  change: number | null;
}

interface AxleWheelsProps {
  axle: DrawnAxle;
  marked: MarkedAngle | null;
  /** A toe in words, of one wheel or of the total. */
  toeWords: (degrees: number, isTotal: boolean) => string;
  /** As a strip over a small screen. */
  isSmall?: boolean;
}

const WIDTH = 420;
const X = { left: 138, right: 282 } as const;
const ABOVE = { y: 96, width: 36, height: 100, reach: 80 };
const BEHIND = { y: 262, width: 19, height: 52, reach: 44 };
const GROUND = BEHIND.y + BEHIND.height / 2 + 2;
const HEIGHT = 306;
const SMALL_HEIGHT = 236;
/** Where the figures stand in the strip: under the wheels. */
const SMALL_FIGURES = 204;
/** How far from the wheel's middle the arrow of the hand is drawn. */
const ARROW_RADIUS = 70;

/** One axle from above, and its camber from behind under it. */
export function AxleWheels({ axle, marked, toeWords, isSmall = false }: AxleWheelsProps) {
  const { wheels, total, thrust } = axle;
  const y = ABOVE.y;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${isSmall ? SMALL_HEIGHT : HEIGHT}`}
      width="100%"
      role="img"
      aria-label={axleWords(axle)}
      style={{ display: 'block', maxWidth: 560 }}
    >
      <line x1={X.left} x2={X.right} y1={y} y2={y} stroke="var(--ink)" strokeWidth={1.5} />
      {thrust && (
        <g transform={`rotate(${thrust.turn} ${WIDTH / 2} ${y})`}>
          <path
            d={`M${WIDTH / 2} ${y + 72}V${y - 72}m-5 11l5 -11l5 11`}
            fill="none"
            stroke="var(--ink)"
            strokeWidth={1.3}
            strokeDasharray={thrust.row.state === 'stale' ? '4 4' : undefined}
          />
        </g>
      )}
      {wheels.map((one) => (
        <g key={one.wheel}>
          <Turned
            angle={one.toe}
            box={{ x: X[one.side], ...ABOVE }}
            isMarked={isAt(marked, one, 'toe') || isAt(marked, one, 'caster')}
          />
          {isAt(marked, one, 'toe') && <Arrow marked={marked} one={one} x={X[one.side]} y={y} />}
        </g>
      ))}
      {total && (
        <Figure
          x={WIDTH / 2}
          y={isSmall ? SMALL_FIGURES : y - 42}
          anchor="middle"
          big={isSmall ? 44 : 22}
          isSmall={isSmall}
          title={`total toe, ± ${plain(toeWords(2 * total.sd, true))}`}
          angle={{ ...total, was: null }}
          words={(degrees) => toeWords(degrees, true)}
        />
      )}
      {!isSmall && (
        <>
          <line x1={92} x2={WIDTH - 92} y1={GROUND} y2={GROUND} stroke="var(--ink)" />
          <line
            x1={X.left}
            x2={X.right}
            y1={BEHIND.y}
            y2={BEHIND.y}
            stroke="var(--ink)"
            strokeWidth={1.2}
          />
        </>
      )}
      {wheels.map((one) => (
        <g key={one.wheel}>
          <text
            x={one.side === 'left' ? 0 : WIDTH}
            y={24}
            textAnchor={one.side === 'left' ? 'start' : 'end'}
            fontSize={isSmall ? 30 : 15}
            fontWeight={650}
            fill="var(--ink)"
          >
            {whereWords(one.wheel).replace(/^./, (letter) => letter.toUpperCase())}
          </text>
          {!total && (
            <Figure
              x={one.side === 'left' ? 0 : WIDTH}
              y={isSmall ? SMALL_FIGURES : y}
              anchor={one.side === 'left' ? 'start' : 'end'}
              big={isSmall ? 48 : 30}
              isSmall={isSmall}
              title={one.toe ? `toe, ± ${plain(toeWords(2 * one.toe.sd, false))}` : 'toe'}
              angle={one.toe}
              words={(degrees) => toeWords(degrees, false)}
            />
          )}
          {!isSmall && (
            <>
              <Turned
                angle={one.camber}
                box={{ x: X[one.side], ...BEHIND }}
                isMarked={isAt(marked, one, 'camber')}
              />
              {isAt(marked, one, 'camber') && <Lean marked={marked} one={one} />}
              <Figure
                x={one.side === 'left' ? 0 : WIDTH}
                y={BEHIND.y - 4}
                anchor={one.side === 'left' ? 'start' : 'end'}
                big={24}
                title="camber"
                angle={one.camber}
                words={(degrees) => showDegrees(degrees, 1)}
              />
            </>
          )}
        </g>
      ))}
      {thrust && !isSmall && (
        <text
          x={WIDTH / 2}
          y={16}
          textAnchor="middle"
          fontSize={13}
          fill={thrust.row.state === 'out' ? 'var(--marker)' : 'var(--soft)'}
        >
          {thrustWords(thrust.row.value, thrust.row.state)}
        </text>
      )}
    </svg>
  );
}

interface Box {
  x: number;
  y: number;
  width: number;
  height: number;
  reach: number;
}

/** A wheel turned as it was measured, before what is allowed and what was found. */
function Turned({
  angle,
  box,
  isMarked,
}: {
  angle: DrawnAngle | null;
  box: Box;
  isMarked: boolean;
}) {
  const { x, y, width, height, reach } = box;
  const rect = { x: x - width / 2, y: y - height / 2, width, height, rx: width / 6 };
  const at = (turn: number) => `rotate(${turn} ${x} ${y})`;
  if (!angle) {
    return (
      <rect
        {...rect}
        fill="none"
        stroke={isMarked ? 'var(--marker)' : 'var(--line)'}
        strokeWidth={isMarked ? 2.5 : 1.5}
        strokeDasharray="1 4"
        strokeLinecap="round"
      />
    );
  }
  const isStale = angle.state === 'stale';
  const blur = [-1, -0.5, 0.5, 1].map((part) => {
    const [low, high] = angle.doubt;
    return angle.turn + (part < 0 ? (angle.turn - low) * part : (high - angle.turn) * part);
  });
  return (
    <g>
      {angle.allowed && <Wedge {...box} turns={angle.allowed} />}
      {angle.was && (
        <rect
          {...rect}
          transform={at(angle.was.turn)}
          fill="none"
          stroke="var(--soft)"
          strokeDasharray="4 3"
        />
      )}
      {!isStale &&
        blur.map((turn) => (
          <rect key={turn} {...rect} transform={at(turn)} fill="var(--rubberPale)" opacity={0.45} />
        ))}
      <rect
        {...rect}
        transform={at(angle.turn)}
        fill={isStale ? 'none' : 'var(--rubber)'}
        stroke={isMarked ? 'var(--marker)' : 'var(--rubber)'}
        strokeWidth={isMarked ? 3 : 2}
      />
      <line
        x1={x}
        x2={x}
        y1={y - reach}
        y2={y + reach}
        transform={at(angle.turn)}
        stroke="var(--ink)"
        strokeWidth={1.3}
      />
    </g>
  );
}

/** What is allowed: both ends of the line through the wheel, swept between the limits. */
function Wedge({ x, y, reach, turns }: Box & { turns: readonly [number, number] }) {
  const [a, b] = turns.map((turn) => (turn * Math.PI) / 180) as [number, number];
  const end = (angle: number, way: 1 | -1) =>
    `${x + way * reach * Math.sin(angle)} ${y - way * reach * Math.cos(angle)}`;
  return (
    <path
      d={([1, -1] as const)
        .map(
          (way) =>
            `M${x} ${y}L${end(a, way)}A${reach} ${reach} 0 0 ${a < b ? 1 : 0} ${end(b, way)}Z`,
        )
        .join('')}
      fill="var(--soft)"
      opacity={0.28}
    />
  );
}

interface FigureProps {
  x: number;
  y: number;
  anchor: 'start' | 'middle' | 'end';
  big: number;
  title: string;
  angle: Pick<DrawnAngle, 'value' | 'state' | 'was'> | null;
  words: (degrees: number) => string;
  /** The figure alone, without what is under it. */
  isSmall?: boolean;
}

/** The figure under which it is read, and what it was. */
function Figure(props: FigureProps) {
  const { x, y, anchor, big, title, angle, words, isSmall = false } = props;
  const isStale = angle?.state === 'stale';
  const isOut = angle?.state === 'out';
  const mark = isOut ? '◆ ' : angle?.state === 'tooClose' ? '○ ' : '';
  const under = !angle ? 'not read' : isStale ? `was ${words(angle.value)}` : title;
  return (
    <g textAnchor={anchor}>
      <text
        x={x}
        y={y + big * 0.35}
        fontSize={angle ? big : big * 0.8}
        fontWeight={700}
        className="condensed"
        fill={isOut ? 'var(--marker)' : angle && !isStale ? 'var(--ink)' : 'var(--soft)'}
      >
        {!angle ? '–' : isStale ? 'again' : `${mark}${words(angle.value)}`}
      </text>
      {!isSmall && (
        <text x={x} y={y + big * 0.35 + 18} fontSize={13} fill="var(--soft)">
          {under}
        </text>
      )}
      {angle?.was && !isStale && !isSmall && (
        <text x={x} y={y + big * 0.35 + 34} fontSize={13} fill="var(--soft)">
          was {words(angle.was.value)}
        </text>
      )}
    </g>
  );
}

/** Which way the front of the wheel has to go, seen from above. */
function Arrow({
  marked,
  one,
  x,
  y,
}: {
  marked: MarkedAngle | null;
  one: DrawnWheel;
  x: number;
  y: number;
}) {
  const change = marked?.change ?? null;
  if (change === null || change === 0) return null;
  // More toe-in turns the left wheel clockwise, the right one anticlockwise.
  const isClockwise = change > 0 === (one.side === 'left');
  const [from, to] = isClockwise ? [-38, -6] : [38, 6];
  const at = (degrees: number, radius: number) => {
    const angle = ((degrees + (one.toe?.turn ?? 0)) * Math.PI) / 180;
    return [x + radius * Math.sin(angle), y - radius * Math.cos(angle)] as const;
  };
  const [x1, y1] = at(from, ARROW_RADIUS);
  const [x2, y2] = at(to, ARROW_RADIUS);
  const [xa, ya] = at(to + (isClockwise ? -9 : 9), ARROW_RADIUS + 8);
  const [xb, yb] = at(to + (isClockwise ? -9 : 9), ARROW_RADIUS - 8);
  return (
    <path
      d={`M${x1} ${y1}A${ARROW_RADIUS} ${ARROW_RADIUS} 0 0 ${isClockwise ? 1 : 0} ${x2} ${y2}M${xa} ${ya}L${x2} ${y2}L${xb} ${yb}`}
      fill="none"
      stroke="var(--marker)"
      strokeWidth={3.5}
      strokeLinecap="round"
      strokeLinejoin="round"
    />
  );
}

/** Which way the top of the wheel has to lean, seen from behind. */
function Lean({ marked, one }: { marked: MarkedAngle | null; one: DrawnWheel }) {
  const change = marked?.change ?? null;
  if (change === null || change === 0) return null;
  const isOutward = change > 0;
  const way = isOutward === (one.side === 'left') ? -1 : 1;
  const x = X[one.side];
  const y = BEHIND.y - BEHIND.height / 2 - 14;
  return (
    <path
      d={`M${x - way * 14} ${y}H${x + way * 14}m${-way * 7} -6l${way * 7} 6l${-way * 7} 6`}
      fill="none"
      stroke="var(--marker)"
      strokeWidth={3}
      strokeLinecap="round"
      strokeLinejoin="round"
    />
  );
}

function isAt(
  marked: MarkedAngle | null,
  { wheel }: DrawnWheel,
  kind: MarkedAngle['kind'],
): boolean {
  if (!marked || marked.kind !== kind) return false;
  if (marked.where === wheel) return true;
  return marked.where === (wheel.endsWith('f') ? 'front' : 'rear');
}

/** Without its sign. */
function plain(words: string): string {
  return words.replace(/^[+−]/, '');
}

function thrustWords(value: number, state: string): string {
  if (state === 'stale') return 'where it rolls: measure again';
  const size = Math.abs(value).toFixed(2);
  if (size === '0.00') return 'rolls straight';
  return `${state === 'out' ? '◆ ' : ''}rolls ${size}° to the ${value > 0 ? 'right' : 'left'}`;
}

/** The drawing in words. */
function axleWords({ axle, wheels, total }: DrawnAxle): string {
  const words = wheels.flatMap(({ wheel, toe, camber }) => {
    const said = (name: string, angle: DrawnAngle | null) => {
      if (!angle) return [];
      const value = showDegrees(angle.value, 2);
      return angle.state === 'stale' ? `${name} to be measured again` : `${name} ${value}`;
    };
    const parts = [...(total ? [] : [said('toe', toe)]), said('camber', camber)].flat();
    return parts.length > 0 ? `${whereWords(wheel)}: ${parts.join(', ')}` : [];
  });
  const sum = total ? [`total toe ${showDegrees(total.value, 2)}`] : [];
  const all = [...sum, ...words];
  return `${axle === 'front' ? 'Front' : 'Rear'} wheels. ${all.length > 0 ? all.join('; ') : 'Not measured yet'}`;
}
