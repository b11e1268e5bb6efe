import type { CaseFile, Wheel } from '@keen/contract';
import { axleOf, byWheel, depthsWith, settingOf, WHEEL_ORDER } from '@keen/core';
import type { Answer, ExpectedDepths, Setting } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import { Link } from 'react-router';
import { Choice } from '../../shared/Choice.tsx';
import { showDegrees, showDepth } from '../../shared/format.ts';
import { useVisit } from '../../shared/visitContext.ts';
import { WHEEL_LABELS } from '../../shared/wheelLabels.ts';
import { TrySlider } from '../../shared/TrySlider.tsx';
import { Rich } from '../../shared/Rich.tsx';
import { t } from '../../words/explain.ts';
import { term } from '../../words/terms.ts';

interface WhatIfProps {
  answer: Answer;
  file: CaseFile;
  /** The wheel that the cause looked into is at. */
  startAt: Wheel;
}

/**
 * Camber, toe and pressure to drag: the drawing shows what the same driving would have left of the
 * tread with them, over what was read.
 */
export function WhatIf({ answer, file, startAt }: WhatIfProps) {
  const { setTried, units, detail, isPractice = false } = useVisit();
  const [wheel, setWheel] = useState<Wheel>(startAt);
  const asIs = settingOf(answer.posteriorMean);
  const [tried, setSetting] = useState<Setting | null>(null);
  const shown = tried ?? asIs;
  const axle = axleOf(wheel);
  const key = tried && JSON.stringify(tried);

  useEffect(() => {
    setTried(tried && drawn(file, answer, tried));
    return () => setTried(null);
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the setting is compared by its content
  }, [key, answer, file, setTried]);

  const left = depthsWith(file, answer.posteriorMean, shown)[wheel];
  const depth = (mm: number) => showDepth(mm, units.depth);
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <Choice
        label={t('whatIf.wheel')}
        hideLabel
        options={WHEEL_ORDER.map((value) => ({ value, label: WHEEL_LABELS[value] }))}
        value={wheel}
        onChange={(next) => next && setWheel(next)}
        dense
      />
      <Box sx={{ display: 'grid', gap: 1 }}>
        <TrySlider
          label={t('whatIf.camber')}
          value={shown.camber[wheel]}
          asIs={asIs.camber[wheel]}
          range={[-4, 3]}
          step={0.1}
          show={(value) => showDegrees(value, 1)}
          onChange={(value) =>
            setSetting({ ...shown, camber: { ...shown.camber, [wheel]: value } })
          }
        />
        <TrySlider
          label={t('whatIf.totalToe', { axle: term(`axle.${axle}`) })}
          value={shown.totalToe[axle]}
          asIs={asIs.totalToe[axle]}
          range={[-1.5, 1.5]}
          step={0.05}
          show={(value) => showDegrees(value, 2)}
          onChange={(value) =>
            setSetting({ ...shown, totalToe: { ...shown.totalToe, [axle]: value } })
          }
        />
        <TrySlider
          label={t('whatIf.pressureOfTarget')}
          value={shown.pressureRatio[wheel]}
          asIs={asIs.pressureRatio[wheel]}
          range={[0.6, 1.4]}
          step={0.01}
          show={(value) => `${Math.round(100 * value)} %`}
          onChange={(value) =>
            setSetting({ ...shown, pressureRatio: { ...shown.pressureRatio, [wheel]: value } })
          }
        />
      </Box>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, flexWrap: 'wrap' }}>
        <Typography component="output" aria-live="polite">
          <Rich
            text={t('whatIf.wouldBeLeft', {
              wheel: WHEEL_LABELS[wheel],
              depths: [left.inner, left.centre, left.outer].map(depth).join(' · '),
              unit: units.depth === 'mm' ? 'mm' : '/32 in',
            })}
          />
        </Typography>
        {!isPractice && (
          <Button component={Link} to={`/wear-lab?visit=${detail.visit.id}`} sx={{ ml: 'auto' }}>
            {t('whatIf.openInTheWear')}
          </Button>
        )}
        <Button disabled={!tried} onClick={() => setSetting(null)}>
          {t('whatIf.backToTheCar')}
        </Button>
      </Box>
    </Box>
  );
}

/** The line to draw: what the settings leave, with no doubt of its own. */
function drawn(file: CaseFile, answer: Answer, setting: Setting): ExpectedDepths {
  const depths = depthsWith(file, answer.posteriorMean, setting);
  const point = (mean: number) => ({ mean, sd: 0 });
  return byWheel((wheel) => ({
    inner: point(depths[wheel].inner),
    centre: point(depths[wheel].centre),
    outer: point(depths[wheel].outer),
  }));
}
