import type { Preferences, Session } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { useNavigate } from 'react-router';
import { useState } from 'react';
import { useApiSelector } from '../api/hooks.ts';
import { useKeepPreferencesMutation } from '../api/keenApi.ts';
import { useSignOut } from '../api/useSignOut.ts';
import { Choice } from './Choice.tsx';
import { TOE_UNIT_CHOICES } from './toeUnits.ts';
import { UnitChoices } from './UnitChoices.tsx';

const PLACES = [
  { to: '/garage', title: 'Garage' },
  { to: '/bench', title: 'Bench' },
  { to: '/wear-lab', title: 'Wear lab' },
  { to: '/practice', title: 'Practice' },
  { to: '/sheets', title: 'Sheets' },
  { to: '/due', title: 'Due' },
  { to: '/gauges', title: 'Gauges' },
  { to: '/insights', title: 'Insights' },
  { to: '/shop', title: 'Shop' },
  { to: '/account', title: 'Account' },
  { to: '/devices', title: 'Devices' },
  { to: '/how-it-works', title: 'How it works' },
] as const;

/** Own units, reading order, theme and paper; sign out. */
export function PersonMenu({ session, onDone }: { session: Session; onDone: () => void }) {
  const [keep] = useKeepPreferencesMutation();
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
          {session.person.role}, {session.shop.name}
        </Typography>
      </Typography>
      <UnitChoices units={preferences.units} onChange={(units) => set({ units })} />
      <Choice
        label="Toe shown in"
        options={TOE_UNIT_CHOICES}
        value={preferences.toe}
        onChange={(toe) => toe && set({ toe })}
        dense
      />
      <Choice
        label="Read the ribs"
        options={[
          { value: 'shop', label: 'As the shop' },
          { value: 'walkRound', label: 'Walking round' },
          { value: 'axleByAxle', label: 'Left to right' },
          { value: 'outerFirst', label: 'Axle by axle' },
        ]}
        value={preferences.readingOrder}
        onChange={(readingOrder) => readingOrder && set({ readingOrder })}
        dense
      />
      <Choice
        label="A tone after each reading"
        options={[
          { value: 'on', label: 'On' },
          { value: 'off', label: 'Off' },
        ]}
        value={preferences.sound ? 'on' : 'off'}
        onChange={(sound) => sound && set({ sound: sound === 'on' })}
        dense
      />
      <Choice
        label="Light"
        options={[
          { value: 'system', label: 'As the device' },
          { value: 'light', label: 'Day' },
          { value: 'dark', label: 'Night' },
        ]}
        value={preferences.theme}
        onChange={(theme) => theme && set({ theme })}
        dense
      />
      <Choice
        label="Paper"
        options={[
          { value: 'A4', label: 'A4' },
          { value: 'LETTER', label: 'Letter' },
        ]}
        value={preferences.paper}
        onChange={(paper) => paper && set({ paper })}
      />
      <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1 }}>
        {PLACES.map(({ to, title }) => (
          <Button key={to} onClick={() => void go(to)}>
            {title}
          </Button>
        ))}
      </Box>
      {isAsked && unsent > 0 ? (
        <Box role="alert" sx={{ display: 'grid', gap: 1 }}>
          <Typography variant="body2">
            {unsent} {unsent === 1 ? 'entry is' : 'entries are'} not saved on the server yet. They
            stay on this device and are sent when you sign in here again.
          </Typography>
          <Button variant="contained" onClick={() => void leave()}>
            Sign out
          </Button>
          <Button variant="text" onClick={() => setAsked(false)}>
            Stay signed in
          </Button>
        </Box>
      ) : (
        <Button onClick={() => (unsent > 0 ? setAsked(true) : void leave())}>Sign out</Button>
      )}
    </Box>
  );
}
