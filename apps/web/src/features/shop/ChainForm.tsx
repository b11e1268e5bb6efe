import type { NewChain, Session, ShopChain } from '@keen/contract';
import { newChainSchema } from '@keen/contract';
import { zodResolver } from '@hookform/resolvers/zod';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useForm } from 'react-hook-form';
import { Link as RouterLink } from 'react-router';
import { useMakeChainMutation, useResetToChainMutation } from '../../api/chainApi.ts';
import { failureOf } from '../../api/problem.ts';
import { dateTime } from '../../shared/format.ts';
import { Notice } from '../../shared/Notice.tsx';
import { settingName } from './settingNames.ts';
import { t } from '../../words/chain.ts';

/** The chain that the shop belongs to and what it keeps to itself; for a shop on its own, how to make one. */
export function ChainForm({ session }: { session: Session }) {
  const { chain } = session.shop;
  return (
    <Box component="section" aria-labelledby="chain-title" sx={{ display: 'grid', gap: 2 }}>
      <Box>
        <Typography variant="h1" component="h2" id="chain-title">
          {chain ? t('chainForm.ofTheChain', { name: chain.name }) : t('chainForm.severalShops')}
        </Typography>
        <Typography color="textSecondary" sx={{ mt: 0.5 }}>
          {chain ? t('chainForm.settledByTheChain') : t('chainForm.whatAChainIs')}
        </Typography>
      </Box>
      {chain ? <OwnSettings chain={chain} /> : <NewChainForm />}
    </Box>
  );
}

function OwnSettings({ chain }: { chain: ShopChain }) {
  const [take, { isLoading, error }] = useResetToChainMutation();
  const own = Object.entries(chain.own).filter(([path]) => path in chain.settled);
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      {own.length === 0 ? (
        <Typography>{t('chainForm.nothingOwn')}</Typography>
      ) : (
        <Box
          component="ul"
          aria-label={t('chainForm.own')}
          sx={{ m: 0, p: 0, listStyle: 'none', borderBottom: '1px solid var(--hairline)' }}
        >
          {own.map(([path, { by, at }]) => (
            <Box
              component="li"
              key={path}
              sx={{
                display: 'flex',
                flexWrap: 'wrap',
                columnGap: 2,
                alignItems: 'center',
                borderTop: '1px solid var(--hairline)',
                py: 0.75,
              }}
            >
              <Box sx={{ flex: '1 1 220px' }}>
                {settingName(path)}
                <Box sx={{ color: 'text.secondary', fontSize: '0.9rem' }}>
                  {t('chainForm.by', { by, at: dateTime(at) })}
                </Box>
              </Box>
              <Button
                size="small"
                disabled={isLoading}
                aria-label={`${t('chainForm.backToTheChains')}: ${settingName(path)}`}
                onClick={() => void take([path])}
              >
                {t('chainForm.backToTheChains')}
              </Button>
            </Box>
          ))}
        </Box>
      )}
      {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
      {chain.isLead && (
        <Link component={RouterLink} to="/chain">
          {t('chainForm.allShops')}
        </Link>
      )}
    </Box>
  );
}

function NewChainForm() {
  const [make, { isLoading, error }] = useMakeChainMutation();
  const { register, handleSubmit, formState } = useForm<NewChain>({
    resolver: zodResolver(newChainSchema),
    defaultValues: { name: '' },
  });
  const isWrong = formState.errors.name !== undefined;
  return (
    <Box
      component="form"
      noValidate
      aria-label={t('chainForm.makeAChain')}
      onSubmit={handleSubmit((order) => make(order))}
      sx={{ display: 'flex', gap: 1.5, flexWrap: 'wrap', alignItems: 'flex-start' }}
    >
      <TextField
        label={t('chainForm.nameOfTheChain')}
        size="small"
        error={isWrong}
        helperText={isWrong && t('chainPage.aName')}
        sx={{ flex: '1 1 220px', maxWidth: 360 }}
        {...register('name')}
      />
      <Button type="submit" disabled={isLoading}>
        {t('chainForm.makeAChain')}
      </Button>
      {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
    </Box>
  );
}
