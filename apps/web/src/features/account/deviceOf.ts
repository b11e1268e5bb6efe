import { t } from '../../words/account.ts';

const SYSTEMS = [
  [/iPad|iPhone/, t('deviceOf.ipadOrIphone')],
  [/Android/, 'Android'],
  [/Windows/, 'Windows'],
  [/Mac OS X/, 'Mac'],
  [/CrOS/, 'Chromebook'],
  [/Linux/, 'Linux'],
] as const;
const BROWSERS = [
  [/Edg\//, 'Edge'],
  [/Firefox\//, 'Firefox'],
  [/Chrome\//, 'Chrome'],
  [/Safari\//, 'Safari'],
] as const;

/** A browser by what it says of itself, as its owner would call it. */
export function deviceOf(agent: string): string {
  const find = (list: readonly (readonly [RegExp, string])[]) =>
    list.find(([pattern]) => pattern.test(agent))?.[1];
  const [system, browser] = [find(SYSTEMS), find(BROWSERS)];
  if (system && browser) return t('deviceOf.on', { browser, system });
  return system ?? browser ?? t('deviceOf.unknownBrowser');
}
