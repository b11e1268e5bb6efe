import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link, useSearchParams } from 'react-router';
import { clockWords } from '../../drawing/bench/adjusters.tsx';
import { ShimTemplate } from '../../drawing/bench/shimTemplate.tsx';
import { Notice } from '../../shared/Notice.tsx';

/** A hub shim's place as a paper disc in true size: held to the hub, its thick end is where the mark is. */
export function ShimTemplatePage() {
  const [query] = useSearchParams();
  const side = query.get('side') === 'right' ? 'right' : 'left';
  const clock = numberIn(query.get('clock'), 0, 360);
  const taper = numberIn(query.get('taper'), 0, 5);
  const words = [query.get('plate'), query.get('part')].filter(Boolean).join(', ');
  if (clock === null || taper === null) {
    return (
      <Box sx={{ p: 4 }} role="alert">
        <Typography variant="h1" gutterBottom>
          No shim to draw
        </Typography>
        <Typography sx={{ mb: 2 }}>The address lacks where the shim points.</Typography>
        <Button component={Link} to="/bench/rearShim">
          Work a shim out
        </Button>
      </Box>
    );
  }
  return (
    <Box component="main" sx={{ p: 3, '@media print': { p: 0 } }}>
      <Box sx={{ '@media print': { display: 'none' }, maxWidth: 620, display: 'grid', gap: 1.5 }}>
        <Typography variant="h1">Template of the hub shim</Typography>
        <Typography color="textSecondary">
          Print it without fitting it to the page and measure the line of 50 mm. Mark 12 o’clock on
          the hub while the car stands on its wheels; cut the disc out, hold it to the hub with TOP
          at the mark and this face to you, and carry the thick end over.
        </Typography>
        <Notice kind="caution">
          The mark is made before the car is lifted. Lift at the maker’s points; wheel nuts and hub
          bolts to the maker’s torque.
        </Notice>
        <Box>
          <Button variant="contained" onClick={() => window.print()}>
            Print
          </Button>
        </Box>
      </Box>
      <ShimTemplate
        side={side}
        clock={clock}
        taper={taper}
        words={words}
        clockWords={clockWords(clock)}
      />
    </Box>
  );
}

function numberIn(text: string | null, least: number, most: number): number | null {
  const value = text === null || text.trim() === '' ? Number.NaN : Number(text);
  return value >= least && value <= most ? value : null;
}
