import { Frame, FRAME, Span, Words } from './frame.tsx';
import type { ToolDrawing } from './toolDrawing.ts';
import { t } from '../../words/drawing.ts';

const MM_PER_IN = 25.4;
const FACE_X = FRAME.width / 2 + 10;
const TOP = 52;
const BOTTOM = 176;
/** Room for the widest rim on either side of the bolted face. */
const MOST_PX = 150;

/** A right wheel from behind: the old rim dashed, the new one drawn, both on the same bolted face. */
export function WheelFitDrawing({ input, output }: ToolDrawing<'wheelFit'>) {
  const edges = ({ width, offset }: { width: number; offset: number }) => ({
    outer: (width * MM_PER_IN) / 2 - offset,
    inner: (width * MM_PER_IN) / 2 + offset,
  });
  const old = edges(input.old);
  const fitted = edges({ ...input.new, offset: input.new.offset - (input.spacer ?? 0) });
  const scale = MOST_PX / Math.max(old.outer, old.inner, fitted.outer, fitted.inner, 1);
  const out = (mm: number) => FACE_X + mm * scale;
  const box = ({ outer, inner }: { outer: number; inner: number }) => ({
    x: out(-inner),
    y: TOP,
    width: Math.max(1, (outer + inner) * scale),
    height: BOTTOM - TOP,
    rx: 6,
  });
  return (
    <Frame
      label={t('wheelFit.aRightWheelFrom', {
        outerMoves: output.outerMoves.toFixed(1),
        innerMoves: output.innerMoves.toFixed(1),
      })}
    >
      <rect {...box(fitted)} fill="var(--rubber)" opacity={0.85} />
      <rect {...box(old)} fill="none" stroke="var(--ink)" strokeDasharray="5 4" strokeWidth={1.5} />
      <line
        x1={FACE_X}
        x2={FACE_X}
        y1={TOP - 22}
        y2={BOTTOM + 14}
        stroke="var(--marker)"
        strokeWidth={2}
      />
      <Words x={FACE_X} y={TOP - 28} marked>
        {t('wheelFit.boltedFace')}
      </Words>
      <Words x={12} y={TOP - 28} anchor="start">
        {t('wheelFit.strutSide')}
      </Words>
      <Words x={FRAME.width - 12} y={TOP - 28} anchor="end">
        {t('wheelFit.fenderSide')}
      </Words>
      {Math.abs(output.outerMoves) > 0.05 && (
        <Span from={[out(old.outer), BOTTOM + 24]} to={[out(fitted.outer), BOTTOM + 24]}>
          {Math.abs(output.outerMoves).toFixed(0)}
        </Span>
      )}
      {Math.abs(output.innerMoves) > 0.05 && (
        <Span from={[out(-old.inner), BOTTOM + 24]} to={[out(-fitted.inner), BOTTOM + 24]}>
          {Math.abs(output.innerMoves).toFixed(0)}
        </Span>
      )}
      <Words x={FRAME.width / 2} y={FRAME.height - 8}>
        {t('wheelFit.dashedTheOldWheel')}
      </Words>
    </Frame>
  );
}
