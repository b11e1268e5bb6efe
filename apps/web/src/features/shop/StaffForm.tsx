import type { Session, ShopSettings } from '@keen/contract';
import Box from '@mui/material/Box';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import { useSaveSettingsMutation, useStaffQuery } from '../../api/shopApi.ts';
import { failureOf } from '../../api/problem.ts';
import { mayDo } from '../../shared/mayDo.ts';
import { Notice } from '../../shared/Notice.tsx';
import { UnitChoices } from '../../shared/UnitChoices.tsx';
import { InvitePerson } from './InvitePerson.tsx';
import { ROLE_WORDS } from './roleWords.ts';
import { StaffRow } from './StaffRow.tsx';
import { t } from '../../words/shop.ts';

/** The people of the shop; the lead invites, changes roles, suspends. */
export function StaffForm({ session }: { session: Session }) {
  const manages = mayDo(session, 'managePeople');
  return (
    <Box component="section" aria-labelledby="staff-title" sx={{ display: 'grid', gap: 2 }}>
      <Typography variant="h1" component="h2" id="staff-title">
        {t('staffForm.people')}
      </Typography>
      {manages ? <ManagedStaff ownId={session.person.id} /> : <PlainStaff session={session} />}
      {mayDo(session, 'changeShop') && <NewPersonUnits settings={session.shop.settings} />}
      {manages && <InvitePerson />}
    </Box>
  );
}

function PlainStaff({ session }: { session: Session }) {
  return (
    <Box
      component="ul"
      aria-label={t('staffForm.peopleOfTheShop')}
      sx={{ m: 0, p: 0, listStyle: 'none' }}
    >
      {session.people
        .filter(({ suspended }) => !suspended)
        .map(({ id, name, role }) => (
          <Box
            component="li"
            key={id}
            sx={{ display: 'flex', borderTop: '1px solid var(--hairline)', py: 1 }}
          >
            <Box component="span" sx={{ flex: 1 }}>
              {name}
            </Box>
            <Box component="span" sx={{ color: 'text.secondary' }}>
              {ROLE_WORDS[role]}
            </Box>
          </Box>
        ))}
    </Box>
  );
}

function ManagedStaff({ ownId }: { ownId: string }) {
  const { data, error, isLoading } = useStaffQuery();
  if (isLoading) {
    return <Skeleton variant="rectangular" height={160} sx={{ bgcolor: 'var(--hairline)' }} />;
  }
  if (!data) return <Notice kind="caution">{failureOf(error).text}</Notice>;
  return (
    <Box
      component="ul"
      aria-label={t('staffForm.peopleOfTheShop')}
      sx={{ m: 0, p: 0, listStyle: 'none' }}
    >
      {data.map((person) => (
        <StaffRow key={person.id} person={person} isSelf={person.id === ownId} />
      ))}
    </Box>
  );
}

/** What a colleague who is new finds chosen; papers without units of their own take them, too. */
function NewPersonUnits({ settings }: { settings: ShopSettings }) {
  const [keep, { isError }] = useSaveSettingsMutation();
  return (
    <Box role="group" aria-label={t('staffForm.unitsOfTheShop')} sx={{ display: 'grid', gap: 1 }}>
      <Typography color="textSecondary">{t('staffForm.unitsOfTheShopNew')}</Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', columnGap: 3, rowGap: 1.5 }}>
        <UnitChoices units={settings.units} onChange={(units) => void keep({ units })} />
      </Box>
      {isError && <Notice kind="caution">{t('staffForm.notSavedTheUnits')}</Notice>}
    </Box>
  );
}
