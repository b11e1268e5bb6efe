import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import * as pdfmake from 'pdfmake';
import type { TDocumentDefinitions } from 'pdfmake/interfaces.js';

const require = createRequire(import.meta.url);
const fontDir = (name: string) => join(dirname(require.resolve(`${name}/package.json`)), 'files');
const archivo = fontDir('@fontsource/archivo');
const narrow = fontDir('@fontsource/archivo-narrow');

// The library ships one CommonJS object; its fonts and access rules are set once for the process.
const printer = (pdfmake as unknown as { default?: typeof pdfmake }).default ?? pdfmake;
printer.setUrlAccessPolicy(() => false);
printer.setLocalAccessPolicy((path: string) => path.startsWith(archivo) || path.startsWith(narrow));
printer.addFonts({
  Archivo: {
    normal: `${archivo}/archivo-latin-400-normal.woff`,
    bold: `${archivo}/archivo-latin-700-normal.woff`,
    italics: `${archivo}/archivo-latin-400-italic.woff`,
    bolditalics: `${archivo}/archivo-latin-700-italic.woff`,
  },
  Narrow: {
    normal: `${narrow}/archivo-narrow-latin-500-normal.woff`,
    bold: `${narrow}/archivo-narrow-latin-700-normal.woff`,
    italics: `${narrow}/archivo-narrow-latin-500-italic.woff`,
    bolditalics: `${narrow}/archivo-narrow-latin-700-italic.woff`,
  },
});

export function renderPdf(document: TDocumentDefinitions): Promise<Buffer> {
  return printer.createPdf(document).getBuffer();
}
