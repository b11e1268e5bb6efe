import type { NewShop, OpenedShop } from '@keen/contract';
import { newShopSchema } from '@keen/contract';
import { zodResolver } from '@hookform/resolvers/zod';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { useOpenShopMutation } from '../../api/chainApi.ts';
import { failureOf } from '../../api/problem.ts';
import { CopyField } from '../../shared/CopyField.tsx';
import { dateTime } from '../../shared/format.ts';
import { newId } from '../../shared/newId.ts';
import { Notice } from '../../shared/Notice.tsx';
import { t } from '../../words/chain.ts';

const empty = (): NewShop => ({
  shopId: newId(),
  leadId: newId(),
  name: '',
  town: '',
  leadName: '',
  leadEmail: '',
});

/** Opens one more shop, with the lead who is to run it. */
export function OpenShop() {
  const [open, { isLoading, error }] = useOpenShopMutation();
  const [opened, setOpened] = useState<(NewShop & OpenedShop) | null>(null);
  const { register, handleSubmit, reset, formState } = useForm<NewShop>({
    resolver: zodResolver(newShopSchema),
    defaultValues: empty(),
  });
  const { errors } = formState;

  async function save(order: NewShop): Promise<void> {
    const { data } = await open(order);
    if (!data) return;
    setOpened({ ...order, ...data });
    reset(empty());
  }

  return (
    <Box
      component="form"
      noValidate
      aria-labelledby="open-shop-title"
      onSubmit={handleSubmit(save)}
      sx={{ display: 'grid', gap: 1.5, maxWidth: 480 }}
    >
      <Typography variant="h1" component="h2" id="open-shop-title">
        {t('openShop.openAShop')}
      </Typography>
      <TextField
        label={t('openShop.name')}
        error={errors.name !== undefined}
        helperText={errors.name && t('openShop.aName')}
        {...register('name')}
      />
      <TextField label={t('openShop.town')} {...register('town')} />
      <TextField
        label={t('openShop.leadName')}
        error={errors.leadName !== undefined}
        helperText={errors.leadName && t('openShop.aName')}
        {...register('leadName')}
      />
      <TextField
        label={t('openShop.leadEmail')}
        type="email"
        autoComplete="off"
        error={errors.leadEmail !== undefined}
        helperText={errors.leadEmail && t('openShop.suchAsNameExample')}
        {...register('leadEmail')}
      />
      {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
      <Box>
        <Button type="submit" variant="contained" disabled={isLoading}>
          {t('openShop.open')}
        </Button>
      </Box>
      {opened && <Opened opened={opened} />}
    </Box>
  );
}

function Opened({ opened }: { opened: NewShop & OpenedShop }) {
  const { name, leadName, link } = opened;
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <Typography role="status">{t('openShop.isOpen', { name })}</Typography>
      {link ? (
        <>
          <CopyField
            label={t('openShop.linkFor', { name: leadName })}
            value={new URL(`/password/${link.token}`, window.location.origin).href}
          />
          <Typography variant="body2" color="textSecondary">
            {t('openShop.giveIt', { name: leadName, endsAt: dateTime(link.endsAt) })}
          </Typography>
        </>
      ) : (
        <Typography>{t('openShop.signsInAsBefore', { name: leadName })}</Typography>
      )}
    </Box>
  );
}
