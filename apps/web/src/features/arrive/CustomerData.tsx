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
        What is stored of this customer
      </Button>
      <Dialog open={isOpen} onClose={() => setOpen(false)} maxWidth="sm" fullWidth>
        <DialogTitle>What is stored of this customer</DialogTitle>
        <DialogContent>
          {isFetching && <Typography role="status">Looking it up…</Typography>}
          {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
          {data && !isFetching && <Stored record={data} />}
        </DialogContent>
        <DialogActions sx={{ flexWrap: 'wrap' }}>
          {data && <Erase carId={vehicle.id} onErased={() => setOpen(false)} />}
          <Button href={`/api/customers/${vehicle.id}?export=true`} download>
            Export
          </Button>
          <Button onClick={() => setOpen(false)}>Close</Button>
        </DialogActions>
      </Dialog>
    </>
  );
}

function Stored({ record }: { record: CustomerRecord }) {
  const { plate, customer, phone, vin, visits, erasedAt } = record;
  if (erasedAt !== null) {
    return <Typography>Erased on {dateTime(erasedAt)}. Only readings are left.</Typography>;
  }
  const facts = [
    ['Customer', customer],
    ['Telephone', phone],
    ['Plate', plate],
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
            Visit {number}, {dateTime(arrivedAt)}
          </Typography>
          <Typography color="textSecondary">
            {[
              words !== '' && `Said: “${words}”`,
              signedBy !== null && `Signed by ${signedBy}.`,
              ...reasons.map((reason) => `“${reason}”`),
              `${photos} ${photos === 1 ? 'picture' : 'pictures'}, ${links} ${links === 1 ? 'link' : 'links'}.`,
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
        Erase this customer
      </Button>
    );
  }
  return (
    <Box sx={{ flexBasis: '100%', display: 'grid', gap: 1.5, px: 2, pb: 1.5 }}>
      <Notice kind="caution">
        Name, telephone, plate, VIN, words, signature, pictures and links are deleted from every
        visit of this car. It cannot be undone. Readings stay, without a name.
      </Notice>
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
          Erase for good
        </Button>
        <Button variant="text" onClick={() => setSure(false)}>
          Cancel
        </Button>
      </Box>
    </Box>
  );
}
