import { forgetOffline } from '../offline/register.ts';
import { useApiDispatch } from './hooks.ts';
import { useChangeShopMutation } from './keenApi.ts';
import { outbox } from './outboxSlice.ts';
import { notifyShopChanged } from './signOutMark.ts';

/**
 * Goes on in another of one's own shops: what was seen of this one is forgotten, and what was not sent
 * waits until its author is back in it. The page starts again, in every window of this device.
 * @returns changes to a shop by its id; the promise fails with why it was refused
 */
export function useChangeShop(): (shopId: string) => Promise<void> {
  const dispatch = useApiDispatch();
  const [change] = useChangeShopMutation();
  return async (shopId) => {
    const session = await change(shopId).unwrap();
    dispatch(outbox.signedIn(session));
    await forgetOffline();
    notifyShopChanged(shopId);
    window.location.assign('/');
  };
}
