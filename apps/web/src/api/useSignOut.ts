import { forgetOffline } from '../offline/register.ts';
import { useApiDispatch } from './hooks.ts';
import { keenApi, useSignOutMutation } from './keenApi.ts';
import { outbox } from './outboxSlice.ts';
import { clearSignedOut, markSignedOut } from './signOutMark.ts';

/**
 * Signs out at this tablet at once, with a network or without: what was seen is forgotten, what was not
 * sent waits for its author, and the server is told as soon as it can be.
 */
export function useSignOut(): () => Promise<void> {
  const dispatch = useApiDispatch();
  const [tellServer] = useSignOutMutation();
  return async () => {
    markSignedOut();
    dispatch(outbox.signedOut());
    await forgetOffline();
    const { error } = await tellServer();
    if (!error) clearSignedOut();
    dispatch(keenApi.util.resetApiState());
  };
}
