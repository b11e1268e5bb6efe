import type { Language } from '@keen/contract/words';
import { ENGLISH } from './english.ts';
import { SPANISH } from './spanish.ts';
import type { Texts } from './texts.ts';

const TEXTS: Record<Language, Texts> = { en: ENGLISH, es: SPANISH };

/** What is said in a language; a new one is a file beside these and a line here. */
export function textsOf(language: Language): Texts {
  return TEXTS[language];
}
