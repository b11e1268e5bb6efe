import type { Chain } from '@keen/contract';
import { chainLeadSchema } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useChangeChainMutation, useSetChainLeadMutation } from '../../api/chainApi.ts';
import { failureOf } from '../../api/problem.ts';
import { Notice } from '../../shared/Notice.tsx';
import { SavingField } from '../../shared/SavingField.tsx';
import { t } from '../../words/chain.ts';

const emailSchema = chainLeadSchema.shape.email;

/** Who leads the chain, whatever they are in its shops. */
export function ChainLeads({ chain }: { chain: Chain }) {
  const [set, { isLoading, error }] = useSetChainLeadMutation();
  const [change, { isError }] = useChangeChainMutation();
  const [email, setEmail] = useState('');
  const isEmail = emailSchema.safeParse(email.trim()).success;

  async function add(): Promise<void> {
    const { data } = await set({ email: email.trim(), leads: true });
    if (data) setEmail('');
  }

  return (
    <Box component="section" aria-labelledby="chain-leads" sx={{ display: 'grid', gap: 1.5 }}>
      <Typography variant="h1" component="h2" id="chain-leads">
        {t('chainLeads.leads')}
      </Typography>
      <SavingField
        label={t('chainForm.nameOfTheChain')}
        value={chain.name}
        check={(text) => (text.length > 80 ? t('chainPage.aName') : null)}
        onChange={(name) => name && void change({ name })}
      />
      {isError && <Notice kind="caution">{t('chainPage.notSaved')}</Notice>}
      <Box component="ul" aria-labelledby="chain-leads" sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {chain.leads.map((lead) => (
          <Box
            component="li"
            key={lead.email}
            sx={{
              display: 'flex',
              flexWrap: 'wrap',
              columnGap: 2,
              alignItems: 'center',
              borderTop: '1px solid var(--hairline)',
              py: 0.75,
            }}
          >
            <Box sx={{ flex: '1 1 200px' }}>
              {lead.name}
              {lead.isSelf && ` (${t('chainLeads.you')})`}
              <Box sx={{ color: 'text.secondary', fontSize: '0.9rem', overflowWrap: 'anywhere' }}>
                {lead.email}
              </Box>
            </Box>
            {chain.leads.length > 1 && (
              <Button
                size="small"
                disabled={isLoading}
                aria-label={t('chainLeads.removeWho', { name: lead.name })}
                onClick={() => void set({ email: lead.email, leads: false })}
              >
                {t('chainLeads.remove')}
              </Button>
            )}
          </Box>
        ))}
      </Box>
      <Box
        component="form"
        noValidate
        aria-label={t('chainLeads.add')}
        onSubmit={(event) => {
          event.preventDefault();
          if (isEmail) void add();
        }}
        sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'center' }}
      >
        <TextField
          label={t('chainLeads.email')}
          type="email"
          size="small"
          autoComplete="off"
          value={email}
          onChange={({ target }) => setEmail(target.value)}
          sx={{ flex: '1 1 240px' }}
        />
        <Button type="submit" disabled={!isEmail || isLoading}>
          {t('chainLeads.add')}
        </Button>
      </Box>
      {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
    </Box>
  );
}
