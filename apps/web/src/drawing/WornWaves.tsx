import { RoadFigure } from './RoadFigure.tsx';

const TURNS = 10;
const RADIUS = 44;
const DEPTH = 3.4;

/** A tire seen from the side with waves worn round its tread, drawn larger than life. */
export function WornWaves({ label }: { label: string }) {
  const points = Array.from({ length: 361 }, (_, degree) => {
    const angle = (degree * Math.PI) / 180;
    const radius = RADIUS - DEPTH * (1 + Math.cos(TURNS * angle)) * 0.5;
    return `${(116 + radius * Math.cos(angle)).toFixed(1)} ${(60 + radius * Math.sin(angle)).toFixed(1)}`;
  });
  return (
    <RoadFigure label={label} roadAt={105}>
      <path d={`M${points.join('L')}Z`} fill="none" stroke="var(--marker)" strokeWidth={2.5} />
      <circle cx={116} cy={60} r={26} fill="none" stroke="var(--ink)" strokeWidth={1.5} />
      <circle cx={116} cy={60} r={5} fill="var(--ink)" />
    </RoadFigure>
  );
}
