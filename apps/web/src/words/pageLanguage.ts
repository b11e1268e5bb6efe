import type { Language } from '@keen/contract/words';
import { LANGUAGES } from '@keen/contract/words';

const PLACE = 'keen.language';

/** The language of this page for as long as it is open: the one picked last on this device. */
export const pageLanguage: Language = chosen() ?? 'en';

/** Picks another language; the page is loaded anew in it. */
export function pickLanguage(language: Language): void {
  localStorage.setItem(PLACE, language);
  location.reload();
}

function chosen(): Language | undefined {
  const tag = typeof localStorage === 'undefined' ? null : localStorage.getItem(PLACE);
  return LANGUAGES.find((language) => language === tag);
}
