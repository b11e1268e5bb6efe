import type { VisitDraft } from '@keen/contract';
import { axleSection, countRead, DEFAULT_LIMITS_MM, sectionTires } from '@keen/core';
import { t } from '../words/drawing.ts';

const WIDTH = 62;
const HEIGHT = 30;
const BETWEEN = 12;

/**
 * The twelve ribs of a car as one small picture: front axle, then rear.
 * @param width - on the page, px; as it is drawn where none is given
 */
export function TreadMiniature({
  draft,
  width = 2 * WIDTH + BETWEEN,
}: {
  draft: VisitDraft;
  width?: number;
}) {
  const tires = sectionTires(draft, null);
  const legalMm = draft.limits?.legal ?? DEFAULT_LIMITS_MM.legal;
  const read = countRead(draft);
  return (
    <svg
      viewBox={`0 0 ${2 * WIDTH + BETWEEN} ${HEIGHT + 2}`}
      width={width}
      role="img"
      aria-label={
        read === 0
          ? t('treadMiniature.treadNotReadYet')
          : t('treadMiniature.treadOf12Ribs', { read })
      }
      style={{ display: 'block', flexShrink: 0 }}
    >
      {(['front', 'rear'] as const).map((axle, index) => {
        const section = axleSection(axle, tires, {
          width: WIDTH,
          height: HEIGHT,
          legalMm,
          gap: 0.1,
        });
        return (
          <g key={axle} transform={`translate(${index * (WIDTH + BETWEEN)} 0)`}>
            {section.tires.map(({ wheel, x, width }) => (
              <rect
                key={wheel}
                x={x}
                y={section.newY[wheel]}
                width={width}
                height={HEIGHT - section.newY[wheel]}
                fill="var(--hairline)"
              />
            ))}
            {section.bars.map((bar) =>
              bar.top === null ? null : (
                <rect
                  key={`${bar.wheel}${bar.rib}`}
                  x={bar.x}
                  y={Math.min(bar.top, HEIGHT - 1.5)}
                  width={bar.width}
                  height={Math.max(1.5, HEIGHT - bar.top)}
                  fill={bar.isAtLimit ? 'var(--marker)' : 'var(--rubber)'}
                />
              ),
            )}
            <line x1={0} x2={WIDTH} y1={HEIGHT} y2={HEIGHT} stroke="var(--ink)" />
          </g>
        );
      })}
    </svg>
  );
}
