import type { Session } from '@keen/contract';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useKeysQuery } from '../../api/programsApi.ts';
import { Loaded } from '../../shared/Loaded.tsx';
import { t } from '../../words/shop.ts';
import { BatchList } from './BatchList.tsx';
import { KeyRow } from './KeyRow.tsx';
import { NewKey } from './NewKey.tsx';

/** Keys by which other programs reach the shop, and what they have had diagnosed. */
export function ProgramsForm({ session }: { session: Session }) {
  const keys = useKeysQuery();
  return (
    <Box component="section" aria-labelledby="programs-title" sx={{ display: 'grid', gap: 2 }}>
      <Box>
        <Typography variant="h1" component="h2" id="programs-title">
          {t('programs.title')}
        </Typography>
        <Typography color="textSecondary" sx={{ mt: 0.5 }}>
          {t('programs.what')}
        </Typography>
      </Box>
      <Loaded answer={keys} label={t('programs.loadingKeys')} height={80}>
        {(list) =>
          list.length === 0 ? (
            <Typography>{t('programs.noKeys')}</Typography>
          ) : (
            <Box
              component="ul"
              aria-label={t('programs.keys')}
              sx={{ m: 0, p: 0, listStyle: 'none' }}
            >
              {list.map((key) => (
                <KeyRow key={key.id} apiKey={key} session={session} />
              ))}
            </Box>
          )
        }
      </Loaded>
      <NewKey />
      <BatchList />
    </Box>
  );
}
