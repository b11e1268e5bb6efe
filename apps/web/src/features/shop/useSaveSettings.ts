import type { ChangeSettings } from '@keen/contract';
import { createContext, useContext } from 'react';
import { useChangeChainMutation } from '../../api/chainApi.ts';
import { useSaveSettingsMutation } from '../../api/shopApi.ts';

/** For whom the forms of this page settle something: this shop, or all shops of its chain. */
export const SettlesFor = createContext<'shop' | 'chain'>('shop');

/** Settles something for whom the page is for. @returns how to, and whether the last time failed */
export function useSaveSettings(): [
  (change: ChangeSettings) => Promise<unknown>,
  { isError: boolean },
] {
  const settlesFor = useContext(SettlesFor);
  const [saveForShop, ofShop] = useSaveSettingsMutation();
  const [change, ofChain] = useChangeChainMutation();
  if (settlesFor === 'shop') return [saveForShop, ofShop];
  return [(settings) => change({ settings }), ofChain];
}
