import { showDegrees } from '../../shared/format.ts';
import { drawnDegrees, Frame, FRAME, Words } from './frame.tsx';
import type { ToolDrawing } from './toolDrawing.ts';
import { t } from '../../words/drawing.ts';

const WHEEL = { x: 150, y: 128, r: 62 };
const FLOOR = WHEEL.y + WHEEL.r;

/** A front wheel from its left side, the car driving left: the steering axis before and after. */
export function CasterHeightDrawing({ input, output }: ToolDrawing<'casterWithHeight'>) {
  const lift = Math.max(-22, Math.min(22, input.change / 3));
  const axis = (degrees: number, top: number) => {
    const lean = Math.tan((drawnDegrees(degrees, 2.4) * Math.PI) / 180);
    const [low, high] = [WHEEL.y + 34, top];
    // Leaning back is to the right of a car that drives left.
    return `M${WHEEL.x - 34 * lean} ${low}L${WHEEL.x + (WHEEL.y - high) * lean} ${high}`;
  };
  return (
    <Frame label={t('fromTheSide.steeringAxisFromThe', { caster: showDegrees(output.caster, 2) })}>
      <line
        x1={20}
        x2={FRAME.width - 20}
        y1={FLOOR}
        y2={FLOOR}
        stroke="var(--ink)"
        strokeWidth={1.6}
      />
      <circle cx={WHEEL.x} cy={WHEEL.y} r={WHEEL.r} fill="var(--rubber)" />
      <circle cx={WHEEL.x} cy={WHEEL.y} r={WHEEL.r - 22} fill="var(--sheet)" />
      <path
        d={`M40 ${46 - lift}H84A76 76 0 0 1 216 ${46 - lift}H340`}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={2}
      />
      <path
        d={axis(input.caster, 40)}
        fill="none"
        stroke="var(--control)"
        strokeWidth={2}
        strokeDasharray="5 4"
      />
      <path d={axis(output.caster, 40 - lift)} fill="none" stroke="var(--marker)" strokeWidth={3} />
      <path d="M84 216H36m9 -6l-9 6l9 6" fill="none" stroke="var(--ink)" strokeWidth={1.5} />
      <Words x={96} y={220} anchor="start">
        {t('fromTheSide.front')}
      </Words>
      <Words x={236} y={104} anchor="start" strong marked>
        {showDegrees(output.caster, 2)}
      </Words>
      <Words x={236} y={124} anchor="start">
        {t('fromTheSide.wasDashed', { caster: showDegrees(input.caster, 2) })}
      </Words>
      <Words x={236} y={220} anchor="start">
        {t('fromTheSide.leanLargerThanLife')}
      </Words>
    </Frame>
  );
}
