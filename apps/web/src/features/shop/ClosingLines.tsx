import type { ShopSettings } from '@keen/contract';
import { LANGUAGES } from '@keen/contract';
import { Notice } from '../../shared/Notice.tsx';
import { SavingField } from '../../shared/SavingField.tsx';
import { t } from '../../words/shop.ts';
import { LANGUAGE_WORDS } from './languageWords.ts';
import { useSaveSettings } from './useSaveSettings.ts';

/** A sentence of the house at the end of the customer's sheet, in each language. */
export function ClosingLines({ settings }: { settings: ShopSettings }) {
  const [keep, { isError }] = useSaveSettings();
  return (
    <>
      {LANGUAGES.map((language) => (
        <SavingField
          key={language}
          label={t('papersForm.closingLineIn', { languageWords: LANGUAGE_WORDS[language] })}
          multiline
          value={settings.sheetNote[language]}
          check={(text) => (text.length > 300 ? t('papersForm.atMost300Letters') : null)}
          onChange={(text) =>
            void keep({ sheetNote: { ...settings.sheetNote, [language]: text ?? '' } })
          }
        />
      ))}
      {isError && <Notice kind="caution">{t('papersForm.notSavedThePapers')}</Notice>}
    </>
  );
}
