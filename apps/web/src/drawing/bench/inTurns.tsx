import { showDegrees } from '../../shared/format.ts';
import { Block, drawnDegrees, Frame, FRAME, Words } from './frame.tsx';
import type { ToolDrawing } from './toolDrawing.ts';
import { t } from '../../words/drawing.ts';
import { term } from '../../words/terms.ts';

const FLOOR = 170;

/** Both front wheels in a turn, seen from behind, each leaning as it then stands. */
export function CamberInTurnsDrawing({ input, output }: ToolDrawing<'camberInTurns'>) {
  const wheels = [
    { side: 'left' as const, x: 104, turn: -drawnDegrees(output.camber.left, 3) },
    { side: 'right' as const, x: FRAME.width - 104, turn: drawnDegrees(output.camber.right, 3) },
  ];
  return (
    <Frame
      label={t('inTurns.turningLeftRightOf', {
        turning: term(`side.${input.turning}`),
        left: showDegrees(output.camber.left, 1),
        right: showDegrees(output.camber.right, 1),
      })}
    >
      <line
        x1={20}
        x2={FRAME.width - 20}
        y1={FLOOR}
        y2={FLOOR}
        stroke="var(--ink)"
        strokeWidth={1.6}
      />
      {wheels.map(({ side, x, turn }) => {
        const isInside = side === input.turning;
        return (
          <g key={side}>
            <Block x={x} y={FLOOR - 62} width={48} height={124} ghost />
            <g transform={`rotate(${turn} ${x} ${FLOOR})`}>
              <Block x={x} y={FLOOR - 62} width={48} height={124} />
            </g>
            <Words x={x} y={192} strong>
              {showDegrees(output.camber[side], 1)}
            </Words>
            <Words x={x} y={210}>
              {isInside
                ? t('inTurns.inside', { inside: input.inside })
                : t('inTurns.outside', { outside: input.outside })}
            </Words>
          </g>
        );
      })}
      <path
        d={
          input.turning === 'left'
            ? 'M214 96C206 70 190 58 166 54m11 -7l-11 7l9 9'
            : 'M166 96C174 70 190 58 214 54m-11 -7l11 7l-9 9'
        }
        fill="none"
        stroke="var(--marker)"
        strokeWidth={2.5}
      />
      {output.rise && (
        <Words x={FRAME.width / 2} y={20} marked>
          {t(output.rise.inside >= 0 ? 'inTurns.insideUp' : 'inTurns.insideDown', {
            mm: Math.abs(output.rise.inside).toFixed(0),
          })}
        </Words>
      )}
      <Words x={FRAME.width / 2} y={230}>
        {t('inTurns.fromBehindLeanDrawn')}
      </Words>
    </Frame>
  );
}
