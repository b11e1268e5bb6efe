import type { InstrumentKind } from '@keen/contract/words';
import type { InstrumentRecord } from '@keen/core';
import { limitWords, showError } from './gaugeWords.ts';
import { t } from '../../words/gauges.ts';

const WIDTH = 150;
const HEIGHT = 44;
const LATEST = 24;
const EDGE = 4;

/** The latest checks as dots between the two lines they should stay within. */
export function CheckHistory({ kind, record }: { kind: InstrumentKind; record: InstrumentRecord }) {
  const shown = record.errors.slice(-LATEST);
  if (shown.length < 2) return null;
  const far = Math.max(2 * record.limit, ...shown.map(({ worst }) => Math.abs(worst)));
  const y = (error: number) => HEIGHT / 2 - (error / far) * (HEIGHT / 2 - EDGE);
  const x = (i: number) => EDGE + (i / (shown.length - 1)) * (WIDTH - 2 * EDGE);
  const said = shown.map(({ at, worst }) => `${at.slice(0, 10)} ${showError(kind, worst)}`);
  return (
    <svg
      viewBox={`0 0 ${WIDTH} ${HEIGHT}`}
      width={WIDTH}
      height={HEIGHT}
      role="img"
      aria-label={t('checkHistory.checksWithinIsGood', {
        kind: limitWords(kind),
        said: said.join(', '),
      })}
      style={{ display: 'block', maxWidth: '100%' }}
    >
      <rect
        x={0}
        width={WIDTH}
        y={y(record.limit)}
        height={y(-record.limit) - y(record.limit)}
        fill="var(--hairline)"
      />
      <path d={`M0 ${y(0)}H${WIDTH}`} stroke="var(--control)" strokeWidth={1} />
      {shown.map(({ at, worst }, i) => {
        const isOff = Math.abs(worst) > record.limit;
        return isOff ? (
          <path
            key={at}
            d={`M${x(i)} ${y(worst) - 4.5}l4.5 4.5-4.5 4.5-4.5-4.5z`}
            fill="var(--marker)"
          />
        ) : (
          <circle key={at} cx={x(i)} cy={y(worst)} r={2.6} fill="var(--ink)" />
        );
      })}
    </svg>
  );
}
