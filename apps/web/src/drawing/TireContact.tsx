import { RoadFigure } from './RoadFigure.tsx';

/** A tire seen from the front, standing on its shoulders when soft and on its centre when hard. */
export function TireContact({ ratio, label }: { ratio: number; label: string }) {
  // The tread's rise in the middle (+) or at the edges (-), drawn larger than life.
  const bulge = Math.max(-12, Math.min(12, (1 - ratio) * 40));
  const ground = 104;
  const [left, right] = [76, 156];
  const middle = (left + right) / 2;
  const side = Math.max(0, bulge) * 0.9;
  const edge = ground - Math.max(0, -bulge);
  const centre = ground - Math.max(0, bulge);
  const control = 2 * centre - edge;
  return (
    <RoadFigure label={label} roadAt={ground}>
      <path
        d={`M${left + 8} 20 C${left - 10 - side} 40 ${left - 12 - side} 84 ${left} ${edge} Q${middle} ${control} ${right} ${edge} C${right + 12 + side} 84 ${right + 10 + side} 40 ${right - 8} 20 Z`}
        fill="var(--paper)"
        stroke="var(--ink)"
        strokeWidth={1.5}
      />
      {bulge >= 0 ? (
        <>
          <Worn x={left + 1} />
          <Worn x={right - 27} />
        </>
      ) : (
        <Worn x={middle - 13} />
      )}
    </RoadFigure>
  );
}

/** Where the tread is pressed onto the road and worn. */
function Worn({ x }: { x: number }) {
  return <rect x={x} y={100} width={26} height={5} fill="var(--marker)" />;
}
