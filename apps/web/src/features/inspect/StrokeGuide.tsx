import { t } from '../../words/inspect.ts';

const TEETH = [0, 1, 2, 3];

/**
 * How the ribs catch, seen from behind: teeth whose steep side looks toward the car meet a hand that
 * moves away from it. A right wheel is the mirror image of a left one.
 */
export function StrokeGuide({ side }: { side: 'left' | 'right' }) {
  const isLeft = side === 'left';
  return (
    <svg
      viewBox="0 0 300 96"
      width="100%"
      role="img"
      aria-label={t('strokeGuide.movingAwayFromThe')}
      style={{ display: 'block' }}
    >
      <g transform={isLeft ? undefined : 'translate(300 0) scale(-1 1)'}>
        {TEETH.map((i) => (
          <path key={i} d={`M${30 + i * 60} 74L${90 + i * 60} 52V74Z`} fill="var(--rubber)" />
        ))}
        <path d="M222 34H78m9 -6l-9 6l9 6" fill="none" stroke="var(--marker)" strokeWidth={2} />
      </g>
      <line x1={30} x2={270} y1={74} y2={74} stroke="var(--ink)" />
      <text x={150} y={22} fontSize={12.5} textAnchor="middle" fill="var(--ink)" fontWeight={600}>
        {t('strokeGuide.catchesOutTheSharp')}
      </text>
      <text x={30} y={91} fontSize={11.5} fill="var(--soft)">
        {isLeft ? t('strokeGuide.awayFromTheCar') : t('strokeGuide.towardTheCar')}
      </text>
      <text x={270} y={91} fontSize={11.5} fill="var(--soft)" textAnchor="end">
        {isLeft ? t('strokeGuide.towardTheCar') : t('strokeGuide.awayFromTheCar')}
      </text>
    </svg>
  );
}
