import type { Axle, Preferences, VisitDraft } from '@keen/contract';
import { showToe, toeScaleOf, wheelsInSight } from '@keen/core';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import useMediaQuery from '@mui/material/useMediaQuery';
import type { Theme } from '@mui/material/styles';
import { memo, useMemo } from 'react';
import { AxleWheels } from '../../drawing/WheelsInSight.tsx';
import type { AtHand } from '../../shared/visitContext.ts';
import { SidePane } from './SidePane.tsx';
import { t } from '../../words/visit.ts';

interface WheelsColumnProps {
  draft: VisitDraft;
  /** What toe is shown in where the visit says nothing. */
  toe: Preferences['toe'];
  atHand: AtHand | null;
}

/**
 * The wheels, beside measuring and setting: both axles from above and from behind. On small screens they
 * fold into a strip that stays at the top.
 */
export const WheelsColumn = memo(function WheelsColumn({ draft, toe, atHand }: WheelsColumnProps) {
  const isNarrow = useMediaQuery<Theme>((theme) => theme.breakpoints.down('md'));
  const { times, axles } = useMemo(() => wheelsInSight(draft), [draft]);
  const shared = (axle: Axle) => ({
    axle: axles[axle],
    marked: atHand,
    toeWords: (degrees: number, isTotal: boolean) =>
      showToe(degrees, toeScaleOf(draft, axle, toe), isTotal),
  });
  return (
    <SidePane label={t('wheelsColumn.wheels')}>
      {isNarrow ? (
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 2 }}>
          <AxleWheels {...shared('front')} isSmall />
          <AxleWheels {...shared('rear')} isSmall />
        </Box>
      ) : (
        <Box sx={{ display: 'grid', gap: 1.5 }}>
          <Typography variant="h3" component="h2" color="textSecondary">
            {t('wheelsColumn.fromAboveAndFrom', { toe: times.toe, camber: times.camber })}
          </Typography>
          <AxleWheels {...shared('front')} />
          <AxleWheels {...shared('rear')} />
          <Typography variant="body2" color="textSecondary" sx={{ fontSize: '0.8rem' }}>
            {t('wheelsColumn.greyWedgeAllowedSoft')}
          </Typography>
        </Box>
      )}
    </SidePane>
  );
});
