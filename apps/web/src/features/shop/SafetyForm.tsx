import type { ShopSettings } from '@keen/contract';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useKeepSettingsMutation } from '../../api/shopApi.ts';
import { Choice } from '../../shared/Choice.tsx';
import { Notice } from '../../shared/Notice.tsx';
import { NumberField } from '../../shared/NumberField.tsx';

/** How leads sign in, and how long customers' data is stored. */
export function SafetyForm({ settings }: { settings: ShopSettings }) {
  const [save, { isError }] = useKeepSettingsMutation();
  const { retention, secondFactorForLeads } = settings;
  const setMonths = (change: Partial<ShopSettings['retention']>) =>
    void save({ retention: { ...retention, ...change } });
  return (
    <Box component="section" aria-labelledby="safety-title" sx={{ display: 'grid', gap: 2 }}>
      <Typography variant="h1" component="h2" id="safety-title">
        Sign-in and customers’ data
      </Typography>
      <Choice
        label="Leads sign in with a second factor"
        options={[
          { value: 'yes', label: 'Required' },
          { value: 'no', label: 'Their choice' },
        ]}
        value={secondFactorForLeads ? 'yes' : 'no'}
        onChange={(next) => next && void save({ secondFactorForLeads: next === 'yes' })}
      />
      <Typography color="textSecondary">
        After a car’s last visit its customer can be erased by itself: name, telephone, plate, VIN,
        words, signature, pictures and links. Readings stay, without a name. Leave a field empty to
        store without end. Local law may ask for either.
      </Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5 }}>
        <Box sx={{ width: 230 }}>
          <NumberField
            label="Erase customers after"
            unit="months"
            decimals={0}
            min={1}
            max={240}
            value={retention.customerMonths}
            onChange={(customerMonths) => setMonths({ customerMonths })}
          />
        </Box>
        <Box sx={{ width: 230 }}>
          <NumberField
            label="Delete pictures after"
            unit="months"
            decimals={0}
            min={1}
            max={240}
            value={retention.photoMonths}
            onChange={(photoMonths) => setMonths({ photoMonths })}
          />
        </Box>
      </Box>
      {isError && <Notice kind="caution">Not saved; it is as before.</Notice>}
    </Box>
  );
}
