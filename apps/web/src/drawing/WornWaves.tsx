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
    <svg
      viewBox="0 0 232 122"
      width="100%"
      style={{ maxWidth: 232, display: 'block' }}
      role="img"
      aria-label={label}
    >
      <line x1={6} x2={226} y1={105} y2={105} stroke="var(--ink)" strokeWidth={1.5} />
      <path d={`M${points.join('L')}Z`} fill="none" stroke="var(--marker)" strokeWidth={2.5} />
      <circle cx={116} cy={60} r={26} fill="none" stroke="var(--ink)" strokeWidth={1.5} />
      <circle cx={116} cy={60} r={5} fill="var(--ink)" />
    </svg>
  );
}
