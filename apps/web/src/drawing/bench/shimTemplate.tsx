import type { Side } from '@keen/contract';
import { t } from '../../words/drawing.ts';
import { term } from '../../words/terms.ts';

const WIDTH_MM = 170;
const HEIGHT_MM = 200;
const CENTRE = { x: 85, y: 85 };
/** A hub flange with room to spare; the bore is cut to the hub's own. */
const DISC_MM = 70;
const BORE_MM = 32;

interface ShimTemplateProps {
  side: Side;
  /** Where the thick end points, degrees from 12 o'clock, clockwise seen from outside. */
  clock: number;
  /** Degrees. */
  taper: number;
  /** The car and the part. */
  words: string;
  clockWords: string;
}

/** A disc in true size: the clock, where the shim is thickest, which face is seen, and a line to check by. */
export function ShimTemplate({ side, clock, taper, words, clockWords }: ShimTemplateProps) {
  const at = (degrees: number, radius: number) => {
    const angle = (degrees * Math.PI) / 180;
    return [CENTRE.x + radius * Math.sin(angle), CENTRE.y - radius * Math.cos(angle)] as const;
  };
  const [thickX, thickY] = at(clock, DISC_MM - 9);
  const [boreX, boreY] = at(clock, BORE_MM);
  return (
    <svg
      viewBox={`0 0 ${WIDTH_MM} ${HEIGHT_MM}`}
      style={{ width: `${WIDTH_MM}mm`, height: `${HEIGHT_MM}mm`, display: 'block' }}
      role="img"
      aria-label={t('shimTemplate.rearHubFromOutside', {
        side: term(`side.${side}`),
        taper,
        clockWords,
      })}
      fontFamily="inherit"
    >
      <circle
        cx={CENTRE.x}
        cy={CENTRE.y}
        r={DISC_MM}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={0.4}
      />
      <circle
        cx={CENTRE.x}
        cy={CENTRE.y}
        r={BORE_MM}
        fill="none"
        stroke="var(--ink)"
        strokeWidth={0.3}
        strokeDasharray="2 1.5"
      />
      {Array.from({ length: 72 }, (_, i) => {
        const isHour = i % 6 === 0;
        const [x1, y1] = at(i * 5, DISC_MM);
        const [x2, y2] = at(i * 5, DISC_MM - (isHour ? 4.5 : 2));
        return (
          <line
            key={i}
            x1={x1}
            y1={y1}
            x2={x2}
            y2={y2}
            stroke="var(--ink)"
            strokeWidth={isHour ? 0.5 : 0.25}
          />
        );
      })}
      {[3, 6, 9, 12].map((hour) => {
        const [x, y] = at(hour * 30, DISC_MM - 9);
        return (
          <text key={hour} x={x} y={y + 1.6} fontSize={5} textAnchor="middle" fill="var(--soft)">
            {hour}
          </text>
        );
      })}
      <path d={`M${CENTRE.x} 8l-4 -6h8z`} fill="var(--ink)" />
      <text x={CENTRE.x + 7} y={7} fontSize={5} fontWeight={700} fill="var(--ink)">
        {t('shimTemplate.topCarOnIts')}
      </text>
      <line
        x1={boreX}
        y1={boreY}
        x2={thickX}
        y2={thickY}
        stroke="var(--marker)"
        strokeWidth={0.7}
        strokeDasharray="3 1.5"
      />
      <circle cx={thickX} cy={thickY} r={5.5} fill="var(--marker)" />
      <text
        x={CENTRE.x}
        y={CENTRE.y - 8}
        fontSize={6}
        fontWeight={700}
        textAnchor="middle"
        fill="var(--ink)"
      >
        {t('shimTemplate.rearThisFaceOut', { side: term(`side.${side}`) })}
      </text>
      <text x={CENTRE.x} y={CENTRE.y + 1} fontSize={6} textAnchor="middle" fill="var(--ink)">
        {t('shimTemplate.taper', { taper })}
      </text>
      <text
        x={CENTRE.x}
        y={CENTRE.y + 9}
        fontSize={6}
        fontWeight={700}
        textAnchor="middle"
        fill="var(--marker)"
      >
        {t('shimTemplate.thickAt', { clockWords })}
      </text>
      <text x={CENTRE.x} y={CENTRE.y + 16} fontSize={4.5} textAnchor="middle" fill="var(--soft)">
        {words}
      </text>
      <path
        d="M60 178V172M60 175H110M110 172V178"
        fill="none"
        stroke="var(--ink)"
        strokeWidth={0.4}
      />
      <text x={85} y={184} fontSize={5} textAnchor="middle" fill="var(--ink)">
        {t('shimTemplate.mmWhenPrintedIn')}
      </text>
    </svg>
  );
}
