import type { TreadProfile, Wheel } from '@keen/contract';
import { levelProfile } from '@keen/core';
import { WHEEL_LABELS } from '../shared/wheelLabels.ts';
import { t } from '../words/drawing.ts';

const WIDTH = 260;
const HEIGHT = 92;
const BASE = 84;
/** A new tread fills the height, mm. */
const TALLEST_MM = 10;

interface ProfileViewProps {
  wheel: Wheel;
  profiles: readonly TreadProfile[];
  /** Tread left at which the law stops, mm. */
  legalMm: number;
}

/** The cuts across one tire laid over one another, seen from behind: outer edge outward. */
export function ProfileView({ wheel, profiles, legalMm }: ProfileViewProps) {
  const isLeft = wheel.startsWith('l');
  const y = (mm: number) => BASE - (Math.min(TALLEST_MM, Math.max(-0.5, mm)) / TALLEST_MM) * 76;
  const line = (heights: readonly number[]) => {
    const level = levelProfile(heights);
    const across = isLeft ? level.toReversed() : level;
    return across
      .map((mm, i) => `${((i / (across.length - 1)) * WIDTH).toFixed(1)} ${y(mm).toFixed(1)}`)
      .join('L');
  };
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width="100%"
      role="img"
      aria-label={t('profileView.cutsAcrossTheTread', {
        wheelLabels: WHEEL_LABELS[wheel],
        length: profiles.length,
      })}
      style={{ display: 'block' }}
    >
      {profiles[0] && (
        <path
          d={`M0 ${BASE}L${line(profiles[0].heights)}L${WIDTH} ${BASE}Z`}
          fill="var(--rubber)"
          opacity={0.18}
        />
      )}
      {profiles.map(({ along, heights }) => (
        <path
          key={along}
          d={`M${line(heights)}`}
          fill="none"
          stroke="var(--rubber)"
          strokeWidth={0.9}
          opacity={0.75}
        />
      ))}
      <line
        x1={0}
        x2={WIDTH}
        y1={y(legalMm)}
        y2={y(legalMm)}
        stroke="var(--marker)"
        strokeDasharray="4 3"
      />
      <line x1={0} x2={WIDTH} y1={BASE} y2={BASE} stroke="var(--ink)" />
    </svg>
  );
}
