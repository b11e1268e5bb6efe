import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { Folded } from '../../shared/Folded.tsx';
import { NumberField } from '../../shared/NumberField.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { TwoAngles } from './TwoAngles.tsx';
import { t } from '../../words/measure.ts';
import { whereWords } from '../../words/pageTexts.ts';
import { term } from '../../words/terms.ts';

/** What is measured less often: setback, and how the front wheels follow one another in a turn. */
export function MoreAngles() {
  const { draft, enter } = useVisit();
  const { setback = null } = draft.visit?.measure ?? {};
  return (
    <Folded title={t('moreAngles.setbackTurningAnglesAnd')}>
      <Box sx={{ display: 'grid', gap: 2, pb: 1 }}>
        <Box sx={{ width: { xs: '100%', sm: 260 } }}>
          <NumberField
            label={t('moreAngles.setbackRightWheelFurther')}
            unit="mm"
            value={setback}
            min={-300}
            max={300}
            onChange={(value) => enter('visit.measure.setback', value)}
          />
        </Box>
        <Typography color="textSecondary">{t('moreAngles.turnUntilTheWheel')}</Typography>
        <Turn side="left" />
        <Turn side="right" />
        <FullLock />
      </Box>
    </Folded>
  );
}

/** The inside wheel at full lock each way: the two differ where the rack is off its middle. */
function FullLock() {
  const { draft, enter } = useVisit();
  const lock = draft.visit?.measure?.lock;
  return (
    <TwoAngles
      title={t('moreAngles.fullLock')}
      labels={[t('moreAngles.toTheLeftLeft'), t('moreAngles.toTheRightRight')]}
      kept={lock ? [lock.left, lock.right] : null}
      onChange={(both) => enter('visit.measure.lock', both && { left: both[0], right: both[1] })}
    />
  );
}

function Turn({ side }: { side: 'left' | 'right' }) {
  const { draft, enter } = useVisit();
  const turn = draft.visit?.measure?.turning?.[side];
  const [inner, outer] = side === 'left' ? (['lf', 'rf'] as const) : (['rf', 'lf'] as const);
  return (
    <TwoAngles
      title={t('moreAngles.turning', { side: term(`side.${side}`) })}
      labels={[
        t('moreAngles.inside', { inner: whereWords(inner) }),
        t('moreAngles.outside', { outer: whereWords(outer) }),
      ]}
      kept={turn ? [turn.inside, turn.outside] : null}
      onChange={(both) =>
        enter(`visit.measure.turning.${side}`, both && { inside: both[0], outside: both[1] })
      }
    />
  );
}
