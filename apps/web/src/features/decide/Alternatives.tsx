import type { Action, EstimateLine } from '@keen/contract';
import { formatMoney, sumEstimate } from '@keen/core';
import type { CostComparison } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useVisit } from '../../shared/visitContext.ts';
import { t } from '../../words/decide.ts';
import { courseWords } from '../../words/pageTexts.ts';

const MOST_ALTERNATIVES = 3;

interface AlternativesProps {
  weighing: CostComparison;
  /** What the estimate is made for already. */
  course: Action;
  /** Whether new tires go on now. */
  fitsTires: boolean;
  /** The estimate of a course, with so many pressure sensors. */
  linesFor: (course: Action, sensors: number) => EstimateLine[];
  onTake: (lines: EstimateLine[]) => void;
}

/** Other courses as an estimate, the one that is best for the customer first. */
export function Alternatives({ weighing, course, fitsTires, linesFor, onTake }: AlternativesProps) {
  const { prices } = useVisit().session.shop.settings;
  const { choices, sensors } = weighing;
  const others = choices
    .filter((choice) => choice.bar === null && choice.course !== course)
    .toSorted((a, b) => a.perThousandKm - b.perThousandKm)
    .slice(0, MOST_ALTERNATIVES)
    .map((choice) => ({ course: choice.course, sensors: 0 }));
  const isAirOpen = choices.some(
    ({ bar, course: one }) => one === 'inflateAndWatch' && bar === null,
  );
  if (sensors && isAirOpen) {
    others.push({ course: 'inflateAndWatch', sensors: sensors.wheels.length });
  }
  if (others.length === 0) return null;
  return (
    <Box className="screen-only" sx={{ display: 'grid', gap: 0.25, justifyItems: 'start' }}>
      <Typography variant="h3" component="h4" color="textSecondary">
        {t('alternatives.insteadWhatCostsThe')}
      </Typography>
      {others.map((one) => {
        const lines = linesFor(one.course, one.sensors);
        const { total } = sumEstimate({ ...prices, lines });
        return (
          <Button
            key={`${one.course}.${one.sensors}`}
            variant="text"
            sx={{ px: 0.5, textAlign: 'left' }}
            onClick={() => onTake(lines)}
          >
            {t(one.sensors > 0 ? 'alternatives.nowWithSensors' : 'alternatives.now', {
              course: courseWords(one.course, fitsTires, weighing),
              total: formatMoney(total, prices.currency),
            })}
          </Button>
        );
      })}
    </Box>
  );
}
