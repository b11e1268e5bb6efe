import type {
  Paper,
  PaperBlock,
  PaperDrawing,
  PaperLine,
  PaperLines,
  PaperTable,
} from '@keen/contract';
import { axleSection, axleSectionSvg, WHEELS_OF_AXLE } from '@keen/core';
import type { Content, Margins, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import { INK } from './paperInk.ts';

export type PaperSize = 'A4' | 'LETTER';

const MARGIN = 42;
const DRAWING = { width: 500, height: 50 };
const LOGO = { width: 90, height: 34 };
const GUTTER = 24;

/** Lays a paper out: what it says was settled before, here is only where it stands. */
export function paperDocument(paper: Paper, size: PaperSize): TDocumentDefinitions {
  return {
    pageSize: size,
    pageMargins: [MARGIN, MARGIN - 10, MARGIN, MARGIN - 4],
    info: { title: paper.title, creator: 'Keen Groove' },
    defaultStyle: { font: 'Archivo', fontSize: 9, color: INK.ink, lineHeight: 1.14 },
    content: [
      heading(paper),
      ...(paper.unsafe ? [unsafe(paper.unsafe)] : []),
      {
        text: paper.headline,
        font: 'Narrow',
        fontSize: 20,
        bold: true,
        lineHeight: 1,
        margin: [0, 12, 0, 3],
      },
      { ...lineOf(paper.intro, false), margin: [0, 0, 0, 8] },
      ...(paper.drawing ? drawing(paper.drawing) : []),
      // A block that does not fit moves on whole, title and all.
      ...paper.blocks.map((one): Content => ({ unbreakable: true, stack: [block(one)] })),
    ],
    footer: (page, pages) => ({
      margin: [MARGIN, 0, MARGIN, 0],
      fontSize: 7.5,
      color: INK.soft,
      columns: [
        { text: paper.footer },
        ...(pages > 1
          ? [{ text: `${page} / ${pages}`, width: 40, alignment: 'right' as const }]
          : []),
      ],
    }),
  };
}

function heading({ shop, car, logo }: Paper): Content {
  return {
    columns: [
      ...(logo
        ? [
            {
              image: logo,
              fit: [LOGO.width, LOGO.height] as [number, number],
              width: LOGO.width + 10,
            },
          ]
        : []),
      {
        width: '*',
        stack: [
          { text: shop.name, font: 'Narrow', bold: true, fontSize: 13 },
          { text: shop.lines.join(', '), color: INK.soft },
        ],
      },
      {
        width: '*',
        alignment: 'right',
        stack: [
          { text: car.name, bold: true },
          ...car.lines.map((text) => ({ text, color: INK.soft })),
        ],
      },
    ],
  };
}

function unsafe({ strong, text }: PaperLine): Content {
  return {
    margin: [0, 12, 0, 0],
    text: [{ text: `${strong} `, bold: true }, text],
    color: INK.marker,
    fontSize: 11,
  };
}

function drawing({ tires, legalMm, unit, wheels, ribs, legend, decimal }: PaperDrawing): Content[] {
  return [
    ...(['front', 'rear'] as const).map((axle): Content => {
      const [left, right] = WHEELS_OF_AXLE[axle];
      const section = axleSection(axle, tires, { ...DRAWING, legalMm });
      const words = { titles: [wheels[left], wheels[right]] as const, ribs, decimal };
      return {
        svg: axleSectionSvg(section, tires, words, unit, INK),
        width: DRAWING.width,
        margin: [0, 3, 0, 0],
      };
    }),
    { text: legend, color: INK.soft, fontSize: 8, margin: [0, 1, 0, 6] },
  ];
}

function block(one: PaperBlock): Content {
  switch (one.kind) {
    case 'lines':
      return { ...linesOf(one, one.title === '' ? 0 : 3), margin: [0, 5, 0, 0] };
    case 'table':
      return { ...tableOf(one), margin: [0, 6, 0, 0] };
    case 'pair':
      return {
        margin: [0, 5, 0, 0],
        columns: [
          { width: '*', ...linesOf(one.left, 3) },
          { width: GUTTER, text: '' },
          { width: '*', ...linesOf(one.right, 3) },
        ],
      };
  }
}

function linesOf({ title, lines }: PaperLines, space: number): { stack: Content[] } {
  return {
    stack: [
      ...(title === '' ? [] : [small(title)]),
      ...lines.map((line) => ({
        ...lineOf(line, title !== ''),
        margin: [0, 0, 0, space] as Margins,
      })),
    ],
  };
}

/** @param breaks - whether the sentence begins on a line of its own where the strong part is one, too */
function lineOf({ strong, text, soft }: PaperLine, breaks: boolean) {
  const gap = breaks && strong.endsWith('.') && text !== '' ? '\n' : ' ';
  return {
    text: [
      ...(strong === ''
        ? []
        : [{ text: text === '' && soft === '' ? strong : strong + gap, bold: true }]),
      text,
      ...(soft === '' ? [] : [{ text: ` ${soft}`, color: INK.soft }]),
    ],
  };
}

function small(text: string): Content {
  return { text, bold: true, fontSize: 9, color: INK.soft, margin: [0, 2, 0, 3] };
}

function tableOf({ title, columns, rows, note }: PaperTable): { stack: Content[] } {
  const cell = (text: string, i: number, style: { bold?: boolean; color?: string }): Content => ({
    text,
    alignment: columns[i]?.isNumber ? 'right' : 'left',
    ...style,
  });
  const isHeaded = columns.some((column) => column.title !== '');
  return {
    stack: [
      small(title),
      {
        fontSize: 8.3,
        layout: {
          hLineWidth: (i: number) => (i === 0 ? 0 : 0.4),
          vLineWidth: () => 0,
          hLineColor: () => INK.line,
          paddingTop: () => 1.5,
          paddingBottom: () => 1.5,
          paddingLeft: (i: number) => (i === 0 ? 0 : 8),
          paddingRight: () => 0,
        },
        table: {
          widths: columns.map((_, i) => (i === 0 ? '*' : 'auto')),
          headerRows: isHeaded ? 1 : 0,
          body: [
            ...(isHeaded
              ? [columns.map((column, i) => cell(column.title, i, { color: INK.soft }))]
              : []),
            ...rows.map(({ cells, isStrong }) =>
              cells.map((text, i) => cell(text, i, { bold: isStrong })),
            ),
          ],
        },
      },
      ...(note === ''
        ? []
        : [{ text: note, color: INK.soft, fontSize: 8.5, margin: [0, 2, 0, 0] as Margins }]),
    ],
  };
}
