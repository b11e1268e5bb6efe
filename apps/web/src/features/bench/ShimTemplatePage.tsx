import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Link, useSearchParams } from 'react-router';
import { clockWords } from '../../drawing/bench/adjusters.tsx';
import { ShimTemplate } from '../../drawing/bench/shimTemplate.tsx';
import { joined } from '../../shared/joined.ts';
import { Notice } from '../../shared/Notice.tsx';
import { t } from '../../words/bench.ts';

/** A hub shim's place as a paper disc in true size: held to the hub, its thick end is where the mark is. */
export function ShimTemplatePage() {
  const [query] = useSearchParams();
  const side = query.get('side') === 'right' ? 'right' : 'left';
  const clock = numberIn(query.get('clock'), 0, 360);
  const taper = numberIn(query.get('taper'), 0, 5);
  const words = joined(query.get('plate'), query.get('part'));
  if (clock === null || taper === null) {
    return (
      <Box sx={{ p: 4 }} role="alert">
        <Typography variant="h1" gutterBottom>
          {t('shimTemplatePage.noShimToDraw')}
        </Typography>
        <Typography sx={{ mb: 2 }}>{t('shimTemplatePage.theAddressLacksWhere')}</Typography>
        <Button component={Link} to="/bench/rearShim">
          {t('shimTemplatePage.workAShimOut')}
        </Button>
      </Box>
    );
  }
  return (
    <Box component="main" sx={{ p: 3, '@media print': { p: 0 } }}>
      <Box sx={{ '@media print': { display: 'none' }, maxWidth: 620, display: 'grid', gap: 1.5 }}>
        <Typography variant="h1">{t('shimTemplatePage.templateOfTheHub')}</Typography>
        <Typography color="textSecondary">{t('shimTemplatePage.printItWithoutFitting')}</Typography>
        <Notice kind="caution">{t('shimTemplatePage.theMarkIsMade')}</Notice>
        <Box>
          <Button variant="contained" onClick={() => window.print()}>
            {t('shimTemplatePage.print')}
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
