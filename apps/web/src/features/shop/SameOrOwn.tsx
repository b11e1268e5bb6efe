import type { Chain } from '@keen/contract';
import { SHARED_SETTINGS, sharedValues } from '@keen/contract';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useChangeChainMutation } from '../../api/chainApi.ts';
import { Choice } from '../../shared/Choice.tsx';
import { Notice } from '../../shared/Notice.tsx';
import { t } from '../../words/chain.ts';

type Group = (typeof SHARED_SETTINGS)[number];

const CHOICES = [
  { value: 'same', label: t('sameOrOwn.same') },
  { value: 'own', label: t('sameOrOwn.own') },
] as const;

/** What is the same in all shops, and what each shop settles for itself. */
export function SameOrOwn({ chain }: { chain: Chain }) {
  const [change, { isError }] = useChangeChainMutation();
  const all = Object.keys(sharedValues(chain.settings));
  const pathsOf = (group: Group) =>
    all.filter((path) => path === group || path.startsWith(`${group}.`));
  return (
    <Box component="section" aria-labelledby="same-title" sx={{ display: 'grid', gap: 1.5 }}>
      <Box>
        <Typography variant="h1" component="h2" id="same-title">
          {t('sameOrOwn.title')}
        </Typography>
        <Typography color="textSecondary" sx={{ mt: 0.5 }}>
          {t('sameOrOwn.what')}
        </Typography>
      </Box>
      <Box component="ul" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {SHARED_SETTINGS.map((group) => {
          const paths = pathsOf(group);
          const settled = paths.filter((path) => chain.settled.includes(path));
          return (
            <Box
              component="li"
              key={group}
              sx={{
                display: 'flex',
                flexWrap: 'wrap',
                columnGap: 2,
                alignItems: 'center',
                borderTop: '1px solid var(--hairline)',
                py: 0.75,
              }}
            >
              <Box sx={{ flex: '1 1 180px' }}>{t(`sameOrOwn.${group}`)}</Box>
              <Choice
                label={t(`sameOrOwn.${group}`)}
                hideLabel
                dense
                options={CHOICES}
                // Some values of a group may have been left and others settled since.
                value={settled.length > 0 ? 'same' : 'own'}
                onChange={(next) =>
                  next && void change(next === 'own' ? { leave: settled } : { settle: paths })
                }
              />
            </Box>
          );
        })}
      </Box>
      {isError && <Notice kind="caution">{t('chainPage.notSaved')}</Notice>}
    </Box>
  );
}
