import type { Session } from '@keen/contract';
import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { failureOf } from '../api/problem.ts';
import { useChangeShop } from '../api/useChangeShop.ts';
import { t } from '../words/shared.ts';

interface ShopSelectProps {
  session: Session;
  /** Entries that are not on the server yet. */
  unsent: number;
}

/** Goes on in another shop where one works. */
export function ShopSelect({ session, unsent }: ShopSelectProps) {
  const changeShop = useChangeShop();
  const [chosen, setChosen] = useState(session.shop.id);
  const [fault, setFault] = useState('');

  async function change(shopId: string): Promise<void> {
    setChosen(shopId);
    setFault('');
    try {
      await changeShop(shopId);
    } catch (error) {
      setChosen(session.shop.id);
      setFault(failureOf(error).text);
    }
  }

  return (
    <Box sx={{ display: 'grid', gap: 0.5 }}>
      <TextField
        select
        size="small"
        label={t('shopSelect.goOnIn')}
        value={chosen}
        disabled={chosen !== session.shop.id}
        error={fault !== ''}
        helperText={fault || undefined}
        onChange={({ target }) => void change(target.value)}
      >
        {session.shops.map(({ id, name, town }) => (
          <MenuItem key={id} value={id}>
            {town === '' ? name : `${name}, ${town}`}
          </MenuItem>
        ))}
      </TextField>
      {unsent > 0 && (
        <Typography variant="body2" color="textSecondary">
          {t('shopSelect.waitsHere', { count: unsent, shop: session.shop.name })}
        </Typography>
      )}
    </Box>
  );
}
