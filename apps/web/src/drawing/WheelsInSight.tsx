import { WHEEL_LABELS, WHEEL_SHORT } from '../shared/wheelLabels.ts';
import type { DrawnAngle, DrawnAxle, DrawnWheel } from '@keen/core';
import { showDegrees } from '../shared/format.ts';
import { AngleFigure } from './AngleFigure.tsx';
import { CamberArrow, ToeArrow } from './handArrows.tsx';
import type { MarkedAngle } from './handArrows.tsx';
import { TurnedWheel } from './TurnedWheel.tsx';
import { t } from '../words/drawing.ts';
import { term } from '../words/terms.ts';
import { whereWords } from '../words/pageTexts.ts';

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
const CAMBER_ARROW = BEHIND.y - BEHIND.height / 2 - 14;
const GROUND = BEHIND.y + BEHIND.height / 2 + 2;
const HEIGHT = 306;
const SMALL_HEIGHT = 236;
/** Where the figures stand in the strip: under the wheels. */
const SMALL_FIGURES = 204;

/** One axle from above, and its camber from behind under it; as a strip whichever is at hand. */
export function AxleWheels({ axle, marked, toeWords, isSmall = false }: AxleWheelsProps) {
  const { wheels, total, thrust } = axle;
  const y = ABOVE.y;
  if (isSmall && marked?.kind === 'camber') return <SmallFromBehind axle={axle} marked={marked} />;
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
          <TurnedWheel
            angle={one.toe}
            box={{ x: X[one.side], ...ABOVE }}
            isMarked={isAt(marked, one, 'toe') || isAt(marked, one, 'caster')}
          />
          {isAt(marked, one, 'toe') && <ToeArrow marked={marked} one={one} x={X[one.side]} y={y} />}
        </g>
      ))}
      {total && (
        <AngleFigure
          x={WIDTH / 2}
          y={isSmall ? SMALL_FIGURES : y - 42}
          anchor="middle"
          big={isSmall ? 44 : 22}
          isSmall={isSmall}
          title={t('wheelsInSight.totalToe', { plain: plain(toeWords(2 * total.sd, true)) })}
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
            {isSmall ? WHEEL_SHORT[one.wheel] : WHEEL_LABELS[one.wheel]}
          </text>
          {!total && (
            <AngleFigure
              x={one.side === 'left' ? 0 : WIDTH}
              y={isSmall ? SMALL_FIGURES : y}
              anchor={one.side === 'left' ? 'start' : 'end'}
              big={isSmall ? 48 : 30}
              isSmall={isSmall}
              title={
                one.toe
                  ? t('wheelsInSight.toeGiveOrTake', { sd: plain(toeWords(2 * one.toe.sd, false)) })
                  : term('angle.toe')
              }
              angle={one.toe}
              words={(degrees) => toeWords(degrees, false)}
            />
          )}
          {!isSmall && (
            <>
              <TurnedWheel
                angle={one.camber}
                box={{ x: X[one.side], ...BEHIND }}
                isMarked={isAt(marked, one, 'camber')}
              />
              {isAt(marked, one, 'camber') && (
                <CamberArrow marked={marked} one={one} x={X[one.side]} y={CAMBER_ARROW} />
              )}
              <AngleFigure
                x={one.side === 'left' ? 0 : WIDTH}
                y={BEHIND.y - 4}
                anchor={one.side === 'left' ? 'start' : 'end'}
                big={24}
                title={term('angle.camber')}
                angle={one.camber}
                words={(degrees) => showDegrees(degrees, 1)}
              />
            </>
          )}
        </g>
      ))}
      {isSmall && (
        <StripTitle words={total ? t('wheelsInSight.totalToeWord') : term('angle.toe')} />
      )}
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

/** The strip while camber is measured or set: the pair from behind, standing on the floor. */
function SmallFromBehind({ axle, marked }: { axle: DrawnAxle; marked: MarkedAngle }) {
  const y = ABOVE.y + 8;
  const floor = y + ABOVE.height / 2;
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${SMALL_HEIGHT}`}
      width="100%"
      role="img"
      aria-label={axleWords(axle)}
      style={{ display: 'block', maxWidth: 560 }}
    >
      <line x1={70} x2={WIDTH - 70} y1={floor} y2={floor} stroke="var(--ink)" />
      <line x1={X.left} x2={X.right} y1={y} y2={y} stroke="var(--ink)" strokeWidth={1.5} />
      <StripTitle words="camber" />
      {axle.wheels.map((one) => (
        <g key={one.wheel}>
          <TurnedWheel
            angle={one.camber}
            box={{ x: X[one.side], y, width: ABOVE.width, height: ABOVE.height, reach: 64 }}
            isMarked={isAt(marked, one, 'camber')}
          />
          {isAt(marked, one, 'camber') && (
            <CamberArrow marked={marked} one={one} x={X[one.side]} y={y - 62} />
          )}
          <StripName one={one} />
          <AngleFigure
            x={one.side === 'left' ? 0 : WIDTH}
            y={SMALL_FIGURES}
            anchor={one.side === 'left' ? 'start' : 'end'}
            big={48}
            isSmall
            title={term('angle.camber')}
            angle={one.camber}
            words={(degrees) => showDegrees(degrees, 1)}
          />
        </g>
      ))}
    </svg>
  );
}

function StripName({ one }: { one: DrawnWheel }) {
  return (
    <text
      x={one.side === 'left' ? 0 : WIDTH}
      y={24}
      textAnchor={one.side === 'left' ? 'start' : 'end'}
      fontSize={30}
      fontWeight={650}
      fill="var(--ink)"
    >
      {WHEEL_SHORT[one.wheel]}
    </text>
  );
}

/** Which angle the strip shows. */
function StripTitle({ words }: { words: string }) {
  return (
    <text x={WIDTH / 2} y={SMALL_HEIGHT - 8} textAnchor="middle" fontSize={24} fill="var(--soft)">
      {words}
    </text>
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
  if (state === 'stale') return t('wheelsInSight.whereItRollsMeasure');
  const size = Math.abs(value).toFixed(2);
  if (size === '0.00') return t('wheelsInSight.rollsStraight');
  const rolls = t(value > 0 ? 'wheelsInSight.rollsRight' : 'wheelsInSight.rollsLeft', { size });
  return state === 'out' ? `◆ ${rolls}` : rolls;
}

/** The drawing in words. */
function axleWords({ axle, wheels, total }: DrawnAxle): string {
  const words = wheels.flatMap(({ wheel, toe, camber }) => {
    const said = (name: string, angle: DrawnAngle | null) => {
      if (!angle) return [];
      const value = showDegrees(angle.value, 2);
      return angle.state === 'stale'
        ? t('wheelsInSight.toBeMeasuredAgain', { name })
        : `${name} ${value}`;
    };
    const parts = [
      ...(total ? [] : [said(term('angle.toe'), toe)]),
      said(term('angle.camber'), camber),
    ].flat();
    return parts.length > 0 ? `${whereWords(wheel)}: ${parts.join(', ')}` : [];
  });
  const sum = total ? [t('wheelsInSight.totalToeOf', { value: showDegrees(total.value, 2) })] : [];
  const all = [...sum, ...words];
  return t(axle === 'front' ? 'wheelsInSight.frontWheels' : 'wheelsInSight.rearWheels', {
    measured: all.length > 0 ? all.join('; ') : t('wheelsInSight.notMeasuredYet'),
  });
}
