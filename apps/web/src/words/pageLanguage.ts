import type { Language } from '@keen/contract/words';
import { LANGUAGES } from '@keen/contract/words';

const PLACE = 'keen.language';

/**
 * The language of this page for as long as it is open: the one picked last on this device, else the first
 * of the browser's that we speak.
 */
export const pageLanguage: Language = chosen() ?? ofBrowser() ?? 'en';

/** For figures on the screens: they have a point, as gauges and rulers have. */
export const pageLocale = { en: 'en', es: 'es-US' }[pageLanguage];

/** For dates and times: the page's language as it is written where the reader is. */
export const pageTag =
  (typeof navigator === 'undefined'
    ? undefined
    : navigator.languages.find((tag) => tag.startsWith(`${pageLanguage}-`))) ?? pageLanguage;

if (typeof document !== 'undefined') document.documentElement.lang = pageLanguage;

/** Picks another language; the page is reloaded in it. */
export function pickLanguage(language: Language): void {
  localStorage.setItem(PLACE, language);
  location.reload();
}

function chosen(): Language | undefined {
  const tag = typeof localStorage === 'undefined' ? null : localStorage.getItem(PLACE);
  return LANGUAGES.find((language) => language === tag);
}

function ofBrowser(): Language | undefined {
  if (typeof navigator === 'undefined') return undefined;
  for (const tag of navigator.languages) {
    const spoken = LANGUAGES.find((language) => tag === language || tag.startsWith(`${language}-`));
    if (spoken) return spoken;
  }
  return undefined;
}
