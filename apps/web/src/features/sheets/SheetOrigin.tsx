import type { StoredSheet, ShopChain } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useFollowSheetMutation, useGiveSheetMutation } from '../../api/chainApi.ts';
import { failureOf } from '../../api/problem.ts';
import { Notice } from '../../shared/Notice.tsx';
import { t } from '../../words/chain.ts';

interface SheetOriginProps {
  kept: StoredSheet;
  chain: ShopChain;
  /** Whether the sheet must stay as it is for now. */
  isLocked: boolean;
}

/** Whose a sheet is in a shop of a chain: the chain's, the shop's own, or its own instead of the chain's. */
export function SheetOrigin({ kept, chain, isLocked }: SheetOriginProps) {
  const [give, giving] = useGiveSheetMutation();
  const [follow, following] = useFollowSheetMutation();
  const { origin, id } = kept;
  const error = giving.error ?? following.error;
  const isOff = isLocked || giving.isLoading || following.isLoading;
  return (
    <Box
      sx={{
        minHeight: 44,
        display: 'flex',
        flexWrap: 'wrap',
        columnGap: 2,
        rowGap: 1,
        alignItems: 'center',
      }}
    >
      <Typography color="textSecondary" sx={{ flex: '0 1 auto' }}>
        {t(`sheetOrigin.${origin}`, { chain: chain.name })}
      </Typography>
      {origin === 'instead' && (
        <Button disabled={isOff} onClick={() => void follow(id)}>
          {t('chainForm.backToTheChains')}
        </Button>
      )}
      {origin !== 'chain' && chain.isLead && (
        <Button disabled={isOff} onClick={() => void give(id)}>
          {t('sheetOrigin.give')}
        </Button>
      )}
      {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
    </Box>
  );
}
