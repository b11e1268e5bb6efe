import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useEndOtherSessionsMutation, useOwnSessionsQuery } from '../../api/accountApi.ts';
import { failureOf } from '../../api/problem.ts';
import { Notice } from '../../shared/Notice.tsx';
import { dateTime } from '../../shared/format.ts';
import { deviceOf } from './deviceOf.ts';

/** Where one is signed in, and out of all of it at once. */
export function OwnSessions() {
  const { data, error } = useOwnSessionsQuery();
  const [end, { isLoading, error: endError }] = useEndOtherSessionsMutation();
  const others = data?.filter(({ isThis }) => !isThis) ?? [];
  return (
    <Box component="section" aria-labelledby="sessions-title" sx={{ display: 'grid', gap: 1.5 }}>
      <Typography variant="h1" component="h2" id="sessions-title">
        Where you are signed in
      </Typography>
      {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
      <Box component="ul" aria-label="Sessions" sx={{ m: 0, p: 0, listStyle: 'none' }}>
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
              {deviceOf(agent)}
              {isThis && ', this device'}
            </Box>
            <Box component="span" sx={{ color: 'text.secondary' }}>
              since {dateTime(since)}
              {address !== '' && `, from ${address}`}
            </Box>
          </Box>
        ))}
      </Box>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1.5 }}>
        <Button disabled={isLoading || others.length === 0} onClick={() => void end()}>
          Sign out everywhere else
        </Button>
        {data && others.length === 0 && (
          <Typography color="textSecondary">You are signed in here only.</Typography>
        )}
      </Box>
      {endError && <Notice kind="caution">{failureOf(endError).text}</Notice>}
    </Box>
  );
}
