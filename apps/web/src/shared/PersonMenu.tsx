import type { Preferences, Right, Session } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useNavigate } from 'react-router';
import { useState } from 'react';
import { useApiSelector } from '../api/hooks.ts';
import { useSavePreferencesMutation } from '../api/keenApi.ts';
import { useSignOut } from '../api/useSignOut.ts';
import { Choice } from './Choice.tsx';
import { LANGUAGE_OPTIONS } from './languages.ts';
import { mayDo } from './mayDo.ts';
import { ShopSelect } from './ShopSelect.tsx';
import { TOE_UNIT_CHOICES } from './toeUnits.ts';
import { UnitChoices } from './UnitChoices.tsx';
import { pageLanguage, pickLanguage } from '../words/pageLanguage.ts';
import { t } from '../words/shared.ts';
import { term } from '../words/terms.ts';

const PLACES = [
  { to: '/garage', title: t('personMenu.garage') },
  { to: '/bench', title: t('personMenu.bench') },
  { to: '/wear-lab', title: t('personMenu.wearLab') },
  { to: '/practice', title: t('personMenu.practice') },
  { to: '/sheets', title: t('personMenu.sheets') },
  { to: '/due', title: t('personMenu.due') },
  { to: '/gauges', title: t('personMenu.gauges') },
  { to: '/insights', title: t('personMenu.insights') },
  { to: '/shop', title: t('personMenu.shop') },
  { to: '/account', title: t('personMenu.account') },
  { to: '/devices', title: t('personMenu.devices') },
  { to: '/system', title: t('personMenu.system'), right: 'seeSystem' },
  { to: '/how-it-works', title: t('personMenu.howItWorks') },
] as const satisfies readonly { to: string; title: string; right?: Right }[];

/** Own units, reading order, theme and paper; sign out. */
export function PersonMenu({ session, onDone }: { session: Session; onDone: () => void }) {
  const [keep] = useSavePreferencesMutation();
  const signOut = useSignOut();
  const unsent = useApiSelector(({ outbox }) => outbox.pending.length + outbox.aside.length);
  const [isAsked, setAsked] = useState(false);
  const navigate = useNavigate();
  const { preferences } = session;
  const set = (change: Partial<Preferences>) => void keep({ ...preferences, ...change });

  async function go(to: string): Promise<void> {
    onDone();
    await navigate(to);
  }

  async function leave(): Promise<void> {
    onDone();
    await signOut();
    await navigate('/sign-in');
  }

  return (
    <Box component="li" role="none" sx={{ p: 2, display: 'grid', gap: 1.75, width: 300 }}>
      <Typography variant="h2" component="div">
        {session.person.name}
        <Typography variant="body2" color="textSecondary">
          {term(`role.${session.person.role}`)}, {session.shop.name}
        </Typography>
      </Typography>
      {session.shops.length > 1 && <ShopSelect session={session} unsent={unsent} />}
      <Choice
        label={t('personMenu.language')}
        options={LANGUAGE_OPTIONS}
        value={pageLanguage}
        dense
        onChange={(language) => language && pickLanguage(language)}
      />
      <UnitChoices units={preferences.units} onChange={(units) => set({ units })} />
      <Choice
        label={t('personMenu.toeShownIn')}
        options={TOE_UNIT_CHOICES}
        value={preferences.toe}
        onChange={(toe) => toe && set({ toe })}
        dense
      />
      <Choice
        label={t('personMenu.readTheRibs')}
        options={[
          { value: 'shop', label: t('personMenu.asTheShop') },
          { value: 'walkAround', label: t('personMenu.walkingRound') },
          { value: 'axleByAxle', label: t('personMenu.leftToRight') },
          { value: 'outerFirst', label: t('personMenu.axleByAxle') },
        ]}
        value={preferences.readingOrder}
        onChange={(readingOrder) => readingOrder && set({ readingOrder })}
        dense
      />
      <Choice
        label={t('personMenu.aToneAfterEach')}
        options={[
          { value: 'on', label: t('personMenu.on') },
          { value: 'off', label: t('personMenu.off') },
        ]}
        value={preferences.sound ? 'on' : 'off'}
        onChange={(sound) => sound && set({ sound: sound === 'on' })}
        dense
      />
      <Choice
        label={t('personMenu.light')}
        options={[
          { value: 'system', label: t('personMenu.asTheDevice') },
          { value: 'light', label: t('personMenu.day') },
          { value: 'dark', label: t('personMenu.night') },
        ]}
        value={preferences.theme}
        onChange={(theme) => theme && set({ theme })}
        dense
      />
      <Choice
        label={t('personMenu.paper')}
        options={[
          { value: 'A4', label: 'A4' },
          { value: 'LETTER', label: t('personMenu.letter') },
        ]}
        value={preferences.paper}
        onChange={(paper) => paper && set({ paper })}
      />
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1 }}>
        {PLACES.filter((place) => !('right' in place) || mayDo(session, place.right)).map(
          ({ to, title }) => (
            <Button key={to} onClick={() => void go(to)}>
              {title}
            </Button>
          ),
        )}
      </Box>
      {isAsked && unsent > 0 ? (
        <Box role="alert" sx={{ display: 'grid', gap: 1 }}>
          <Typography variant="body2">{t('personMenu.notSavedYet', { count: unsent })}</Typography>
          <Button variant="contained" onClick={() => void leave()}>
            {t('personMenu.signOut')}
          </Button>
          <Button variant="text" onClick={() => setAsked(false)}>
            {t('personMenu.staySignedIn')}
          </Button>
        </Box>
      ) : (
        <Button onClick={() => (unsent > 0 ? setAsked(true) : void leave())}>
          {t('personMenu.signOut')}
        </Button>
      )}
    </Box>
  );
}
