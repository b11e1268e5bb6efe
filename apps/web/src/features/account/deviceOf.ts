import { t } from '../../words/account.ts';

const SYSTEMS = [
  [/iPad|iPhone/, t('deviceOf.ipadOrIphone')],
  [/Android/, t('deviceOf.android')],
  [/Windows/, t('deviceOf.windows')],
  [/Mac OS X/, t('deviceOf.mac')],
  [/CrOS/, t('deviceOf.chromebook')],
  [/Linux/, t('deviceOf.linux')],
] as const;
const BROWSERS = [
  [/Edg\//, t('deviceOf.edge')],
  [/Firefox\//, t('deviceOf.firefox')],
  [/Chrome\//, t('deviceOf.chrome')],
  [/Safari\//, t('deviceOf.safari')],
] as const;

/** A browser by what it says of itself, as its owner would call it. */
export function deviceOf(agent: string): string {
  const find = (list: readonly (readonly [RegExp, string])[]) =>
    list.find(([pattern]) => pattern.test(agent))?.[1];
  const [system, browser] = [find(SYSTEMS), find(BROWSERS)];
  if (system && browser) return t('deviceOf.on', { browser, system });
  return system ?? browser ?? t('deviceOf.unknownBrowser');
}
