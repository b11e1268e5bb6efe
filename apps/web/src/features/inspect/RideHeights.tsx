import type { Axle } from '@keen/contract';
import { WHEEL_ORDER, WHEELS_OF_AXLE } from '@keen/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { NumberField } from '../../shared/NumberField.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { WHEEL_LABELS } from '../../shared/wheelLabels.ts';
import { t } from '../../words/inspect.ts';
import { term } from '../../words/terms.ts';

/** Left and right differing by more point to a spring or a bent part (common practice, no source). */
const UNEVEN_MM = 12;

/** Hub centre to arch at the four corners, against the sheet or side to side. */
export function RideHeights() {
  const { draft, enter } = useVisit();
  const heights = draft.visit?.heights ?? {};
  const said = (['front', 'rear'] as const).flatMap((axle) => wordsFor(axle));

  function wordsFor(axle: Axle): string[] {
    const [left, right] = WHEELS_OF_AXLE[axle].map((wheel) => heights[wheel]);
    const words: string[] = [];
    if (left !== undefined && right !== undefined && Math.abs(left - right) > UNEVEN_MM) {
      const low = left < right ? 'left' : 'right';
      words.push(
        t('rideHeights.theSideHangsMm', {
          axle: term(`axle.${axle}`),
          low: term(`side.${low}`),
          abs: Math.abs(left - right).toFixed(0),
        }),
      );
    }
    const limits = draft.visit?.sheet?.sheet.height?.[axle];
    for (const wheel of WHEELS_OF_AXLE[axle]) {
      const height = heights[wheel];
      if (!limits || height === undefined) continue;
      if (height < limits.low || height > limits.high) {
        words.push(
          t('rideHeights.outsideTheSheetsTo', {
            wheelLabels: WHEEL_LABELS[wheel].toLowerCase(),
            low: limits.low,
            high: limits.high,
          }),
        );
      }
    }
    return words;
  }

  return (
    <Box>
      <Typography color="textSecondary" sx={{ mb: 1.25 }}>
        {t('rideHeights.hubCentreStraightUp')}
      </Typography>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr 1fr', sm: 'repeat(4, 1fr)' },
          gap: 1.25,
        }}
      >
        {WHEEL_ORDER.map((wheel) => (
          <NumberField
            key={wheel}
            label={WHEEL_LABELS[wheel]}
            unit="mm"
            decimals={0}
            min={1}
            max={1_500}
            value={heights[wheel] ?? null}
            onChange={(value) => enter(`visit.heights.${wheel}`, value)}
          />
        ))}
      </Box>
      {said.map((words) => (
        <Typography key={words} sx={{ mt: 1 }}>
          {words.charAt(0).toUpperCase() + words.slice(1)}.
        </Typography>
      ))}
    </Box>
  );
}
