import { RoadFigure } from './RoadFigure.tsx';

const ROAD = 104;
const TOP = 18;
const [LEFT, RIGHT] = [82, 150];
const MIDDLE = (LEFT + RIGHT) / 2;
/** A unit of missing pressure is drawn this high, and no higher than this. */
const EXAGGERATION = 55;
const MOST = 13;
const WORN = 20;

/** A tire seen from the front, standing on its shoulders when soft and on its centre when hard. */
export function TireContact({ ratio, label }: { ratio: number; label: string }) {
  const bulge = Math.max(-MOST, Math.min(MOST, (1 - ratio) * EXAGGERATION));
  const isSoft = bulge >= 0;
  const side = isSoft ? bulge : 0;
  const edge = isSoft ? ROAD : ROAD + bulge;
  const centre = isSoft ? ROAD - bulge : ROAD;
  // A parabola through both edges and the centre.
  const control = 2 * centre - edge;
  const shape = [
    `M${LEFT + 10} ${TOP}H${RIGHT - 10}Q${RIGHT} ${TOP} ${RIGHT + 2} ${TOP + 14}`,
    `C${RIGHT + 4} 50 ${RIGHT + 4 + 2 * side} 84 ${RIGHT} ${edge}`,
    `Q${MIDDLE} ${control} ${LEFT} ${edge}`,
    `C${LEFT - 4 - 2 * side} 84 ${LEFT - 4} 50 ${LEFT - 2} ${TOP + 14}`,
    `Q${LEFT} ${TOP} ${LEFT + 10} ${TOP}Z`,
  ].join('');
  const worn = isSoft ? [LEFT, RIGHT - WORN] : [MIDDLE - WORN / 2];
  return (
    <RoadFigure label={label} roadAt={ROAD}>
      <path d={shape} fill="var(--rubber)" />
      {worn.map((x) => (
        <rect key={x} x={x} y={ROAD - 7} width={WORN} height={7} fill="var(--marker)" />
      ))}
    </RoadFigure>
  );
}
