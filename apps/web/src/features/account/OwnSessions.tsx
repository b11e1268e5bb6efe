import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEndOtherSessionsMutation, useOwnSessionsQuery } from '../../api/accountApi.ts';
import { failureOf } from '../../api/problem.ts';
import { joined } from '../../shared/joined.ts';
import { Notice } from '../../shared/Notice.tsx';
import { dateTime } from '../../shared/format.ts';
import { deviceOf } from './deviceOf.ts';
import { t } from '../../words/account.ts';

/** Where one is signed in, and out of all of it at once. */
export function OwnSessions() {
  const { data, error } = useOwnSessionsQuery();
  const [end, { isLoading, error: endError }] = useEndOtherSessionsMutation();
  const others = data?.filter(({ isThis }) => !isThis) ?? [];
  return (
    <Box component="section" aria-labelledby="sessions-title" sx={{ display: 'grid', gap: 1.5 }}>
      <Typography variant="h1" component="h2" id="sessions-title">
        {t('ownSessions.whereYouAreSigned')}
      </Typography>
      {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
      <Box
        component="ul"
        aria-label={t('ownSessions.sessions')}
        sx={{ m: 0, p: 0, listStyle: 'none' }}
      >
        {data?.map(({ name, agent, address, since, isThis }) => (
          <Box
            component="li"
            key={name}
            sx={{
              display: 'flex',
              flexWrap: 'wrap',
              columnGap: 2,
              borderTop: '1px solid var(--hairline)',
              py: 1,
            }}
          >
            <Box component="span" sx={{ flex: 1, fontWeight: isThis ? 650 : 400 }}>
              {joined(deviceOf(agent), isThis && t('ownSessions.thisDevice'))}
            </Box>
            <Box component="span" sx={{ color: 'text.secondary' }}>
              {address === ''
                ? t('ownSessions.since', { since: dateTime(since) })
                : t('ownSessions.sinceFrom', { since: dateTime(since), address })}
            </Box>
          </Box>
        ))}
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1.5 }}>
        <Button disabled={isLoading || others.length === 0} onClick={() => void end()}>
          {t('ownSessions.signOutEverywhereElse')}
        </Button>
        {data && others.length === 0 && (
          <Typography color="textSecondary">{t('ownSessions.youAreSignedIn')}</Typography>
        )}
      </Box>
      {endError && <Notice kind="caution">{failureOf(endError).text}</Notice>}
    </Box>
  );
}
