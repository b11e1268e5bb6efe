import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { Navigate, Outlet, ScrollRestoration, useLocation } from 'react-router';
import type { Location } from 'react-router';
import { useEffect } from 'react';
import { useApiDispatch } from '../api/hooks.ts';
import { keenApi, useSessionQuery } from '../api/keenApi.ts';
import { outbox } from '../api/outboxSlice.ts';
import { failureOf } from '../api/problem.ts';
import { hasSignedOut, onShopChanged, onSignedOutElsewhere } from '../api/signOutMark.ts';
import { useLive } from '../api/useLive.ts';
import { forgetOffline } from '../offline/register.ts';
import { t } from '../words/app.ts';

/** Everything behind the front door: needs a session, and listens to live changes. */
export function SignedIn() {
  const { data: session, error, isLoading, refetch } = useSessionQuery();
  const location = useLocation();
  if (session?.account.mustSetUpSecondFactor && location.pathname !== '/account') {
    return <Navigate to="/account" replace />;
  }
  const failure = failureOf(error);
  const isOver = error !== undefined && failure.status === 401;
  if (session) return isOver ? <Leaving /> : <Inside />;
  if (isLoading) return <Loading />;
  if (isOver) {
    const state = hasSignedOut() ? null : { from: location.pathname };
    return <Navigate to="/sign-in" replace state={state} />;
  }
  return (
    <Box sx={{ p: 4, maxWidth: 520 }} role="alert">
      <Typography variant="h1" gutterBottom>
        {t('signedIn.noConnectionToThe')}
      </Typography>
      <Typography sx={{ mb: 2 }}>{failure.text}</Typography>
      <Button variant="contained" onClick={() => void refetch()}>
        {t('signedIn.tryAgain')}
      </Button>
    </Box>
  );
}

function Loading() {
  return <Box role="status" aria-label={t('signedIn.loading')} sx={{ p: 4 }} />;
}

/** The session has ended elsewhere: what was seen in it goes, and the next question leads to the front door. */
function Leaving() {
  const dispatch = useApiDispatch();
  useEffect(() => {
    dispatch(outbox.signedOut());
    void forgetOffline().finally(() => dispatch(keenApi.util.resetApiState()));
  }, [dispatch]);
  return <Loading />;
}

/** A new page begins at its top. One sheet after another of the list is the same page. */
const placeOf = ({ pathname, key }: Location) => (pathname.startsWith('/sheets') ? '/sheets' : key);

function Inside() {
  useLive();
  const dispatch = useApiDispatch();
  // Signed out in another window of this device: what this one shows goes too.
  useEffect(
    () =>
      onSignedOutElsewhere(() => {
        dispatch(outbox.signedOut());
        dispatch(keenApi.util.resetApiState());
      }),
    [dispatch],
  );
  useEffect(() => onShopChanged(() => window.location.assign('/')), []);
  return (
    <>
      <ScrollRestoration getKey={placeOf} />
      <Outlet />
    </>
  );
}
