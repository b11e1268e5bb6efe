import type { Role } from '@keen/contract';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Divider from '@mui/material/Divider';
import Typography from '@mui/material/Typography';
import { Navigate, useLocation } from 'react-router';
import { useSessionQuery, useSignInDemoMutation, useWelcomeQuery } from '../../api/keenApi.ts';
import { failureOf } from '../../api/problem.ts';
import { LANGUAGE_OPTIONS } from '../../shared/languages.ts';
import { Notice } from '../../shared/Notice.tsx';
import { Mark } from '../../shared/TopBar.tsx';
import { PasswordForm } from './PasswordForm.tsx';
import { SetUpForm } from './SetUpForm.tsx';
import { pageLanguage, pickLanguage } from '../../words/pageLanguage.ts';
import { t } from '../../words/signIn.ts';
import { term } from '../../words/terms.ts';

/** The front door: sign in, press a made-up person, or set up the first shop. */
export function SignInPage() {
  const { data: session } = useSessionQuery();
  const { data: welcome, error, isLoading } = useWelcomeQuery();
  const from = fromOf(useLocation().state);
  if (session) return <Navigate to={from} replace />;
  return (
    <Box
      component="main"
      sx={{
        minHeight: '100%',
        display: 'grid',
        gridTemplateColumns: { md: '1fr 460px' },
        alignItems: 'stretch',
      }}
    >
      <Box
        sx={{
          p: { xs: 3, md: 8 },
          display: 'flex',
          flexDirection: 'column',
          justifyContent: 'center',
        }}
      >
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, mb: 3 }}>
          <Mark size={40} />
          <Typography className="condensed" sx={{ fontSize: '1.5rem', fontWeight: 700 }}>
            {t('signInPage.keenGroove')}
          </Typography>
        </Box>
        <Typography
          variant="h1"
          sx={{ fontSize: { xs: '2rem', md: '3.2rem' }, maxWidth: 620, fontStretch: '72%' }}
        >
          {t('signInPage.twelveDepthsOneHonest')}
        </Typography>
        <Typography sx={{ mt: 2, maxWidth: 520, color: 'text.secondary', fontSize: '1.05rem' }}>
          {t('signInPage.whatWoreTheseTires')}
        </Typography>
        <SampleTread />
      </Box>
      <Box
        sx={{
          p: { xs: 3, md: 5 },
          bgcolor: 'var(--sheet)',
          borderLeft: { md: '1px solid var(--line)' },
          borderTop: { xs: '1px solid var(--line)', md: 0 },
          display: 'flex',
          flexDirection: 'column',
          justifyContent: 'center',
          gap: 3,
        }}
      >
        {isLoading && <Typography role="status">{t('signInPage.lookingForTheShop')}</Typography>}
        {error && <Notice kind="caution">{failureOf(error).text}</Notice>}
        {welcome?.needsSetup && <SetUpForm />}
        {welcome?.demo && (
          <>
            <DemoPeople demo={welcome.demo} />
            <Divider sx={{ color: 'text.secondary', fontSize: '0.85rem' }}>
              {t('signInPage.orWithAPassword')}
            </Divider>
          </>
        )}
        {welcome && !welcome.needsSetup && <PasswordForm />}
        <Languages />
      </Box>
    </Box>
  );
}

/** Whoever reads no English finds their own language by its own name. */
function Languages() {
  return (
    <Box sx={{ display: 'flex', gap: 1 }}>
      {LANGUAGE_OPTIONS.filter(({ value }) => value !== pageLanguage).map(({ value, label }) => (
        <Button
          key={value}
          variant="text"
          lang={value}
          onClick={() => pickLanguage(value)}
          sx={{ px: 0, minWidth: 0 }}
        >
          {label}
        </Button>
      ))}
    </Box>
  );
}

function DemoPeople({
  demo,
}: {
  demo: { shopName: string; people: readonly { id: string; name: string; role: Role }[] };
}) {
  const [signIn, { isLoading, error }] = useSignInDemoMutation();
  return (
    <Box>
      <Typography variant="h2" component="h2">
        {demo.shopName}
      </Typography>
      <Typography variant="body2" color="textSecondary" sx={{ mb: 1.5 }}>
        {t('signInPage.aMadeUpShop')}
      </Typography>
      <Box sx={{ display: 'grid', gap: 1 }}>
        {demo.people.map(({ id, name, role }) => (
          <Button
            key={id}
            disabled={isLoading}
            onClick={() => void signIn(id)}
            sx={{ justifyContent: 'space-between' }}
          >
            <span>{name}</span>
            <Box component="span" sx={{ fontWeight: 400, color: 'text.secondary' }}>
              {term(`role.${role}`)}
            </Box>
          </Button>
        ))}
      </Box>
      {error && (
        <Box sx={{ mt: 1 }}>
          <Notice kind="caution">{failureOf(error).text}</Notice>
        </Box>
      )}
    </Box>
  );
}

/** A worn pair, drawn for the front door only. */
function SampleTread() {
  const depths = [0.4, 0.55, 0.68, 0.66, 0.56, 0.41];
  return (
    <Box
      component="svg"
      viewBox="0 0 420 120"
      aria-hidden
      sx={{ mt: 5, width: '100%', maxWidth: 520 }}
    >
      {depths.map((depth, i) => {
        const x = i * 62 + (i > 2 ? 48 : 0);
        const top = 112 - depth * 100;
        return (
          <g key={i}>
            <rect
              x={x}
              y={12}
              width={58}
              height={100}
              fill="none"
              stroke="var(--line)"
              strokeDasharray="2 3"
            />
            <path
              d={
                [0, 1, 2, 3].reduce(
                  (path, t) =>
                    i < 3
                      ? `${path}V${top + 8}L${x + (t + 1) * 14.5} ${top}`
                      : `${path}V${top}L${x + (t + 1) * 14.5} ${top + 8}`,
                  `M${x} 112`,
                ) + 'V112Z'
              }
              fill="var(--rubber)"
            />
          </g>
        );
      })}
      <line x1={0} x2={416} y1={112} y2={112} stroke="var(--ink)" strokeWidth={1.5} />
    </Box>
  );
}

function fromOf(state: unknown): string {
  const from =
    typeof state === 'object' && state !== null && 'from' in state ? state.from : undefined;
  return typeof from === 'string' && from.startsWith('/') ? from : '/';
}
