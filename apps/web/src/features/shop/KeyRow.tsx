import type { ApiKey, Session } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { failureOf } from '../../api/problem.ts';
import { useChangeKeySecretMutation, useRevokeKeyMutation } from '../../api/programsApi.ts';
import { dateTime } from '../../shared/format.ts';
import { Notice } from '../../shared/Notice.tsx';
import { t } from '../../words/shop.ts';
import { KeySecrets } from './KeySecrets.tsx';
import { SCOPE_WORDS } from './scopeWords.ts';

/** One key on the lead's list; what can be done opens below. */
export function KeyRow({ apiKey, session }: { apiKey: ApiKey; session: Session }) {
  const [isOpen, setOpen] = useState(false);
  const { name, scopes, ending, personId, createdAt, lastUsedAt, revokedAt } = apiKey;
  const maker = session.people.find(({ id }) => id === personId)?.name ?? '';
  return (
    <Box component="li" sx={{ borderTop: '1px solid var(--hairline)', py: 1 }}>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: '1fr 84px',
          alignItems: 'center',
          columnGap: 2,
          opacity: revokedAt === null ? 1 : 0.6,
        }}
      >
        <Box sx={{ minWidth: 0, overflowWrap: 'anywhere' }}>
          <Box component="span" sx={{ fontWeight: 600 }}>
            {name}
          </Box>{' '}
          <Box component="span" sx={{ color: 'text.secondary' }}>
            {scopes.map((scope) => SCOPE_WORDS[scope]).join(', ')}
          </Box>
          <Typography variant="body2" color="textSecondary">
            {t('keyRow.made', { ending, name: maker, at: dateTime(createdAt) })}{' '}
            {lastUsedAt === null
              ? t('keyRow.neverUsed')
              : t('keyRow.used', { at: dateTime(lastUsedAt) })}{' '}
            {stateOf(apiKey)}
          </Typography>
        </Box>
        {revokedAt === null && (
          <Button
            variant="text"
            aria-expanded={isOpen}
            aria-label={t('staffRow.change', { name })}
            onClick={() => setOpen(!isOpen)}
          >
            {isOpen ? t('staffRow.close') : t('staffRow.changeButton')}
          </Button>
        )}
      </Box>
      {isOpen && revokedAt === null && <Changes apiKey={apiKey} />}
    </Box>
  );
}

function stateOf({ endsAt, oldSecretUntil, revokedAt }: ApiKey): string {
  if (revokedAt !== null) return t('keyRow.revoked', { at: dateTime(revokedAt) });
  return [
    endsAt !== null && t('keyRow.ends', { at: dateTime(endsAt) }),
    oldSecretUntil !== null && t('keyRow.oldUntil', { at: dateTime(oldSecretUntil) }),
  ]
    .filter(Boolean)
    .join(' ');
}

function Changes({ apiKey: { id } }: { apiKey: ApiKey }) {
  const [change, changing] = useChangeKeySecretMutation();
  const [revoke, revoking] = useRevokeKeyMutation();
  const error = changing.error ?? revoking.error;
  return (
    <Box sx={{ display: 'grid', gap: 1.5, py: 1.5 }}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <Button disabled={changing.isLoading} onClick={() => void change(id)}>
          {t('keyRow.newSecret')}
        </Button>
        <Button disabled={revoking.isLoading} onClick={() => void revoke(id)}>
          {t('keyRow.revoke')}
        </Button>
      </Box>
      <Typography variant="body2" color="textSecondary">
        {t('keyRow.whatTheyDo')}
      </Typography>
      {changing.data && <KeySecrets made={changing.data} />}
      {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
    </Box>
  );
}
