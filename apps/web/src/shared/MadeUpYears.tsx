import type { Session } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import { useDispatch } from 'react-redux';
import { keenApi } from '../api/keenApi.ts';
import { useMadeUpYearsQuery } from '../api/shopApi.ts';
import { Notice } from './Notice.tsx';
import { t } from '../words/shared.ts';

const ASK_MS = 5_000;
const FULL = 100;

/** Says of the demo shop that its past is made up, and how far the making is. */
export function MadeUpYears({ session }: { session: Session }) {
  const skip = !session.shop.isDemo;
  const { data: years } = useMadeUpYearsQuery(undefined, { skip });
  const isWhole = years !== undefined && years.made >= years.cars;
  useMadeUpYearsQuery(undefined, { skip, pollingInterval: isWhole ? 0 : ASK_MS });
  const dispatch = useDispatch();
  if (!years || years.cars === 0) return null;
  return (
    <Notice>
      <Box sx={{ display: 'flex', gap: 2, rowGap: 0.5, alignItems: 'center', flexWrap: 'wrap' }}>
        <Box sx={{ maxWidth: '75ch' }}>
          {isWhole
            ? t('madeUpYears.allOfThisIs', { cars: years.cars })
            : years.brokeOff
              ? t('madeUpYears.theDemoShopsPast', { made: years.made, cars: years.cars })
              : t('madeUpYears.theDemoShopsTwo', { made: years.made, cars: years.cars })}
        </Box>
        {!isWhole && (
          <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flex: '1 1 260px' }}>
            {!years.brokeOff && (
              <LinearProgress
                variant="determinate"
                aria-label={t('madeUpYears.carsMadeUp')}
                value={Math.round((FULL * years.made) / years.cars)}
                sx={{ flex: 1, maxWidth: 220 }}
              />
            )}
            <Button
              size="small"
              onClick={() => dispatch(keenApi.util.invalidateTags(['Insights', 'Cars']))}
            >
              {t('madeUpYears.showWhatIsNew')}
            </Button>
          </Box>
        )}
      </Box>
    </Notice>
  );
}
