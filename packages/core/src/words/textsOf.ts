import type { Language } from '@keen/contract/words';
import { ENGLISH } from './english.ts';
import { ENGLISH_PAPERS } from './englishPapers.ts';
import type { PaperTexts } from './paperTexts.ts';
import { SPANISH } from './spanish.ts';
import { SPANISH_PAPERS } from './spanishPapers.ts';
import type { Texts } from './texts.ts';

export interface LanguageTexts {
  texts: Texts;
  papers: PaperTexts;
}

const TEXTS: Record<Language, LanguageTexts> = {
  en: { texts: ENGLISH, papers: ENGLISH_PAPERS },
  es: { texts: SPANISH, papers: SPANISH_PAPERS },
};

/** What is said in a language; a new one is two files beside these and a line here. */
export function textsOf(language: Language): LanguageTexts {
  return TEXTS[language];
}
