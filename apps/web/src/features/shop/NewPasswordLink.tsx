import type { StaffMember } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { failureOf } from '../../api/problem.ts';
import { useMakePasswordLinkMutation } from '../../api/shopApi.ts';
import { CopyField } from '../../shared/CopyField.tsx';
import { dateTime } from '../../shared/format.ts';
import { Notice } from '../../shared/Notice.tsx';
import { t } from '../../words/shop.ts';

/** A link by which a colleague chooses a password: handed over by the lead, good once. */
export function NewPasswordLink({ person }: { person: Pick<StaffMember, 'id' | 'name'> }) {
  const [make, { data, error, isLoading }] = useMakePasswordLinkMutation();
  const address = data && new URL(`/password/${data.token}`, window.location.origin).href;
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <Box>
        <Button disabled={isLoading} onClick={() => void make(person.id)}>
          {data ? t('newPasswordLink.makeAnotherLink') : t('newPasswordLink.linkToChooseA')}
        </Button>
      </Box>
      {address && (
        <>
          <CopyField
            label={t('newPasswordLink.passwordLinkFor', { name: person.name })}
            value={address}
          />
          <Typography variant="body2" color="textSecondary">
            {t('newPasswordLink.giveItToYourself', {
              name: person.name,
              endsAt: dateTime(data.endsAt),
            })}
          </Typography>
        </>
      )}
      {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
    </Box>
  );
}
