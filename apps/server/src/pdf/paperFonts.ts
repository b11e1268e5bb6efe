import { createRequire } from 'node:module';
import { dirname, join } from 'node:path';
import * as fontkit from 'fontkit';
import type { Content, TDocumentDefinitions, TFontDictionary } from 'pdfmake/interfaces.js';

const require = createRequire(import.meta.url);
const filesOf = (name: string) => join(dirname(require.resolve(`${name}/package.json`)), 'files');
const archivo = filesOf('@fontsource/archivo');
const narrow = filesOf('@fontsource/archivo-narrow');
const roboto = join(dirname(require.resolve('pdfmake/package.json')), 'build/fonts/Roboto');

/** Folders that fonts are read from; nothing else is opened while a paper is made. */
export const FONT_FOLDERS = [archivo, narrow, roboto];

const faces = (stem: string, light: number) => ({
  normal: `${stem}-${light}-normal.woff`,
  bold: `${stem}-700-normal.woff`,
  italics: `${stem}-${light}-italic.woff`,
  bolditalics: `${stem}-700-italic.woff`,
});

export const FONTS = {
  Archivo: faces(join(archivo, 'archivo-latin'), 400),
  ArchivoExtended: faces(join(archivo, 'archivo-latin-ext'), 400),
  Narrow: faces(join(narrow, 'archivo-narrow-latin'), 500),
  NarrowExtended: faces(join(narrow, 'archivo-narrow-latin-ext'), 500),
  // Greek, Cyrillic and signs that our own fonts lack.
  Roboto: {
    normal: join(roboto, 'Roboto-Regular.ttf'),
    bold: join(roboto, 'Roboto-Medium.ttf'),
    italics: join(roboto, 'Roboto-Italic.ttf'),
    bolditalics: join(roboto, 'Roboto-MediumItalic.ttf'),
  },
} satisfies TFontDictionary;
type FontName = keyof typeof FONTS;

/** Where a font lacks a letter it is taken from the next of its row. */
const FALLBACKS: Record<string, readonly FontName[]> = {
  Archivo: ['Archivo', 'ArchivoExtended', 'Roboto'],
  Narrow: ['Narrow', 'NarrowExtended', 'Roboto'],
};
/** Stands for a letter that none of the fonts has: a name shows a gap that one can see. */
const MISSING = '?';

const letters = new Map<FontName, (codePoint: number) => boolean>();

function has(font: FontName, codePoint: number): boolean {
  let known = letters.get(font);
  if (!known) {
    const file = fontkit.openSync(FONTS[font].normal) as fontkit.Font;
    known = (point) => file.hasGlyphForCodePoint(point);
    letters.set(font, known);
  }
  return known(codePoint);
}

/** A text in pieces, each with the font that has all of its letters. */
export function runsOf(text: string, font: string): { text: string; font: FontName }[] {
  const row = FALLBACKS[font] ?? FALLBACKS.Archivo!;
  const runs: { text: string; font: FontName }[] = [];
  for (const letter of text.normalize('NFC')) {
    const point = letter.codePointAt(0)!;
    // Line breaks are laid out, not drawn.
    const found = letter === '\n' ? row[0] : row.find((one) => has(one, point));
    const last = runs.at(-1);
    const next = found ?? row[0]!;
    const shown = found ? letter : MISSING;
    if (last?.font === next) last.text += shown;
    else runs.push({ text: shown, font: next });
  }
  return runs;
}

/** Gives every letter of a document a font that has it. */
export function withAllLetters(document: TDocumentDefinitions): TDocumentDefinitions {
  const font = document.defaultStyle?.font ?? 'Archivo';
  const { footer } = document;
  return {
    ...document,
    content: inFont(document.content, font) as Content,
    ...(typeof footer === 'function'
      ? { footer: (...page) => inFont(footer(...page), font) as Content }
      : {}),
  };
}

/** Walks what pdfmake lays out: text, columns, stacks, tables. */
function inFont(node: unknown, font: string): unknown {
  if (typeof node === 'string') return splitText(node, font);
  if (Array.isArray(node)) return node.map((one) => inFont(one, font));
  if (typeof node !== 'object' || node === null) return node;
  const own = 'font' in node && typeof node.font === 'string' ? node.font : font;
  const copy: Record<string, unknown> = { ...node };
  if ('text' in node) copy.text = inFont(node.text, own);
  if ('stack' in node) copy.stack = inFont(node.stack, own);
  if ('columns' in node) copy.columns = inFont(node.columns, own);
  if ('table' in node) {
    const table = node.table as { body: unknown };
    copy.table = { ...table, body: inFont(table.body, own) };
  }
  return copy;
}

function splitText(text: string, font: string): unknown {
  const runs = runsOf(text, font);
  return runs.length <= 1 && (runs[0]?.font ?? font) === font
    ? (runs[0]?.text ?? '')
    : { text: runs };
}
