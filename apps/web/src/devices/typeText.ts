import { t } from '../words/devices.ts';

/** Between two keys of a gauge that types, ms. */
const KEY_GAP_MS = 4;

/** Types a text and Enter where the focus is, as the stand-in of a gauge that types does. */
export async function typeText(text: string): Promise<void> {
  for (const key of [...text, t('typeText.enter')]) {
    const target = document.activeElement ?? document.body;
    target.dispatchEvent(
      new KeyboardEvent('keydown', { key, bubbles: true, cancelable: true, composed: true }),
    );
    await new Promise((resolve) => setTimeout(resolve, KEY_GAP_MS));
  }
}
