import { RoadFigure } from './RoadFigure.tsx';

const ROAD = 105;
const CENTRE = { x: 116, y: 59 };
const RADIUS = 46;
const RIM = 25;
/** Waves round the tire, and how deep they are drawn when nothing says how deep they are. */
const WAVES = 9;
const DEPTH = 4;

interface WornWavesProps {
  label: string;
  /** From crest to hollow, in units of the drawing. */
  depth?: number;
}

/** A tire seen from the side with waves worn round its tread, the new tread dashed; larger than life. */
export function WornWaves({ label, depth = 2 * DEPTH }: WornWavesProps) {
  const at = (degree: number, radius: number) => {
    const angle = (degree * Math.PI) / 180;
    return `${(CENTRE.x + radius * Math.cos(angle)).toFixed(1)} ${(CENTRE.y + radius * Math.sin(angle)).toFixed(1)}`;
  };
  // Crests stay where the tread was; it stands on one of them, so that the road touches it.
  const worn = (degree: number) =>
    RADIUS - (depth / 2) * (1 - Math.cos((WAVES * (degree - 90) * Math.PI) / 180));
  const outline = Array.from({ length: 180 }, (_, i) => at(2 * i, worn(2 * i))).join('L');
  return (
    <RoadFigure label={label} roadAt={ROAD}>
      <path d={`M${outline}Z`} fill="var(--rubber)" />
      <circle cx={CENTRE.x} cy={CENTRE.y} r={RIM} fill="var(--paper)" />
      <circle cx={CENTRE.x} cy={CENTRE.y} r={RIM - 4} fill="none" stroke="var(--soft)" />
      <circle
        cx={CENTRE.x}
        cy={CENTRE.y}
        r={RADIUS}
        fill="none"
        stroke="var(--marker)"
        strokeWidth={1.5}
        strokeDasharray="3 3"
      />
    </RoadFigure>
  );
}
