import { camberInTurn, camberInTurns } from '@keen/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { FrontCamberInTurns } from '../../drawing/bench/charts.tsx';
import { Folded } from '../../shared/Folded.tsx';
import { showDegrees } from '../../shared/format.ts';
import { useVisit } from '../../shared/visitContext.ts';
import { t } from '../../words/measure.ts';
import { whereWords } from '../../words/pageTexts.ts';

/** Inclination where it was not read (common practice, no source), degrees. */
const USUAL_SAI = 13;
const TURN_DEG = 20;
/** What the inside wheel steers further where its turn plate was not read (common practice, no source), degrees. */
const USUAL_FURTHER_DEG = 2.5;
/** From here the outside wheel's inner edge carries a turn (common practice, no source). */
const RISK_DEG = -3.5;

/** What caster makes of camber when the front wheels are steered, and whose inner edge pays. */
export function CasterInTurns() {
  const { draft } = useVisit();
  const wheels = (['lf', 'rf'] as const).flatMap((key) => {
    const { camber, caster, sai = USUAL_SAI } = draft.angles?.[key] ?? {};
    return camber === undefined || caster === undefined ? [] : [{ key, camber, caster, sai }];
  });
  if (wheels.length === 0) return null;
  const outside = wheels.map(({ key, ...angles }) => ({
    key,
    camber: camberInTurn({ ...angles, steer: TURN_DEG }).camber,
  }));
  const [left, right] = [
    wheels.find(({ key }) => key === 'lf'),
    wheels.find(({ key }) => key === 'rf'),
  ];
  const ratio = draft.visit?.sheet?.sheet.steeringRatio;
  const inTurns =
    left && right
      ? (['left', 'right'] as const).map((turning) => {
          const read = draft.visit?.measure?.turning?.[turning];
          const outside = read?.outside ?? TURN_DEG;
          const inside = read?.inside ?? TURN_DEG + USUAL_FURTHER_DEG;
          const found = camberInTurns({
            left,
            right,
            turning,
            inside,
            outside,
            steeringRatio: ratio,
          });
          return { turning, inside, camber: found.camber, turns: found.steeringWheelTurns };
        })
      : [];
  const risky = outside.filter(({ camber }) => camber < RISK_DEG);
  const isAssumed = wheels.some(({ key }) => draft.angles?.[key]?.sai === undefined);
  return (
    <Folded title={t('casterInTurns.camberInTurns')}>
      <Box sx={{ display: 'grid', gap: 1, pb: 1 }}>
        <FrontCamberInTurns wheels={wheels} />
        <Typography>
          {t('casterInTurns.outsideOfATurn', {
            degrees: TURN_DEG,
            wheels: outside
              .map(({ key, camber }) => `${whereWords(key)} ${showDegrees(camber, 1)}`)
              .join(', '),
          })}{' '}
          {inTurns.map(({ turning, camber, inside, turns }) => (
            <span key={turning}>
              {t(turning === 'left' ? 'casterInTurns.turningLeft' : 'casterInTurns.turningRight', {
                angle: inside.toFixed(0),
                inside: showDegrees(camber[turning], 1),
                outside: showDegrees(camber[turning === 'left' ? 'right' : 'left'], 1),
              })}{' '}
              {turns !== null &&
                t('casterInTurns.turnsOfTheSteering', { turns: turns.toFixed(1) })}{' '}
            </span>
          ))}
          {risky.length > 0
            ? t('casterInTurns.thatMuchLeansOn')
            : t('casterInTurns.theInnerEdgeHas')}
        </Typography>
        {isAssumed && (
          <Typography variant="body2" color="textSecondary">
            {t('casterInTurns.drawnWithSaiOf', { usualSai: USUAL_SAI })}
          </Typography>
        )}
      </Box>
    </Folded>
  );
}
