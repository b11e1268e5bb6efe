import type { CustomerRecord, VehicleRecord } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { failureOf } from '../../api/problem.ts';
import { useEraseCustomerMutation, useLazyCustomerQuery } from '../../api/shopApi.ts';
import { dateTime } from '../../shared/format.ts';
import { Notice } from '../../shared/Notice.tsx';
import { t } from '../../words/arrive.ts';

/** What is stored of this customer: shown, exported, erased. For the lead. */
export function CustomerData({ vehicle }: { vehicle: VehicleRecord }) {
  const [load, { data, error, isFetching }] = useLazyCustomerQuery();
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <Button
        variant="text"
        onClick={() => {
          setOpen(true);
          void load(vehicle.id);
        }}
      >
        {t('customerData.whatIsStoredOf')}
      </Button>
      <Dialog open={isOpen} onClose={() => setOpen(false)} maxWidth="sm" fullWidth>
        <DialogTitle>{t('customerData.whatIsStoredOf')}</DialogTitle>
        <DialogContent>
          {isFetching && <Typography role="status">{t('customerData.lookingItUp')}</Typography>}
          {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
          {data && !isFetching && <Stored record={data} />}
        </DialogContent>
        <DialogActions sx={{ flexWrap: 'wrap' }}>
          {data && <Erase carId={vehicle.id} onErased={() => setOpen(false)} />}
          <Button href={`/api/customers/${vehicle.id}?export=true`} download>
            {t('customerData.export')}
          </Button>
          <Button onClick={() => setOpen(false)}>{t('customerData.close')}</Button>
        </DialogActions>
      </Dialog>
    </>
  );
}

function Stored({ record }: { record: CustomerRecord }) {
  const { plate, customer, phone, vin, visits, erasedAt } = record;
  if (erasedAt !== null) {
    return (
      <Typography>
        {t('customerData.erasedOnOnlyReadings', { erasedAt: dateTime(erasedAt) })}
      </Typography>
    );
  }
  const facts = [
    [t('customerData.customer'), customer],
    [t('customerData.telephone'), phone],
    [t('customerData.plate'), plate],
    ['VIN', vin],
  ].filter(([, value]) => value !== '');
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <Box
        component="dl"
        sx={{ m: 0, display: 'grid', gridTemplateColumns: '110px 1fr', rowGap: 0.5 }}
      >
        {facts.map(([label, value]) => (
          <Box key={label} sx={{ display: 'contents' }}>
            <Box component="dt" sx={{ color: 'text.secondary' }}>
              {label}
            </Box>
            <Box component="dd" sx={{ m: 0 }}>
              {value}
            </Box>
          </Box>
        ))}
      </Box>
      {visits.map(({ id, number, arrivedAt, words, signedBy, reasons, photos, links }) => (
        <Box key={id} sx={{ borderTop: '1px solid var(--hairline)', pt: 1 }}>
          <Typography sx={{ fontWeight: 600 }}>
            {t('customerData.visit', { number, arrivedAt: dateTime(arrivedAt) })}
          </Typography>
          <Typography color="textSecondary">
            {[
              words !== '' && t('customerData.said', { words }),
              signedBy !== null && t('customerData.signedBy', { signedBy }),
              ...reasons.map((reason) => `“${reason}”`),
              `${t('customerData.pictures', { count: photos })}, ${t('customerData.links', { count: links })}.`,
            ]
              .filter(Boolean)
              .join(' ')}
          </Typography>
        </Box>
      ))}
    </Box>
  );
}

function Erase({ carId, onErased }: { carId: string; onErased: () => void }) {
  const [erase, { isLoading, error }] = useEraseCustomerMutation();
  const [isSure, setSure] = useState(false);
  if (!isSure) {
    return (
      <Button variant="text" onClick={() => setSure(true)}>
        {t('customerData.eraseThisCustomer')}
      </Button>
    );
  }
  return (
    <Box sx={{ flexBasis: '100%', display: 'grid', gap: 1.5, px: 2, pb: 1.5 }}>
      <Notice kind="caution">{t('customerData.nameTelephonePlateVin')}</Notice>
      {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
      <Box sx={{ display: 'flex', gap: 1 }}>
        <Button
          variant="contained"
          disabled={isLoading}
          onClick={() =>
            void erase(carId)
              .unwrap()
              .then(onErased, () => undefined)
          }
        >
          {t('customerData.eraseForGood')}
        </Button>
        <Button variant="text" onClick={() => setSure(false)}>
          {t('customerData.cancel')}
        </Button>
      </Box>
    </Box>
  );
}
