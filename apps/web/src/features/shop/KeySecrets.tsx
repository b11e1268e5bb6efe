import type { ApiKeySecrets } from '@keen/contract';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { CopyField } from '../../shared/CopyField.tsx';
import { t } from '../../words/shop.ts';

/** The secrets of a key, which are shown this once. */
export function KeySecrets({ made }: { made: ApiKeySecrets }) {
  return (
    <Box role="status" sx={{ display: 'grid', gap: 1.25 }}>
      <Typography sx={{ fontWeight: 600 }}>
        {t('keySecrets.onceOnly', { name: made.key.name })}
      </Typography>
      <CopyField label={t('keySecrets.secret')} value={made.secret} />
      {made.key.scopes.includes('diagnose') && (
        <>
          <CopyField label={t('keySecrets.signing')} value={made.signingSecret} />
          <Typography variant="body2" color="textSecondary">
            {t('keySecrets.whatFor')}
          </Typography>
        </>
      )}
    </Box>
  );
}
