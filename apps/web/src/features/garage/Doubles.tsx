import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Link from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import dayjs from 'dayjs';
import type { ReactNode } from 'react';
import { Link as RouterLink } from 'react-router';
import { failureOf } from '../../api/problem.ts';
import { Notice } from '../../shared/Notice.tsx';
import { t } from '../../words/garage.ts';

/** An entry that may be the same once more. */
export interface Double {
  id: string;
  /** Where it is shown. */
  to: string;
  name: string;
  /** What stands behind its name. */
  facts: string;
}

/** An entry that was joined. */
export interface Joined {
  id: string;
  name: string;
  said: string;
  /** ISO date and time. */
  at: string;
  by: string;
}

interface DoublesProps {
  /** What the section is called where nothing is in doubt any more. */
  joinedTitle: string;
  doubles: readonly Double[];
  joined: readonly Joined[];
  /** What joining does. */
  explained: string;
  joinLabel: string;
  isBusy: boolean;
  error: unknown;
  onJoin: (id: string) => void;
  onUndo: (id: string) => void;
}

/** Entries that may be one: joined with one press, taken apart with another. */
export function Doubles(props: DoublesProps) {
  const { joinedTitle, doubles, joined, explained, joinLabel, isBusy, error } = props;
  if (doubles.length + joined.length === 0) return null;
  return (
    <Box component="section">
      <Typography variant="h2" sx={{ mb: 0.5 }}>
        {doubles.length > 0 ? t('doubles.enteredTwice') : joinedTitle}
      </Typography>
      {error !== undefined && <Notice kind="caution">{failureOf(error).text}</Notice>}
      {doubles.map(({ id, to, name, facts }) => (
        <Row
          key={id}
          note={explained}
          action={
            <Button disabled={isBusy} onClick={() => props.onJoin(id)}>
              {joinLabel}
            </Button>
          }
        >
          <Link component={RouterLink} to={to}>
            {name}
          </Link>
          {facts}
        </Row>
      ))}
      {joined.map(({ id, name, said, at, by }) => (
        <Row
          key={id}
          note={`${dayjs(at).format('D MMM YYYY')}, ${by}`}
          action={
            <Button
              disabled={isBusy}
              aria-label={t('doubles.takeApartAgain', { name })}
              onClick={() => props.onUndo(id)}
            >
              {t('doubles.undo')}
            </Button>
          }
        >
          {said}
        </Row>
      ))}
    </Box>
  );
}

function Row({ children, note, action }: { children: ReactNode; note: string; action: ReactNode }) {
  return (
    <Box
      sx={{
        borderTop: '1px solid var(--hairline)',
        py: 1,
        display: 'flex',
        flexWrap: 'wrap',
        gap: 2,
        alignItems: 'center',
      }}
    >
      <Box sx={{ flex: 1, minWidth: 220 }}>
        {children}
        <Box sx={{ color: 'text.secondary', fontSize: '0.9rem' }}>{note}</Box>
      </Box>
      {action}
    </Box>
  );
}
