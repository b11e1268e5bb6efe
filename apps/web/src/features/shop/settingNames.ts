import { LANGUAGES, PRICE_ITEMS } from '@keen/contract';
import { papers } from '../../words/pageTexts.ts';
import { t } from '../../words/chain.ts';
import { t as shop } from '../../words/shop.ts';
import { LANGUAGE_WORDS } from './languageWords.ts';

const NAMES: Record<string, string> = {
  'prices.currency': t('settingNames.currency'),
  'prices.taxPercent': t('settingNames.taxPercent'),
  'prices.taxMode': t('settingNames.taxMode'),
  'prices.labour': t('settingNames.labour'),
  'prices.packages': t('settingNames.packages'),
  'limits.legal': t('settingNames.legal'),
  'limits.advise': t('settingNames.advise'),
  'limits.snow': t('settingNames.snow'),
  'houseRules.pair': t('settingNames.pair'),
  'houseRules.awdMatch': t('settingNames.awdMatch'),
  'houseRules.ageLook': t('settingNames.ageLook'),
  'houseRules.ageReplace': t('settingNames.ageReplace'),
  readingOrder: t('settingNames.readingOrder'),
  comebackKm: t('settingNames.comebackKm'),
  'units.depth': t('settingNames.depthUnit'),
  'units.distance': t('settingNames.distanceUnit'),
  'units.pressure': t('settingNames.pressureUnit'),
  ...Object.fromEntries(
    LANGUAGES.map((language) => [
      `sheetNote.${language}`,
      shop('papersForm.closingLineIn', { languageWords: LANGUAGE_WORDS[language] }),
    ]),
  ),
  secondFactorForLeads: t('settingNames.secondFactorForLeads'),
  'retention.customerMonths': t('settingNames.customerMonths'),
  'retention.photoMonths': t('settingNames.photoMonths'),
  ...Object.fromEntries(
    PRICE_ITEMS.map((item) => [
      `prices.items.${item}`,
      t('settingNames.price', { item: papers.prices[item] }),
    ]),
  ),
};

const MOST_NAMED = 3;

/** What a setting is called, by its path. */
export function settingName(path: string): string {
  return NAMES[path] ?? path;
}

/** Some settings in a row of a list; of many just the first. */
export function settingList(paths: readonly string[]): string {
  const names = [...new Set(paths.map(settingName))];
  const list = names.slice(0, MOST_NAMED).join(', ');
  const count = names.length - MOST_NAMED;
  return count > 0 ? t('chainLog.andMore', { list, count }) : list;
}
