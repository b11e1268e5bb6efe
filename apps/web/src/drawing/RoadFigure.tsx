/** The frame of a small drawing of a tire on the road, 232 by 122. */
export function RoadFigure({
  label,
  roadAt,
  children,
}: {
  label: string;
  /** Height of the road in the drawing. */
  roadAt: number;
  children: React.ReactNode;
}) {
  return (
    <svg
      viewBox="0 0 232 122"
      width="100%"
      style={{ maxWidth: 232, display: 'block' }}
      role="img"
      aria-label={label}
    >
      <line x1={6} x2={226} y1={roadAt} y2={roadAt} stroke="var(--ink)" strokeWidth={1.5} />
      {children}
    </svg>
  );
}
