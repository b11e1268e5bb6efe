import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useCarCodesQuery, useMakeCarCodeMutation } from '../../api/chainApi.ts';
import { failureOf } from '../../api/problem.ts';
import { CopyField } from '../../shared/CopyField.tsx';
import { dateTime } from '../../shared/format.ts';
import { Notice } from '../../shared/Notice.tsx';
import { t } from '../../words/chain.ts';

/** A code by which the customer takes the car with its history to another shop of the chain. */
export function CarCode({ carId, chain }: { carId: string; chain: string }) {
  const { data: codes = [] } = useCarCodesQuery(carId);
  const [make, { data: made, isLoading, error }] = useMakeCarCodeMutation();
  const now = new Date().toISOString();
  const waiting = codes.find(({ taken, endsAt }) => !taken && endsAt > now);
  return (
    <Box component="section" aria-labelledby="car-code" sx={{ display: 'grid', gap: 1 }}>
      <Box>
        <Typography variant="h2" id="car-code">
          {t('carCode.toAnotherShop', { chain })}
        </Typography>
        <Typography color="textSecondary">{t('carCode.what')}</Typography>
      </Box>
      {codes.map(
        ({ madeAt, taken }) =>
          taken && (
            <Typography key={madeAt}>
              {t('carCode.taken', { shop: taken.shop, at: dateTime(taken.at) })}
            </Typography>
          ),
      )}
      {made ? (
        <Box sx={{ display: 'grid', gap: 0.5, maxWidth: 420 }}>
          <CopyField label={t('carCode.code')} value={made.code} />
          <Typography variant="body2" color="textSecondary">
            {t('carCode.goodOnce', { endsAt: dateTime(made.endsAt) })}
          </Typography>
        </Box>
      ) : (
        waiting && (
          <Typography>
            {t('carCode.waits', {
              madeAt: dateTime(waiting.madeAt),
              endsAt: dateTime(waiting.endsAt),
            })}
          </Typography>
        )
      )}
      <Box>
        <Button disabled={isLoading} onClick={() => void make(carId)}>
          {waiting ? t('carCode.makeAnotherCode') : t('carCode.makeACode')}
        </Button>
      </Box>
      {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
    </Box>
  );
}
