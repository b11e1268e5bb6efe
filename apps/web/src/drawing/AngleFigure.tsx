import type { DrawnAngle } from '@keen/core';
import { t } from '../words/drawing.ts';

interface AngleFigureProps {
  x: number;
  y: number;
  anchor: 'start' | 'middle' | 'end';
  big: number;
  title: string;
  angle: Pick<DrawnAngle, 'value' | 'state' | 'was'> | null;
  words: (degrees: number) => string;
  /** The figure alone, without what is under it. */
  isSmall?: boolean;
}

/** The figure under which it is read, and what it was. */
export function AngleFigure(props: AngleFigureProps) {
  const { x, y, anchor, big, title, angle, words, isSmall = false } = props;
  const isStale = angle?.state === 'stale';
  const isOut = angle?.state === 'out';
  const mark = isOut ? '◆ ' : angle?.state === 'tooClose' ? '○ ' : '';
  const under = !angle
    ? t('angleFigure.notRead')
    : isStale
      ? t('angleFigure.was', { value: words(angle.value) })
      : title;
  return (
    <g textAnchor={anchor}>
      <text
        x={x}
        y={y + big * 0.35}
        fontSize={angle ? big : big * 0.8}
        fontWeight={700}
        className="condensed"
        fill={isOut ? 'var(--marker)' : angle && !isStale ? 'var(--ink)' : 'var(--soft)'}
      >
        {!angle ? '–' : isStale ? t('angleFigure.again') : `${mark}${words(angle.value)}`}
      </text>
      {!isSmall && (
        <text x={x} y={y + big * 0.35 + 18} fontSize={13} fill="var(--soft)">
          {under}
        </text>
      )}
      {angle?.was && !isStale && !isSmall && (
        <text x={x} y={y + big * 0.35 + 34} fontSize={13} fill="var(--soft)">
          {t('angleFigure.was', { value: words(angle.was.value) })}
        </text>
      )}
    </g>
  );
}
