import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Snackbar from '@mui/material/Snackbar';
import Typography from '@mui/material/Typography';
import { Navigate, Outlet, useLocation } from 'react-router';
import { useApiDispatch, useApiSelector } from '../api/hooks.ts';
import { useSessionQuery } from '../api/keenApi.ts';
import { outbox } from '../api/outboxSlice.ts';
import { failureOf } from '../api/problem.ts';
import { useLive } from '../api/useLive.ts';

/** Everything behind the front door: needs a session, listens to live changes, shows refusals. */
export function SignedIn() {
  const { data: session, error, isLoading, refetch } = useSessionQuery();
  const location = useLocation();
  if (session) return <Inside />;
  if (isLoading) return <Box role="status" aria-label="Loading" sx={{ p: 4 }} />;
  const failure = failureOf(error);
  if (failure.status === 401) {
    return <Navigate to="/sign-in" replace state={{ from: location.pathname }} />;
  }
  return (
    <Box sx={{ p: 4, maxWidth: 520 }} role="alert">
      <Typography variant="h1" gutterBottom>
        No connection to the shop’s server.
      </Typography>
      <Typography sx={{ mb: 2 }}>{failure.text}</Typography>
      <Button variant="contained" onClick={() => void refetch()}>
        Try again
      </Button>
    </Box>
  );
}

function Inside() {
  useLive();
  const refused = useApiSelector((state) => state.outbox.refused);
  const dispatch = useApiDispatch();
  return (
    <>
      <Outlet />
      <Snackbar
        open={refused !== null}
        message={refused}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'center' }}
        action={
          <Button
            variant="text"
            sx={{ color: 'inherit' }}
            onClick={() => dispatch(outbox.refusalSeen())}
          >
            Understood
          </Button>
        }
      />
    </>
  );
}
