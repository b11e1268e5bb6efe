import type { Diagnosis } from '@keen/contract';
import type { PutRight } from '@keen/contract/words';
import Typography from '@mui/material/Typography';
import MuiLink from '@mui/material/Link';
import { Link } from 'react-router';
import { showDistance } from '../../shared/format.ts';
import { useVisit } from '../../shared/visitContext.ts';

const PUT_RIGHT_WORDS: Record<PutRight, string> = {
  angles: 'the angles',
  parts: 'the worn parts',
  balance: 'the dampers or the balance',
  pressures: 'the pressures',
};

const LIST = new Intl.ListFormat('en', { type: 'conjunction' });

/** Since when the answer speaks of the tires, where an earlier visit cuts their life in two. */
export function SinceLine({ since }: { since: Diagnosis['since'] }) {
  const { units, detail } = useVisit();
  if (!since) return null;
  const run = `${showDistance(since.km, units.distance)} ${units.distance}`;
  const what = LIST.format(since.putRight.map((one) => PUT_RIGHT_WORDS[one]));
  return (
    <Typography variant="body2" sx={{ borderLeft: '3px solid var(--rubber)', pl: 1.5 }}>
      {since.because === 'putRight'
        ? `This is about the ${run} since ${what} were put right here. What was worn before is not counted.`
        : `This is about the ${run} since these tires were last read here: they have worn otherwise since, so something has begun or ended.`}{' '}
      <MuiLink component={Link} to={`/garage/${detail.visit.vehicle.id}`}>
        How its tires have worn
      </MuiLink>
    </Typography>
  );
}
