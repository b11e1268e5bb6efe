import { joined } from '../shared/joined.ts';
import { WHEEL_LABELS, WHEEL_SHORT } from '../shared/wheelLabels.ts';
import { term } from '../words/terms.ts';
import type { Axle, DepthUnit, Rib, Wheel } from '@keen/contract';
import { axleSection, WHEELS_OF_AXLE } from '@keen/core';
import type { Bar, SectionTire, Slot } from '@keen/core';
import { memo, useId } from 'react';
import { showDepth } from '../shared/format.ts';
import { FOUND } from '../words/core/inspect.ts';
import { t } from '../words/drawing.ts';
import { whereWords } from '../words/pageTexts.ts';

interface AxleSectionViewProps {
  axle: Axle;
  tires: Record<Wheel, SectionTire>;
  legalMm: number;
  unit: DepthUnit;
  activeSlot?: Slot | null;
  /** Ribs to point at, because a cause speaks of them. */
  spokenOf?: readonly Slot[];
  onPick?: ((slot: Slot) => void) | undefined;
  /** A strip for small screens: no rib names, larger figures for its size. */
  compact?: boolean;
  /** Shows what is expected as its band alone: the bars stand at its middle themselves. */
  bandOnly?: boolean;
}

const WIDTH = 408;
const FEATHER_WORDS = {
  catchesOutward: t('axleSectionView.catchesMovingOut'),
  catchesInward: t('axleSectionView.catchesMovingIn'),
  none: t('axleSectionView.smooth'),
  unknown: '',
} as const;

/** What the hand felt, across the ribs and along the tread; a tire with waves is not called smooth. */
function feltWords({ feather, cupping }: SectionTire): string {
  if (cupping !== 'some' && cupping !== 'heavy') return FEATHER_WORDS[feather];
  return joined(feather !== 'none' && FEATHER_WORDS[feather], FOUND.cuppings[cupping]);
}

/**
 * Both tires of an axle seen from behind, cut through the rubber, to scale between new depth and
 * nothing; the thing one remembers.
 */
export const AxleSectionView = memo(function AxleSectionView(props: AxleSectionViewProps) {
  const {
    axle,
    tires,
    legalMm,
    unit,
    activeSlot = null,
    spokenOf = [],
    onPick,
    compact = false,
    bandOnly = false,
  } = props;
  const hatch = useId();
  const height = compact ? 92 : 186;
  const head = compact ? 26 : 22;
  const foot = compact ? 40 : 58;
  const section = axleSection(axle, tires, { width: WIDTH, height, legalMm });
  const [left, right] = WHEELS_OF_AXLE[axle];
  const labels = compact ? WHEEL_SHORT : WHEEL_LABELS;
  const isAt = (bar: Bar, slot: Slot | null) => slot?.wheel === bar.wheel && slot.rib === bar.rib;
  const middle = WIDTH / 2;

  return (
    <svg
      viewBox={`-3 0 ${WIDTH + 6} ${head + height + foot}`}
      width="100%"
      role="group"
      aria-label={t(
        axle === 'front' ? 'axleSectionView.frontFromBehind' : 'axleSectionView.rearFromBehind',
      )}
      style={{ display: 'block', fontFamily: 'inherit' }}
    >
      <defs>
        <pattern
          id={hatch}
          width="6"
          height="6"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(45)"
        >
          <line x1="0" y1="0" x2="0" y2="6" stroke="var(--marker)" strokeWidth="2.4" />
        </pattern>
      </defs>
      <text
        x={0}
        y={compact ? 18 : 13}
        fill="var(--ink)"
        fontSize={compact ? 19 : 13}
        fontWeight={650}
      >
        {labels[left]}
      </text>
      <text
        x={WIDTH}
        y={compact ? 18 : 13}
        fill="var(--ink)"
        fontSize={compact ? 19 : 13}
        fontWeight={650}
        textAnchor="end"
      >
        {labels[right]}
      </text>
      <g transform={`translate(0 ${head})`}>
        {section.tires.map(({ wheel, x, width }) => (
          <rect
            key={wheel}
            x={x}
            y={section.newY[wheel]}
            width={width}
            height={height - section.newY[wheel]}
            fill="none"
            stroke="var(--line)"
            strokeDasharray="2 3"
          />
        ))}
        {section.bars.map((bar) => (
          <g key={`${bar.wheel}${bar.rib}`}>
            {bar.earlierTop !== null && bar.top !== null && bar.earlierTop < bar.top && (
              <path
                // Down behind the teeth of the worn surface.
                d={`M${bar.x} ${Math.min(height, bar.top + bar.width / 4)}V${bar.earlierTop}h${bar.width}V${Math.min(height, bar.top + bar.width / 4)}z`}
                fill="var(--rubberPale)"
                opacity={0.45}
              />
            )}
            {bar.outline !== null && <path d={bar.outline} fill="var(--rubber)" />}
            {bar.outline !== null && bar.isAtLimit && (
              <path d={bar.outline} fill={`url(#${hatch})`} />
            )}
            {bar.isUnreadable && (
              <path
                d={`M${bar.x} ${height}L${bar.x + bar.width} ${height * 0.55}M${bar.x} ${height * 0.55}L${bar.x + bar.width} ${height}`}
                stroke="var(--control)"
              />
            )}
          </g>
        ))}
        {section.expected.map(({ wheel, line, band }) => (
          <g key={wheel}>
            <path d={band} fill="var(--soft)" opacity={0.22} />
            {!bandOnly && (
              <>
                <path d={line} fill="none" stroke="var(--paper)" strokeWidth={4} opacity={0.75} />
                <path d={line} fill="none" stroke="var(--ink)" strokeWidth={1.6} />
              </>
            )}
          </g>
        ))}
        <line
          x1={0}
          x2={WIDTH}
          y1={section.limitY}
          y2={section.limitY}
          stroke="var(--soft)"
          strokeDasharray="5 4"
        />
        <line x1={0} x2={WIDTH} y1={height} y2={height} stroke="var(--ink)" strokeWidth={1.4} />
        {!compact && (
          <>
            <text x={middle} y={11} fontSize={11.5} fill="var(--soft)" textAnchor="middle">
              {t('axleSectionView.new', { newMm: showDepth(section.newMm, unit) })}
            </text>
            <text
              x={middle}
              y={section.limitY - 5}
              fontSize={11.5}
              fill="var(--soft)"
              textAnchor="middle"
            >
              {t('axleSectionView.legal', {
                depth: unit === 'mm' ? legalMm.toFixed(1) : showDepth(legalMm, unit),
              })}
            </text>
          </>
        )}
        {section.bars.map((bar) => (
          <RibCell
            key={`${bar.wheel}${bar.rib}`}
            bar={bar}
            depthMm={tires[bar.wheel].depthMm[bar.rib]}
            unit={unit}
            height={height}
            isActive={isAt(bar, activeSlot)}
            isSpokenOf={spokenOf.some((slot) => isAt(bar, slot))}
            compact={compact}
            onPick={onPick}
          />
        ))}
        {!compact &&
          section.tires.map(({ wheel, x, width }) => (
            <text
              key={wheel}
              x={x + width / 2}
              y={height + 53}
              fontSize={12}
              fill="var(--soft)"
              textAnchor="middle"
            >
              {feltWords(tires[wheel])}
            </text>
          ))}
      </g>
    </svg>
  );
}, isSamePicture);

/** Readings of the other axle, and objects made again with the same content, change nothing here. */
function isSamePicture(a: AxleSectionViewProps, b: AxleSectionViewProps): boolean {
  const seen = ({
    axle,
    tires,
    legalMm,
    unit,
    activeSlot,
    spokenOf,
    compact,
  }: AxleSectionViewProps) => {
    const own = WHEELS_OF_AXLE[axle];
    const slot = activeSlot && own.includes(activeSlot.wheel) ? activeSlot : null;
    return JSON.stringify([
      own.map((wheel) => tires[wheel]),
      legalMm,
      unit,
      slot,
      spokenOf,
      compact,
    ]);
  };
  return a.onPick === b.onPick && seen(a) === seen(b);
}

interface RibCellProps {
  bar: Bar;
  depthMm: number | null;
  unit: DepthUnit;
  height: number;
  isActive: boolean;
  isSpokenOf: boolean;
  compact: boolean;
  onPick: ((slot: Slot) => void) | undefined;
}

/** The figure under a rib, its name, its mark, and the area that picks it. */
function RibCell(props: RibCellProps) {
  const { bar, depthMm, unit, height, isActive, isSpokenOf, compact, onPick } = props;
  const middle = bar.x + bar.width / 2;
  const words = labelOf(bar.rib, bar, depthMm, unit);
  return (
    <g
      {...(onPick
        ? {
            role: 'button',
            'aria-label': words,
            onClick: () => onPick({ wheel: bar.wheel, rib: bar.rib }),
            style: { cursor: 'pointer' },
          }
        : { role: 'img', 'aria-label': words })}
    >
      <rect x={bar.x} y={0} width={bar.width} height={height + 44} fill="transparent" />
      <text
        x={middle}
        y={height + (compact ? 32 : 26)}
        fontSize={compact ? 31 : 27}
        fontWeight={700}
        textAnchor="middle"
        fill={bar.isAtLimit ? 'var(--marker)' : depthMm === null ? 'var(--control)' : 'var(--ink)'}
        style={{ fontStretch: '70%' }}
      >
        {depthMm === null ? (bar.isUnreadable ? '×' : '–') : showDepth(depthMm, unit)}
      </text>
      {!compact && (
        <text x={middle} y={height + 40} fontSize={12} textAnchor="middle" fill="var(--soft)">
          {term(`rib.${bar.rib}`)}
        </text>
      )}
      {bar.isAtLimit && (
        <path
          d={`M${middle} ${height - 12}l5 5l-5 5l-5 -5z`}
          fill="var(--marker)"
          stroke="var(--sheet)"
        />
      )}
      {isSpokenOf && (
        <path
          d={`M${bar.x} ${height + 3.5}H${bar.x + bar.width}`}
          stroke="var(--marker)"
          strokeWidth={4}
        />
      )}
      {isActive && (
        <rect
          x={bar.x - 2.5}
          y={-2}
          width={bar.width + 5}
          height={height + 4}
          fill="none"
          stroke="var(--marker)"
          strokeWidth={3}
        />
      )}
    </g>
  );
}

function labelOf(rib: Rib, bar: Bar, depthMm: number | null, unit: DepthUnit): string {
  const place = `${whereWords(bar.wheel)} ${term(`rib.${rib}`)}`;
  if (depthMm !== null) {
    const words = unit === 'mm' ? 'mm' : t('axleSectionView.ofAnInch');
    return joined(
      place,
      `${showDepth(depthMm, unit)} ${words}`,
      bar.isAtLimit && t('axleSectionView.atTheLegalLimit'),
    );
  }
  return `${place}, ${bar.isUnreadable ? t('axleSectionView.cannotBeRead') : t('axleSectionView.notRead')}`;
}
