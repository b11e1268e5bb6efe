/** How the ribs catch: three teeth, and the way the hand moves. */
export function StrokeGuide() {
  return (
    <svg
      viewBox="0 0 260 96"
      width={260}
      height={96}
      role="img"
      aria-label="Moving away from the car the hand meets the sharp side: catches out. Moving back it is smooth."
    >
      {[0, 1, 2, 3].map((i) => (
        <path key={i} d={`M${20 + i * 55} 74L${75 + i * 55} 52V74Z`} fill="var(--rubber)" />
      ))}
      <line x1={20} x2={240} y1={74} y2={74} stroke="var(--ink)" />
      <path d="M196 34H64m9 -6l-9 6l9 6" fill="none" stroke="var(--marker)" strokeWidth={2} />
      <text x={130} y={22} fontSize={12.5} textAnchor="middle" fill="var(--ink)" fontWeight={600}>
        the sharp side meets the hand
      </text>
      <text x={20} y={91} fontSize={11.5} fill="var(--soft)">
        away from the car
      </text>
      <text x={240} y={91} fontSize={11.5} fill="var(--soft)" textAnchor="end">
        toward the car
      </text>
    </svg>
  );
}
