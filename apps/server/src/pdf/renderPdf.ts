import * as pdfmake from 'pdfmake';
import type { TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { FONT_FOLDERS, FONTS, withAllLetters } from './paperFonts.ts';

// The library ships one CommonJS object; its fonts and access rules are set once for the process.
const printer = (pdfmake as unknown as { default?: typeof pdfmake }).default ?? pdfmake;
printer.setUrlAccessPolicy(() => false);
printer.setLocalAccessPolicy((path: string) => FONT_FOLDERS.some((dir) => path.startsWith(dir)));
printer.addFonts(FONTS);

/** A document as PDF, any Latin, Greek or Cyrillic letter in it drawn. */
export function renderPdf(document: TDocumentDefinitions): Promise<Buffer> {
  return printer.createPdf(withAllLetters(document)).getBuffer();
}
