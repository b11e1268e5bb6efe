import dayjs from 'dayjs';
import i18next from 'i18next';
import type { Language } from '@keen/contract/words';
import type { Messages, Translate } from './messages.ts';
import { pageLanguage } from './pageLanguage.ts';

interface Translations {
  messages: Record<string, Messages>;
  /** What the core says. */
  screens: Record<string, unknown>;
}

async function translations(language: Language): Promise<Translations> {
  if (language === 'en') return { messages: {}, screens: {} };
  const { SPANISH, SPANISH_SCREENS } = await import('./es/index.ts');
  return { messages: SPANISH, screens: SPANISH_SCREENS };
}

const { messages, screens } = await translations(pageLanguage);

await i18next.init({
  lng: pageLanguage,
  fallbackLng: 'en',
  resources: { [pageLanguage]: messages },
  showSupportNotice: false,
  // React writes text, not markup.
  interpolation: { escapeValue: false },
});

// Its locale comes along with the translations.
dayjs.locale(pageLanguage);

/**
 * The messages of a room in the language of the page.
 * @param room - its name, the same in every language
 * @param english - what the others are translated from, and what stands in for what they lack
 */
export function messagesOf<const T extends Messages>(room: string, english: T): Translate<T> {
  i18next.addResourceBundle('en', room, english);
  const fixed = i18next.getFixedT(null, room);
  // A look-up costs some 20 µs and a page has hundreds; the language stays, so a plain text does too.
  const plain = new Map<string, string>();
  const translate = (key: string, values?: Record<string, string | number>): string => {
    if (values !== undefined) return fixed(key, values);
    const known = plain.get(key);
    if (known !== undefined) return known;
    const text = fixed(key);
    plain.set(key, text);
    return text;
  };
  return translate;
}

/**
 * What the core says of a room, in the language of the page.
 * @param room - its name, the same in every language
 * @param english - where the page is in English
 */
export function screensOf<T>(room: string, english: T): T {
  return (screens[room] as T | undefined) ?? english;
}
