import type { Diagnosis } from '@keen/contract';
import type { PutRight } from '@keen/contract/words';
import Typography from '@mui/material/Typography';
import MuiLink from '@mui/material/Link';
import { Link } from 'react-router';
import { showDistance } from '../../shared/format.ts';
import { useVisit } from '../../shared/visitContext.ts';
import { t } from '../../words/explain.ts';
import { pageLanguage } from '../../words/pageLanguage.ts';

const PUT_RIGHT_WORDS: Record<PutRight, string> = {
  angles: t('sinceLine.theAngles'),
  parts: t('sinceLine.theWornParts'),
  balance: t('sinceLine.theDampersOrThe'),
  pressures: t('sinceLine.thePressures'),
};

const LIST = new Intl.ListFormat(pageLanguage, { type: 'conjunction' });

/** Since when the answer speaks of the tires, where an earlier visit cuts their life in two. */
export function SinceLine({ since }: { since: Diagnosis['since'] }) {
  const { units, detail } = useVisit();
  if (!since) return null;
  const run = `${showDistance(since.km, units.distance)} ${units.distance}`;
  const what = LIST.format(since.putRight.map((one) => PUT_RIGHT_WORDS[one]));
  return (
    <Typography variant="body2" sx={{ borderLeft: '3px solid var(--rubber)', pl: 1.5 }}>
      {since.because === 'putRight'
        ? t('sinceLine.thisIsAboutThe', { run, what })
        : t('sinceLine.thisIsAboutTheSince', { run })}{' '}
      <MuiLink component={Link} to={`/garage/${detail.visit.vehicle.id}`}>
        {t('sinceLine.howItsTiresHave')}
      </MuiLink>
    </Typography>
  );
}
