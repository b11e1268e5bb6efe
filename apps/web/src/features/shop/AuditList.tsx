import type { AuditEvent, AuditKind, Session } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { failureOf } from '../../api/problem.ts';
import { useAuditQuery } from '../../api/shopApi.ts';
import { dateTime } from '../../shared/format.ts';
import { Notice } from '../../shared/Notice.tsx';
import { t } from '../../words/shop.ts';

const KIND_WORDS: Record<AuditKind, string> = {
  signIn: t('auditList.signedIn'),
  signInFailed: t('auditList.wrongPassword'),
  signOut: t('auditList.signedOut'),
  refused: t('auditList.refusedNotAllowedFor'),
  settings: t('auditList.changedSettings'),
  logo: t('auditList.changedTheLogo'),
  personAdded: t('auditList.addedAColleague'),
  personChanged: t('auditList.changedAColleague'),
  passwordChanged: t('auditList.changedAPassword'),
  passwordLink: t('auditList.madeAPasswordLink'),
  secondFactor: t('auditList.changedASecondFactor'),
  constants: t('auditList.changedWhichFiguresThe'),
  archiveOut: t('auditList.exportedTheWholeShop'),
  archiveIn: t('auditList.importedAnArchive'),
  customerShown: t('auditList.lookedAtACustomers'),
  customerExported: t('auditList.exportedACustomersData'),
  customerErased: t('auditList.erasedACustomer'),
  keyMade: t('auditList.madeAKey'),
  keyChanged: t('auditList.changedAKey'),
  keyRevoked: t('auditList.revokedAKey'),
  batchPosted: t('auditList.postedABatch'),
  chainMade: t('auditList.madeAChain'),
  shopOpened: t('auditList.openedAShop'),
  carCodeMade: t('auditList.madeACarCode'),
  carTaken: t('auditList.tookACar'),
  retention: t('auditList.erasedByTheRetention'),
  backup: t('auditList.backedUp'),
};

/** Who did what that matters to the shop's safety, latest first. Nobody can change it. */
export function AuditList({ session }: { session: Session }) {
  const [pages, setPages] = useState<(number | null)[]>([null]);
  return (
    <Box component="section" aria-labelledby="audit-title" sx={{ display: 'grid', gap: 1.5 }}>
      <Box>
        <Typography variant="h1" component="h2" id="audit-title">
          {t('auditList.log')}
        </Typography>
        <Typography color="textSecondary" sx={{ mt: 0.5 }}>
          {t('auditList.signInsExportsSettings')}
        </Typography>
      </Box>
      <Box component="ul" aria-label={t('auditList.log')} sx={{ m: 0, p: 0, listStyle: 'none' }}>
        {pages.map((before, i) => (
          <Page
            key={before ?? 'first'}
            before={before}
            session={session}
            onMore={i === pages.length - 1 ? (next) => setPages([...pages, next]) : null}
          />
        ))}
      </Box>
    </Box>
  );
}

interface PageProps {
  before: number | null;
  session: Session;
  onMore: ((next: number) => void) | null;
}

function Page({ before, session, onMore }: PageProps) {
  const { data, error, isLoading } = useAuditQuery(before, { refetchOnMountOrArgChange: true });
  if (isLoading) {
    return (
      <li>
        <Skeleton variant="rectangular" height={120} sx={{ bgcolor: 'var(--hairline)' }} />
      </li>
    );
  }
  if (!data) {
    return (
      <li>
        <Notice kind="caution">{failureOf(error).text}</Notice>
      </li>
    );
  }
  const { events, next } = data;
  return (
    <>
      {events.map((event) => (
        <EventRow key={event.id} event={event} session={session} />
      ))}
      {onMore && next !== null && (
        <Box component="li" sx={{ pt: 1 }}>
          <Button onClick={() => onMore(next)}>{t('auditList.earlier')}</Button>
        </Box>
      )}
    </>
  );
}

function EventRow({ event, session }: { event: AuditEvent; session: Session }) {
  const nameOf = (id: unknown) => session.people.find((person) => person.id === id)?.name;
  const { kind, personId, detail, address, at } = event;
  const about = [
    detail.personId !== personId && nameOf(detail.personId),
    detail.changed,
    detail.role,
    detail.key,
    detail.name,
    detail.suspended === 1 && t('staffRow.suspended'),
    detail.suspended === 0 && t('auditList.takenBack'),
  ]
    .filter(Boolean)
    .join(', ');
  return (
    <Box
      component="li"
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr', sm: '1fr auto' },
        columnGap: 2,
        borderTop: '1px solid var(--hairline)',
        py: 0.75,
      }}
    >
      <Box sx={{ overflowWrap: 'anywhere' }}>
        <strong>{whoOf(event, nameOf(personId))}</strong>: {KIND_WORDS[kind]}
        {about !== '' && ` (${about})`}
      </Box>
      <Box sx={{ color: 'text.secondary', fontSize: '0.9rem', whiteSpace: 'nowrap' }}>
        {dateTime(at)}
        {address !== '' && `, ${address}`}
      </Box>
    </Box>
  );
}

function whoOf({ personId, detail }: AuditEvent, name: string | undefined): string {
  if (personId !== null) return name ?? t('auditList.somebody');
  return detail.key === undefined ? t('auditList.theServer') : t('auditList.aProgram');
}
