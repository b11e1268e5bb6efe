import type { Axle, Diagnosis, Wheel } from '@keen/contract';
import { axleOf, WHEELS_OF_AXLE } from '@keen/core';
import type { CauseGroup } from '@keen/core';
import Box from '@mui/material/Box';
import { TireContact } from '../../drawing/TireContact.tsx';
import { WornWaves } from '../../drawing/WornWaves.tsx';
import { WheelPosture } from '../../drawing/WheelPosture.tsx';
import { showDegrees } from '../../shared/format.ts';
import { t } from '../../words/explain.ts';
import { whereWords } from '../../words/pageTexts.ts';
import { term } from '../../words/terms.ts';

/** The wheels as this cause has them standing, with the number and its interval; the place that took most. */
export function CausePosture({ group, diagnosis }: { group: CauseGroup; diagnosis: Diagnosis }) {
  const cause = group.places[0]!;
  const axle: Axle =
    cause.where === 'front' || cause.where === 'rear' ? cause.where : axleOf(cause.where);
  const [left, right] = WHEELS_OF_AXLE[axle];
  if (
    cause.cause === 'toeTooFarIn' ||
    cause.cause === 'toeTooFarOut' ||
    cause.cause === 'looseness'
  ) {
    const { mean, sd } = diagnosis.axles[axle].totalToe;
    const text = t('causePosture.totalToeGiveOr', {
      mean: showDegrees(mean, 2),
      sd: sd.toFixed(2),
    });
    return (
      <Figure text={text}>
        <WheelPosture
          axle={axle}
          toeDeg={{ left: mean / 2, right: mean / 2 }}
          sdDeg={{ left: sd / 2, right: sd / 2 }}
          eaten={cause.cause}
          label={t('causePosture.wheelsFromAbove', { axle: term(`axle.${axle}`), text })}
        />
      </Figure>
    );
  }
  if (cause.cause === 'pressureLow' || cause.cause === 'pressureHigh') {
    const { mean, sd } = diagnosis.wheels[cause.where as Wheel].pressureRatio;
    const off = Math.round((mean - 1) * 100);
    const text = t(off < 0 ? 'causePosture.belowPlacard' : 'causePosture.abovePlacard', {
      where: whereWords(cause.where),
      percent: Math.abs(off),
      sd: Math.round(sd * 100),
    });
    return (
      <Figure text={text}>
        <TireContact ratio={mean} label={t('causePosture.aTireFromThe', { text })} />
      </Figure>
    );
  }
  if (cause.cause === 'bounce') {
    const text = t('causePosture.wavesRoundTheTire', { where: whereWords(cause.where) });
    return (
      <Figure text={text}>
        <WornWaves label={t('causePosture.tireFromTheSideText', { text })} />
      </Figure>
    );
  }
  const isAt = (wheel: Wheel) => group.places.some(({ where }) => where === wheel);
  const camber = (wheel: Wheel) => diagnosis.wheels[wheel].camber;
  const shown = (wheel: Wheel) =>
    `${showDegrees(camber(wheel).mean, 1)}\u00a0±\u00a0${camber(wheel).sd.toFixed(1)}°`;
  const text = t('causePosture.camberLeftRight', { left: shown(left), right: shown(right) });
  return (
    <Figure text={text}>
      <WheelPosture
        axle={axle}
        camberDeg={{ left: camber(left).mean, right: camber(right).mean }}
        sdDeg={{ left: camber(left).sd, right: camber(right).sd }}
        eaten={cause.cause}
        only={isAt(left) && isAt(right) ? null : isAt(left) ? 'left' : isAt(right) ? 'right' : null}
        label={t('causePosture.wheelsFromBehind', { axle: term(`axle.${axle}`), text })}
      />
    </Figure>
  );
}

function Figure({ text, children }: { text: string; children: React.ReactNode }) {
  return (
    <Box component="figure" sx={{ m: 0 }}>
      {children}
      <Box component="figcaption" sx={{ fontSize: '0.82rem', mt: 0.5 }}>
        {text}
        <Box sx={{ color: 'text.secondary' }}>{t('causePosture.drawnLargerThanLife')}</Box>
      </Box>
    </Box>
  );
}
