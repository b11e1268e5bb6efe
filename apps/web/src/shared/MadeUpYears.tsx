import type { Session } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import { useDispatch } from 'react-redux';
import { keenApi } from '../api/keenApi.ts';
import { useMadeUpYearsQuery } from '../api/shopApi.ts';
import { Notice } from './Notice.tsx';

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
            ? `All of this is made up: ${years.cars} cars of the demo shop lived through two years in a simulator, and the diagnosis advised them as it would yours.`
            : years.brokeOff
              ? `The demo shop’s past broke off at ${years.made} of ${years.cars} cars. It goes on when the shop is started again.`
              : `The demo shop’s two past years are being made up in a simulator: ${years.made} of ${years.cars} cars so far. It goes on by itself and takes some minutes.`}
        </Box>
        {!isWhole && (
          <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flex: '1 1 260px' }}>
            {!years.brokeOff && (
              <LinearProgress
                variant="determinate"
                aria-label="Cars made up"
                value={Math.round((FULL * years.made) / years.cars)}
                sx={{ flex: 1, maxWidth: 220 }}
              />
            )}
            <Button
              size="small"
              onClick={() => dispatch(keenApi.util.invalidateTags(['Insights', 'Cars']))}
            >
              Show what is new
            </Button>
          </Box>
        )}
      </Box>
    </Notice>
  );
}
