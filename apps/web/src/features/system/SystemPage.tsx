import type { SystemState } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { useNavigate } from 'react-router';
import { useSessionQuery } from '../../api/keenApi.ts';
import { failureOf } from '../../api/problem.ts';
import { useSystemQuery } from '../../api/shopApi.ts';
import { dateTime } from '../../shared/format.ts';
import { mayDo } from '../../shared/mayDo.ts';
import { Notice } from '../../shared/Notice.tsx';
import { PageTitle } from '../../shared/PageTitle.tsx';
import { TopBar } from '../../shared/TopBar.tsx';
import { pageTag } from '../../words/pageLanguage.ts';
import { t } from '../../words/system.ts';
import { concernsOf } from './concerns.ts';
import type { Concern } from './concerns.ts';

const SHORTCUTS = [{ keys: ['T'], what: t('page.backToToday') }];
const REFRESH_MS = 30_000;

/** Whether the installation is well: backups, space, work, errors, versions. */
export function SystemPage() {
  const { data: session } = useSessionQuery();
  const navigate = useNavigate();
  useHotkeys('t', () => void navigate('/'));
  const isLead = session !== undefined && mayDo(session, 'seeSystem');
  const { data, error, refetch, fulfilledTimeStamp } = useSystemQuery(undefined, {
    skip: !isLead,
    pollingInterval: REFRESH_MS,
    skipPollingIfUnfocused: true,
    refetchOnMountOrArgChange: true,
  });
  if (!session) return null;
  return (
    <Box sx={{ minHeight: '100%', display: 'flex', flexDirection: 'column' }}>
      <TopBar session={session} shortcuts={SHORTCUTS}>
        <PageTitle>{t('page.title')}</PageTitle>
      </TopBar>
      <Box component="main" sx={{ p: { xs: 2, md: 3.5 }, maxWidth: 980, display: 'grid', gap: 4 }}>
        {error && (
          <Box role="alert">
            <Typography sx={{ mb: 1 }}>{failureOf(error).text}</Typography>
            <Button onClick={() => void refetch()}>{t('page.tryAgain')}</Button>
          </Box>
        )}
        {!isLead && <Typography>{t('page.onlyTheLeadSees')}</Typography>}
        {isLead && !data && !error && (
          <Box role="status" aria-label={t('page.loading')}>
            <Skeleton variant="rectangular" height={240} sx={{ bgcolor: 'var(--hairline)' }} />
          </Box>
        )}
        {data && <State state={data} at={fulfilledTimeStamp ?? 0} />}
      </Box>
    </Box>
  );
}

/** @param at - when it was so, milliseconds since 1970 */
function State({ state, at }: { state: SystemState; at: number }) {
  const concerns = concernsOf(state, at);
  const { backup, disk, database, diagnoses, work } = state;
  return (
    <>
      <Box sx={{ display: 'grid', gap: 1 }}>
        <Typography variant="h1" component="h2">
          {concerns.length === 0 ? t('page.allWell') : t('page.lookAt', { count: concerns.length })}
        </Typography>
        {concerns.map((concern) => (
          <Notice key={concern.kind} kind="caution">
            {concernWords(concern)}
          </Notice>
        ))}
        <Typography color="textSecondary">{t('page.asOf', { time: timeOf(at) })}</Typography>
      </Box>
      <Box
        sx={{
          display: 'grid',
          columnGap: 7,
          rowGap: 4,
          gridTemplateColumns: { md: 'minmax(0, 1fr) minmax(0, 1fr)' },
          alignItems: 'start',
        }}
      >
        <Facts title={t('page.backups')}>
          {backup ? (
            <>
              <Fact name={t('page.newest')}>
                {backup.newest
                  ? t('page.newestOf', {
                      at: dateTime(backup.newest.at),
                      size: bytesWords(backup.newest.bytes),
                    })
                  : t('page.none')}
              </Fact>
              <Fact name={t('page.howOften')}>{t('page.every', { count: backup.everyHours })}</Fact>
            </>
          ) : (
            <Notice>{t('page.notHere')}</Notice>
          )}
          {disk && (
            <Fact name={t('page.space')}>
              {t('page.spaceOf', {
                free: bytesWords(disk.freeBytes),
                total: bytesWords(disk.totalBytes),
              })}
            </Fact>
          )}
        </Facts>
        <Facts title={t('page.work')}>
          <Fact name={t('page.diagnosesWaiting')}>{waitingWords(diagnoses)}</Fact>
          <Fact name={t('page.workers')}>{work.workers}</Fact>
          <Fact name={t('page.jobsWaiting')}>{waitingWords(work)}</Fact>
          <Fact name={t('page.jobsFailed')}>{work.failed}</Fact>
          <Fact name={t('page.connections')}>
            {t('page.connectionsOf', {
              busy: database.connections - database.idle,
              idle: database.idle,
              waiting: database.waiting,
            })}
          </Fact>
          <Fact name={t('page.streams')}>{state.streams}</Fact>
        </Facts>
        <Facts title={t('page.errors')}>
          <Fact name={t('page.onServer')}>{errorsWords(state.serverErrors)}</Fact>
          <Fact name={t('page.onPages')}>{errorsWords(state.pageErrors)}</Fact>
        </Facts>
        <Facts title={t('page.versions')}>
          <Fact name={t('page.app')}>{state.version}</Fact>
          <Fact name={t('page.database')}>{database.version}</Fact>
          <Fact name={t('page.node')}>{state.node}</Fact>
          <Fact name={t('page.databaseSize')}>{bytesWords(database.bytes)}</Fact>
          <Fact name={t('page.running')}>{dateTime(state.startedAt)}</Fact>
        </Facts>
      </Box>
    </>
  );
}

function Facts({ title, children }: { title: string; children: ReactNode }) {
  return (
    <Box component="section">
      <Typography variant="h2" component="h3" sx={{ mb: 0.5 }}>
        {title}
      </Typography>
      <Box component="dl" sx={{ m: 0 }}>
        {children}
      </Box>
    </Box>
  );
}

function Fact({ name, children }: { name: string; children: ReactNode }) {
  return (
    <Box
      sx={{
        display: 'flex',
        justifyContent: 'space-between',
        gap: 2,
        py: 0.75,
        borderTop: '1px solid var(--hairline)',
      }}
    >
      <Box component="dt" sx={{ color: 'text.secondary' }}>
        {name}
      </Box>
      <Box
        component="dd"
        sx={{ m: 0, textAlign: 'right', fontVariantNumeric: 'tabular-nums', fontWeight: 550 }}
      >
        {children}
      </Box>
    </Box>
  );
}

function concernWords(concern: Concern): string {
  switch (concern.kind) {
    case 'oldBackup':
      return t('concern.oldBackup', { at: dateTime(concern.at), count: concern.hours });
    case 'lowSpace':
      return t('concern.lowSpace', {
        free: bytesWords(concern.freeBytes),
        total: bytesWords(concern.totalBytes),
      });
    case 'longQueue':
      return t('concern.longQueue', { seconds: concern.seconds });
    case 'noConnection':
    case 'lateWork':
    case 'failedWork':
      return t(`concern.${concern.kind}`, { count: concern.count });
    default:
      return t(`concern.${concern.kind}`);
  }
}

function waitingWords({ waiting, oldestSeconds }: SystemState['diagnoses']): string {
  return waiting === 0
    ? '0'
    : t('page.waitingSince', { count: waiting, seconds: Math.round(oldestSeconds) });
}

function errorsWords({ count, lastAt }: SystemState['pageErrors']): string {
  return lastAt === null ? '0' : t('page.lastOf', { count, at: dateTime(lastAt) });
}

const UNITS = ['byte', 'kilobyte', 'megabyte', 'gigabyte', 'terabyte'] as const;

/** A size in the unit that leaves one to three digits before the point. */
function bytesWords(bytes: number): string {
  const power = Math.min(UNITS.length - 1, Math.floor(Math.log10(Math.max(1, bytes)) / 3));
  const value = bytes / 1000 ** power;
  return new Intl.NumberFormat(pageTag, {
    style: 'unit',
    unit: UNITS[power]!,
    maximumFractionDigits: value < 10 && power > 0 ? 1 : 0,
  }).format(value);
}

function timeOf(at: number): string {
  return new Intl.DateTimeFormat(pageTag, { timeStyle: 'medium' }).format(at);
}
