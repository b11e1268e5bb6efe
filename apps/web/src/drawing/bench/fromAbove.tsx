import { showDegrees } from '../../shared/format.ts';
import { Block, drawnDegrees, Frame, FRAME, Span, Words } from './frame.tsx';
import type { ToolDrawing } from './toolDrawing.ts';
import { t } from '../../words/drawing.ts';

/** Toe and thrust, seen from above; the car drives up the page. */

const MIDDLE = FRAME.width / 2;
const LEFT = 84;
const RIGHT = FRAME.width - 84;

function Axle({ y, turns }: { y: number; turns: readonly [number, number] }) {
  return (
    <>
      <line x1={LEFT} x2={RIGHT} y1={y} y2={y} stroke="var(--ink)" strokeWidth={1.5} />
      <Block x={LEFT} y={y} turn={turns[0]} />
      <Block x={RIGHT} y={y} turn={-turns[1]} />
    </>
  );
}

const PAIR_LABELS = {
  in: 'fromAbove.frontPairIn',
  out: 'fromAbove.frontPairOut',
  none: 'fromAbove.frontPairParallel',
} as const;

export function TapeDrawing({ input, output }: ToolDrawing<'toeFromTape'>) {
  const y = 118;
  const turn = drawnDegrees(output.totalToe / 2, 14);
  const lean = 46 * Math.tan((turn * Math.PI) / 180);
  return (
    <Frame label={t(PAIR_LABELS[output.direction])}>
      <Axle y={y} turns={[turn, turn]} />
      <Span from={[LEFT + lean, y - 62]} to={[RIGHT - lean, y - 62]}>
        {t('fromAbove.ahead', { front: input.front, unit: input.unit })}
      </Span>
      <Span from={[LEFT - lean, y + 66]} to={[RIGHT + lean, y + 66]}>
        {t('fromAbove.behind', { rear: input.rear, unit: input.unit })}
      </Span>
      <path
        d={`M${MIDDLE} ${y + 34}V${y - 34}m-6 10l6 -10l6 10`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={1.5}
      />
      <Words x={MIDDLE} y={226}>
        {t('fromAbove.fromAboveDrawnLarger')}
      </Words>
    </Frame>
  );
}

export function OneWheelDrawing({
  toeDeg,
  words,
  drift,
}: {
  toeDeg: number;
  words: string;
  /** Sideways drag to draw, as words; none when empty. */
  drift?: string;
}) {
  const y = 112;
  const turn = drawnDegrees(toeDeg, 12);
  return (
    <Frame label={t('fromAbove.aLeftWheelFrom', { words })}>
      <line x1={150} x2={150} y1={20} y2={204} stroke="var(--line)" strokeDasharray="3 4" />
      <Block x={150} y={y} turn={turn} width={44} height={126} />
      <path
        d={`M230 ${y + 54}V${y - 54}m-6 10l6 -10l6 10`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={1.5}
      />
      <Words x={238} y={y - 34} anchor="start">
        {t('fromAbove.theWayItRolls')}
      </Words>
      {drift && (
        <>
          <path
            d={`M250 ${y + 30}h${toeDeg >= 0 ? 60 : -60}m${toeDeg >= 0 ? '-8 -5l8 5l-8 5' : '8 -5l-8 5l8 5'}`}
            transform={toeDeg >= 0 ? '' : 'translate(60 0)'}
            fill="none"
            stroke="var(--marker)"
            strokeWidth={2}
          />
          <Words x={250} y={y + 52} anchor="start" strong marked>
            {drift}
          </Words>
        </>
      )}
      <Words x={150} y={226}>
        {words}
      </Words>
    </Frame>
  );
}

type Toe = Record<'lf' | 'rf' | 'lr' | 'rr', number>;

/** Both axles with the toe of each wheel beside it. */
function FourWheels({ toe, front, rear }: { toe: Toe; front: number; rear: number }) {
  const turn = (degrees: number) => drawnDegrees(degrees, 14, 16);
  return (
    <>
      <Axle y={front} turns={[turn(toe.lf), turn(toe.rf)]} />
      <Axle y={rear} turns={[turn(toe.lr), turn(toe.rr)]} />
      {(
        [
          ['lf', LEFT, front],
          ['rf', RIGHT, front],
          ['lr', LEFT, rear],
          ['rr', RIGHT, rear],
        ] as const
      ).map(([wheel, x, y]) => (
        <Words
          key={wheel}
          x={x + (x < MIDDLE ? 26 : -26)}
          y={y + 26}
          anchor={x < MIDDLE ? 'start' : 'end'}
          strong
        >
          {showDegrees(toe[wheel], 2)}
        </Words>
      ))}
    </>
  );
}

export function GaugesDrawing({ input, output }: ToolDrawing<'toeFromGauges'>) {
  const [front, rear] = [58, 168];
  const lean = drawnDegrees(output.thrustAngle, 30, 14);
  const end = MIDDLE + (rear - 14) * Math.tan((lean * Math.PI) / 180);
  const isAgainstRear = input.frontAgainst === 'rearAxle';
  return (
    <Frame label={t('fromAbove.toeOfEachWheel')}>
      <line x1={MIDDLE} x2={MIDDLE} y1={14} y2={206} stroke="var(--line)" strokeDasharray="3 4" />
      <line x1={MIDDLE} x2={end} y1={rear} y2={14} stroke="var(--marker)" strokeWidth={2} />
      <FourWheels toe={output.toe} front={front} rear={rear} />
      <Words x={MIDDLE} y={228}>
        {isAgainstRear ? t('fromAbove.frontReadAgainstThe') : t('fromAbove.frontReadAndTold')}
      </Words>
    </Frame>
  );
}

const STRING_X = [22, FRAME.width - 22] as const;

export function StringsDrawing({ input, output }: ToolDrawing<'toeFromStrings'>) {
  const [front, rear] = [58, 168];
  const lean = drawnDegrees(output.parallelError / 2, 30, 8);
  const off = 55 * Math.tan((lean * Math.PI) / 180);
  const { toe } = output;
  return (
    <Frame label={t('fromAbove.theCarBetweenTwo')}>
      <line x1={MIDDLE} x2={MIDDLE} y1={20} y2={206} stroke="var(--line)" strokeDasharray="3 4" />
      {STRING_X.map((x, side) => (
        <line
          key={x}
          x1={x + (side === 0 ? -off : off)}
          x2={x + (side === 0 ? off : -off)}
          y1={12}
          y2={210}
          stroke="var(--marker)"
          strokeWidth={1.6}
        />
      ))}
      <FourWheels toe={toe} front={front} rear={rear} />
      <Words x={MIDDLE} y={228}>
        {t('fromAbove.strings', {
          state: output.parallel
            ? t('fromAbove.parallel')
            : t('fromAbove.offByTakenOut', {
                parallelError: Math.abs(output.parallelError).toFixed(2),
              }),
          front: input.stringGap.front,
          rear: input.stringGap.rear,
          unit: input.unit,
        })}
      </Words>
    </Frame>
  );
}

export function ThrustDrawing({ input, output }: ToolDrawing<'thrust'>) {
  const y = 150;
  const turn = (degrees: number) => drawnDegrees(degrees, 14, 18);
  const lean = drawnDegrees(output.thrustAngle, 30, 20);
  const end = MIDDLE + 110 * Math.tan((lean * Math.PI) / 180);
  return (
    <Frame
      label={t('fromAbove.rearAxleFromAbove', { thrustAngle: showDegrees(output.thrustAngle, 2) })}
    >
      <Axle y={y} turns={[turn(input.toeLr), turn(input.toeRr)]} />
      <line x1={MIDDLE} x2={MIDDLE} y1={y} y2={28} stroke="var(--control)" strokeDasharray="4 4" />
      <line x1={MIDDLE} x2={end} y1={y} y2={34} stroke="var(--marker)" strokeWidth={2.4} />
      <circle cx={end} cy={32} r={4} fill="var(--marker)" />
      <Words x={MIDDLE + (lean >= 0 ? -8 : 8)} y={38} anchor={lean >= 0 ? 'end' : 'start'}>
        {t('fromAbove.middleOfTheCar')}
      </Words>
      <Words
        x={end + (lean >= 0 ? 10 : -10)}
        y={38}
        anchor={lean >= 0 ? 'start' : 'end'}
        strong
        marked
      >
        {t('fromAbove.thrust', { thrustAngle: showDegrees(output.thrustAngle, 2) })}
      </Words>
      {output.steeringWheelOffset !== undefined && (
        <g
          transform={`translate(${FRAME.width - 46} 92) rotate(${drawnDegrees(output.steeringWheelOffset, 1, 60)})`}
        >
          <circle r={24} fill="none" stroke="var(--ink)" strokeWidth={3} />
          <path d="M-22 0H22M0 0V22" stroke="var(--ink)" strokeWidth={3} />
        </g>
      )}
      <Words x={MIDDLE} y={226}>
        {t('fromAbove.rearAxleFromAboveDrawn')}
      </Words>
    </Frame>
  );
}

export function AxleSquareDrawing({ input, output }: ToolDrawing<'axleSquare'>) {
  const [front, rear] = [52, 168];
  const turn = drawnDegrees(output.angle, 8, 14);
  const lift = ((RIGHT - LEFT) / 2) * Math.tan((turn * Math.PI) / 180);
  return (
    <Frame label={t('fromAbove.twoAxlesFromAbove', { angle: showDegrees(output.angle, 2) })}>
      <Axle y={front} turns={[0, 0]} />
      <g transform={`rotate(${turn} ${MIDDLE} ${rear})`}>
        <line x1={LEFT} x2={RIGHT} y1={rear} y2={rear} stroke="var(--ink)" strokeWidth={1.5} />
        <Block x={LEFT} y={rear} height={76} />
        <Block x={RIGHT} y={rear} height={76} />
        <path
          d={`M${MIDDLE} ${rear}V${rear - 60}m-6 10l6 -10l6 10`}
          fill="none"
          stroke="var(--marker)"
          strokeWidth={2}
        />
      </g>
      <Span from={[LEFT - 44, front]} to={[LEFT - 44, rear - lift]}>
        {input.left}
      </Span>
      <Span from={[RIGHT + 30, front]} to={[RIGHT + 30, rear + lift]}>
        {input.right}
      </Span>
      <Words x={MIDDLE} y={34} strong>
        {showDegrees(output.angle, 2)}
      </Words>
      <Words x={MIDDLE} y={230}>
        {t('fromAbove.fromAboveTheCar')}
      </Words>
    </Frame>
  );
}

export function FlagsDrawing({ input, output }: ToolDrawing<'toeFromFlags'>) {
  const [front, rear] = [52, 176];
  const sides = [
    { name: 'left', x: LEFT, out: -1, toe: output.toe.left, flag: input.flags.left },
    { name: 'right', x: RIGHT, out: 1, toe: output.toe.right, flag: input.flags.right },
  ] as const;
  return (
    <Frame label={t('fromAbove.beamsFromTheFront', { totalToe: showDegrees(output.totalToe, 2) })}>
      <Axle
        y={front}
        turns={[drawnDegrees(output.toe.left, 14), drawnDegrees(output.toe.right, 14)]}
      />
      <line x1={LEFT} x2={RIGHT} y1={rear} y2={rear} stroke="var(--ink)" strokeWidth={1.5} />
      <Block x={LEFT} y={rear} height={76} />
      <Block x={RIGHT} y={rear} height={76} />
      {sides.map(({ name, x, out, toe, flag }) => {
        const lean = (rear - front) * Math.tan((drawnDegrees(toe, 6, 10) * Math.PI) / 180);
        const at = x + out * (34 + lean);
        return (
          <g key={name}>
            <line
              x1={x + out * 34}
              x2={at}
              y1={front}
              y2={rear}
              stroke="var(--marker)"
              strokeWidth={1.8}
              strokeDasharray="6 3"
            />
            <rect
              x={at - 13}
              y={rear - 3}
              width={26}
              height={6}
              fill="var(--sheet)"
              stroke="var(--ink)"
            />
            <Words x={at + out * 4} y={rear + 20} strong>
              {Number(flag.toFixed(2))}
            </Words>
          </g>
        );
      })}
      <Words x={MIDDLE} y={34} strong>
        {t('fromAbove.total', { totalToe: showDegrees(output.totalToe, 2) })}
      </Words>
      <Words x={MIDDLE} y={230}>
        {t('fromAbove.fromAboveDrawnLarger')}
      </Words>
    </Frame>
  );
}
