import { WHEELS_OF_AXLE } from '@keen/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useHotkeys } from 'react-hotkeys-hook';
import { Notice } from '../../shared/Notice.tsx';
import { useVisit } from '../../shared/visitContext.ts';
import { RideHeights } from './RideHeights.tsx';
import { SideToSide } from './SideToSide.tsx';
import { StrokePad } from './StrokePad.tsx';
import { TireFindings } from './TireFindings.tsx';
import { TouchGuides } from './TouchGuides.tsx';
import { UnderTheCar } from './UnderTheCar.tsx';
import { WornParts } from './WornParts.tsx';

/** The hand over the tread, then damage, then play. */
export function InspectStep() {
  const { goTo } = useVisit();
  useHotkeys('enter', () => goTo('explain'));
  return (
    <Box sx={{ display: 'grid', gap: 3 }}>
      <Box sx={{ display: 'flex', gap: 3, flexWrap: 'wrap', alignItems: 'flex-start' }}>
        <Box sx={{ flex: '1 1 300px' }}>
          <Typography variant="h1" component="h2" gutterBottom>
            Feel the tread?
          </Typography>
          <Typography color="textSecondary">
            Stroke each tire across the ribs, away from the car and back. Then along the tread for
            waves. Then shake the wheel for play.
          </Typography>
        </Box>
        <StrokePad />
      </Box>
      <Notice kind="caution">
        Feel slowly, with gloves: cords cut. Lift at the maker’s points and set stands before a hand
        goes under; shake a wheel only on a car that cannot roll or fall. A licensed technician
        judges the joints.
      </Notice>
      <TouchGuides />
      {(['front', 'rear'] as const).map((axle) => (
        <Box
          key={axle}
          sx={{
            display: 'grid',
            gridTemplateColumns: { xs: '1fr', sm: '1fr 1fr' },
            columnGap: 4,
            rowGap: 3,
          }}
        >
          {WHEELS_OF_AXLE[axle].map((wheel) => (
            <TireFindings key={wheel} wheel={wheel} />
          ))}
        </Box>
      ))}
      <UnderTheCar />
      <SideToSide />
      <RideHeights />
      <WornParts />
      <Box sx={{ display: 'flex', justifyContent: 'flex-end' }}>
        <Button variant="contained" onClick={() => goTo('explain')}>
          Explain ↵
        </Button>
      </Box>
    </Box>
  );
}
