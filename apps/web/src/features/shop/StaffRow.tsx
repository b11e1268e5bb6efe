import type { ChangePerson, StaffMember } from '@keen/contract';
import { ROLES } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { failureOf } from '../../api/problem.ts';
import { useChangePersonMutation } from '../../api/shopApi.ts';
import { Choice } from '../../shared/Choice.tsx';
import { Notice } from '../../shared/Notice.tsx';
import { NewPasswordLink } from './NewPasswordLink.tsx';
import { ROLE_WORDS } from './roleWords.ts';
import { t } from '../../words/shop.ts';

/** One colleague on the lead's list; what can be done opens below. */
export function StaffRow({ person, isSelf }: { person: StaffMember; isSelf: boolean }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <Box component="li" sx={{ borderTop: '1px solid var(--hairline)', py: 1 }}>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: { xs: '1fr 84px', sm: '1fr auto 84px' },
          alignItems: 'center',
          columnGap: 2,
        }}
      >
        <Box sx={{ minWidth: 0 }}>
          <Box component="span" sx={{ fontWeight: 600 }}>
            {person.name}
          </Box>
          {isSelf && ` (${t('staffRow.you')})`}
          <Typography variant="body2" color="textSecondary">
            {person.email}
          </Typography>
        </Box>
        <Box sx={{ color: 'text.secondary', order: { xs: 1, sm: 0 } }}>{stateOf(person)}</Box>
        <Button
          variant="text"
          aria-expanded={isOpen}
          aria-label={t('staffRow.change', { name: person.name })}
          onClick={() => setOpen(!isOpen)}
        >
          {isOpen ? t('staffRow.close') : t('staffRow.changeButton')}
        </Button>
      </Box>
      {isOpen && <Changes person={person} />}
    </Box>
  );
}

function stateOf({ role, suspended, hasPassword, hasSecondFactor }: StaffMember): string {
  return [
    ROLE_WORDS[role],
    suspended && t('staffRow.suspended'),
    !suspended && !hasPassword && t('staffRow.noPasswordYet'),
    hasSecondFactor && t('staffRow.secondFactor'),
  ]
    .filter(Boolean)
    .join(', ');
}

function Changes({ person }: { person: StaffMember }) {
  const [change, { error, isLoading }] = useChangePersonMutation();
  const set = (next: ChangePerson) => void change({ id: person.id, change: next });
  return (
    <Box sx={{ display: 'grid', gap: 1.5, py: 1.5 }}>
      <Choice
        label={t('staffRow.role')}
        options={ROLES.map((value) => ({ value, label: ROLE_WORDS[value] }))}
        value={person.role}
        onChange={(role) => role && role !== person.role && set({ role })}
        dense
      />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
        <Button disabled={isLoading} onClick={() => set({ suspended: !person.suspended })}>
          {person.suspended ? t('staffRow.letSignInAgain') : t('staffRow.suspend')}
        </Button>
        {person.hasSecondFactor && (
          <Button disabled={isLoading} onClick={() => set({ hasSecondFactor: false })}>
            {t('staffRow.removeSecondFactor')}
          </Button>
        )}
      </Box>
      {!person.suspended && (
        <Typography variant="body2" color="textSecondary">
          {t('staffRow.suspendingSignsOutAt', { name: person.name })}
        </Typography>
      )}
      <NewPasswordLink person={person} />
      {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
    </Box>
  );
}
