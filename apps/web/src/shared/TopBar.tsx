import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Menu from '@mui/material/Menu';
import { useState } from 'react';
import type { ReactNode } from 'react';
import { Link } from 'react-router';
import type { Session } from '@keen/contract';
import { PersonMenu } from './PersonMenu.tsx';
import { ShortcutsDialog } from './ShortcutsDialog.tsx';
import type { Shortcut } from './ShortcutsDialog.tsx';
import { t } from '../words/shared.ts';
import { term } from '../words/terms.ts';

interface TopBarProps {
  session: Session;
  /** What this page is about. */
  children?: ReactNode;
  /** Quiet facts at the right, such as whether everything is saved. */
  status?: ReactNode;
  shortcuts: readonly Shortcut[];
}

const PLACES = [
  { to: '/garage', title: t('topBar.garage') },
  { to: '/bench', title: t('topBar.bench') },
  { to: '/sheets', title: t('topBar.sheets') },
  { to: '/due', title: t('topBar.due') },
] as const;

/** The strip over every page: the mark, what it is about, who is signed in. */
export function TopBar({ session, children, status, shortcuts }: TopBarProps) {
  const [anchor, setAnchor] = useState<HTMLElement | null>(null);
  return (
    <Box
      component="header"
      sx={{
        display: 'flex',
        alignItems: 'center',
        gap: 2,
        minHeight: 52,
        px: { xs: 1.5, md: 2.5 },
        borderBottom: '1px solid var(--line)',
        flexShrink: 0,
      }}
    >
      <Box
        component={Link}
        to="/"
        aria-label={t('topBar.keenGrooveToday')}
        sx={{
          display: 'flex',
          alignItems: 'center',
          gap: 1,
          color: 'var(--ink)',
          textDecoration: 'none',
          fontWeight: 700,
          fontStretch: '78%',
          fontSize: '1.1rem',
          whiteSpace: 'nowrap',
          minHeight: 44,
        }}
      >
        <Mark />
        <Box component="span" sx={{ display: { xs: 'none', sm: 'inline' } }}>
          {t('topBar.keenGroove')}
        </Box>
      </Box>
      <Box sx={{ flex: 1, minWidth: 0 }}>{children}</Box>
      <Box sx={{ color: 'text.secondary', fontSize: '0.85rem', whiteSpace: 'nowrap' }}>
        {status}
      </Box>
      {PLACES.map(({ to, title }) => (
        <Box
          key={to}
          component={Link}
          to={to}
          sx={{
            color: 'text.secondary',
            textDecoration: 'none',
            fontSize: '0.92rem',
            fontWeight: 600,
            display: { xs: 'none', md: 'flex' },
            alignItems: 'center',
            minHeight: 44,
          }}
        >
          {title}
        </Box>
      ))}
      <ShortcutsDialog shortcuts={shortcuts} />
      <Button
        variant="text"
        onClick={({ currentTarget }) => setAnchor(currentTarget)}
        aria-haspopup="menu"
        sx={{ px: 1, whiteSpace: 'nowrap', minWidth: 0 }}
      >
        {session.person.name.split(' ')[0]}
        <Box component="span" sx={{ display: { xs: 'none', md: 'inline' } }}>
          , {term(`role.${session.person.role}`)}
        </Box>
      </Button>
      <Menu anchorEl={anchor} open={anchor !== null} onClose={() => setAnchor(null)}>
        <PersonMenu session={session} onDone={() => setAnchor(null)} />
      </Menu>
    </Box>
  );
}

/** Three slanted ribs. */
export function Mark({ size = 24 }: { size?: number }) {
  return (
    <svg width={size} height={size * 0.5} viewBox="0 0 28 12" aria-hidden>
      <path
        d="M0 11 2.6 1h6.4L6.4 11zM9.4 11 12 1h6.4l-2.6 10zM18.8 11l2.6-10h6.4l-2.6 10z"
        fill="var(--marker)"
      />
    </svg>
  );
}
