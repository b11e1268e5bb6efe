import type { Chain, ChainEvent } from '@keen/contract';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { dateTime } from '../../shared/format.ts';
import { settingList } from './settingNames.ts';
import { t } from '../../words/chain.ts';

/** What was changed in the chain by whom, latest first. */
export function ChainLog({ chain }: { chain: Chain }) {
  return (
    <Box component="section" aria-labelledby="chain-log" sx={{ display: 'grid', gap: 1.5 }}>
      <Typography variant="h1" component="h2" id="chain-log">
        {t('chainLog.changes')}
      </Typography>
      <Box component="ul" aria-labelledby="chain-log" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {chain.log.map((event) => (
          <Box
            component="li"
            key={`${event.at} ${event.kind}`}
            sx={{
              display: 'grid',
              gridTemplateColumns: { xs: '1fr', sm: '1fr auto' },
              columnGap: 2,
              borderTop: '1px solid var(--hairline)',
              py: 0.75,
            }}
          >
            <Box sx={{ overflowWrap: 'anywhere' }}>
              <strong>{event.by}</strong>: {eventWords(event)}
            </Box>
            <Box sx={{ color: 'text.secondary', fontSize: '0.9rem', whiteSpace: 'nowrap' }}>
              {dateTime(event.at)}
            </Box>
          </Box>
        ))}
      </Box>
    </Box>
  );
}

function eventWords({ kind, what }: ChainEvent): string {
  const isOfSettings = kind === 'settled' || kind === 'left';
  return t(`chainLog.${kind}`, { what: isOfSettings ? settingList(what) : what.join(', ') });
}
