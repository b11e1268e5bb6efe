import type { ChangeVehicle } from '@keen/contract';
import { changeVehicleSchema, expectation, validationIssueOf } from '@keen/contract';
import { checkVin, plainVin } from '@keen/core';
import Box from '@mui/material/Box';
import { useChangeVehicleMutation } from '../../api/keenApi.ts';
import { failureOf } from '../../api/problem.ts';
import { mayDo } from '../../shared/mayDo.ts';
import { Notice } from '../../shared/Notice.tsx';
import { SavingField } from '../../shared/SavingField.tsx';
import { capital } from '../../shared/format.ts';
import { useVisit } from '../../shared/visitContext.ts';
import { CustomerData } from './CustomerData.tsx';
import { expectedWords } from '../../words/expected.ts';
import { t } from '../../words/arrive.ts';

/** Whose car it is and what it is called; kept with the car, for its next visits too. */
export function CarCard() {
  const { detail, session } = useVisit();
  const { id, plate, label, customer, phone, vin } = detail.visit.vehicle;
  const [change, { error }] = useChangeVehicleMutation();
  const set = (next: ChangeVehicle) => void change({ id, change: next });
  return (
    <Box
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', sm: '1fr 1.4fr 1.4fr' },
        gap: 1.5,
        pb: 1,
      }}
    >
      <SavingField
        label={t('carCard.plate')}
        value={plate}
        check={checkWith('plate')}
        onChange={(text) => text && set({ plate: text })}
      />
      <SavingField
        label={t('carCard.car')}
        value={label}
        onChange={(text) => set({ label: text ?? '' })}
      />
      <SavingField
        label={t('carCard.customer')}
        value={customer}
        onChange={(text) => set({ customer: text ?? '' })}
      />
      <SavingField
        label={t('carCard.telephone')}
        value={phone}
        check={checkWith('phone')}
        onChange={(text) => set({ phone: text ?? '' })}
      />
      <Box sx={{ gridColumn: { sm: 'span 2' } }}>
        <SavingField
          label="VIN"
          value={vin}
          check={(text) => {
            const found = checkVin(text);
            return found.ok
              ? null
              : capital(expectedWords(expectation(found.reason, found.values)));
          }}
          onChange={(text) => set({ vin: text ? plainVin(text) : '' })}
        />
      </Box>
      {mayDo(session, 'manageCustomers') && (
        <Box sx={{ gridColumn: '1 / -1' }}>
          <CustomerData vehicle={detail.visit.vehicle} />
        </Box>
      )}
      {error && (
        <Box sx={{ gridColumn: '1 / -1' }}>
          <Notice kind="caution">{t('carCard.theCarIsAs', { text: failureOf(error).text })}</Notice>
        </Box>
      )}
    </Box>
  );
}

function checkWith(field: 'plate' | 'phone'): (text: string) => string | null {
  return (text) => {
    const result = changeVehicleSchema.safeParse({ [field]: text });
    return result.success ? null : capital(expectedWords(validationIssueOf(result.error)));
  };
}
