import type { Diagnosis } from '@keen/contract';
import type { Axle, DepthUnit } from '@keen/contract';
import {
  actionWords,
  axleSection,
  axleSectionSvg,
  causeWords,
  DEFAULT_LIMITS_MM,
  distanceFromKm,
  draftToCase,
  inHundred,
  sectionTires,
  sureWords,
  unsafeWheels,
  verdictOf,
  walkRound,
  whereWords,
} from '@keen/core';
import type { Content, TDocumentDefinitions } from 'pdfmake/interfaces.js';
import type { Paper, SheetData } from './sheetData.ts';
import { INK } from './sheetInk.ts';
import { estimatePart, nextPart, worthPart } from './sheetMoney.ts';

const MARGIN = 42;
const DRAWING = { width: 500, height: 78 };
/** Causes likelier than this are listed for the customer. */
const LISTED_FROM = 0.1;
const MOST_LISTED = 5;
const ANSWER_WORDS = {
  yes: 'The customer said yes.',
  no: 'The customer said no for now.',
  open: 'The customer has not answered yet.',
} as const;

/** Lays out the customer's sheet: one page, plain words, the drawing first. */
export function sheetDocument(data: SheetData, paper: Paper): TDocumentDefinitions {
  const label = [data.vehicle.label, data.vehicle.plate].filter(Boolean).join(', ');
  const { file } = draftToCase(data.visit.draft, label);
  const verdict = verdictOf(data.diagnosis, file);
  return {
    pageSize: paper,
    pageMargins: [MARGIN, MARGIN, MARGIN, MARGIN],
    info: { title: `Visit ${data.visit.number}, ${label}`, creator: 'Keen Groove' },
    defaultStyle: { font: 'Archivo', fontSize: 9.5, color: INK.ink, lineHeight: 1.2 },
    content: [
      heading(data),
      ...safety(data),
      {
        text: verdict.headline,
        font: 'Narrow',
        fontSize: 21,
        bold: true,
        lineHeight: 1.02,
        margin: [0, 16, 0, 5],
      },
      {
        text: [{ text: `${verdict.sure} `, bold: true }, `${verdict.detail} ${verdict.also}`],
        color: INK.ink,
        margin: [0, 0, 0, 10],
      },
      ...(['front', 'rear'] as const).map((axle) => drawing(data, axle, file.units.depth)),
      {
        text: `Seen from behind. Depths in ${file.units.depth === 'mm' ? 'mm' : '32nds of an inch'}. Dashed: the legal limit. Line: what the causes below would leave.`,
        color: INK.soft,
        fontSize: 8,
        margin: [0, 2, 0, 8],
      },
      {
        columns: [
          { width: '*', stack: [small('What wore the tires'), causes(data.diagnosis)] },
          { width: 24, text: '' },
          { width: '*', stack: [small('What we advise'), ...advice(data)] },
        ],
      },
      ...decisionPart(data),
      ...estimatePart(data.visit.draft.visit?.estimate),
      ...nextPart(data),
      ...walkRoundPart(data),
    ],
    footer: {
      margin: [MARGIN, 0, MARGIN, 0],
      fontSize: 7.5,
      color: INK.soft,
      text: 'Worked out from the tread, what was felt and what was measured; the chances are given with each cause. The vehicle maker’s specification, local law and a licensed technician decide.',
    },
  };
}

function heading({ shop, visit, vehicle, advisor, preferences }: SheetData): Content {
  const distance = visit.draft.tires?.lf?.distance;
  const unit = preferences.units.distance;
  const run =
    distance === undefined
      ? ''
      : `${Math.round(distanceFromKm(distance, unit)).toLocaleString('en')} ${unit} on the left front tire`;
  return {
    columns: [
      {
        stack: [
          { text: shop.name, font: 'Narrow', bold: true, fontSize: 13 },
          { text: shop.town, color: INK.soft },
        ],
      },
      {
        alignment: 'right',
        stack: [
          { text: [vehicle.label, vehicle.plate].filter(Boolean).join(' · '), bold: true },
          {
            text: [vehicle.customer, run].filter(Boolean).join(' · '),
            color: INK.soft,
          },
          {
            text: `Visit ${visit.number} · ${visit.arrivedAt.toISOString().slice(0, 10)} · ${advisor}`,
            color: INK.soft,
          },
        ],
      },
    ],
  };
}

/** What must not be driven stands first, whatever else was found. */
function safety({ visit }: SheetData): Content[] {
  const unsafe = unsafeWheels(visit.draft);
  if (unsafe.length === 0) return [];
  return [
    {
      margin: [0, 12, 0, 0],
      text: [
        { text: `Not safe to drive: ${unsafe.map(whereWords).join(', ')}. `, bold: true },
        'Cords, a bulge or a cut can let a tire fail without warning. The car stays until it is changed; local law decides.',
      ],
      color: INK.marker,
      fontSize: 11,
    },
  ];
}

const WALK_WORDS = {
  warningLights: 'Warning lights',
  codes: 'Stored codes',
  battery: 'Battery',
  nutTorque: 'Wheel nuts',
  lamps: 'Lamps',
} as const;

function walkRoundPart({ visit }: SheetData): Content[] {
  const facts = walkRound(visit.draft);
  if (facts.length === 0) return [];
  return [
    {
      margin: [0, 10, 0, 0],
      text: [
        { text: 'Also seen: ', bold: true },
        facts
          .map(({ what, words }) => `${WALK_WORDS[what]}: ${words.replace(/\.$/, '')}`)
          .join('. '),
        '.',
      ],
    },
  ];
}

function drawing(data: SheetData, axle: Axle, unit: DepthUnit): Content {
  const tires = sectionTires(data.visit.draft, data.expectedMm);
  const section = axleSection(axle, tires, {
    ...DRAWING,
    legalMm: data.visit.draft.limits?.legal ?? DEFAULT_LIMITS_MM.legal,
  });
  const name = axle === 'front' ? 'front' : 'rear';
  return {
    svg: axleSectionSvg(section, tires, [`Left ${name}`, `Right ${name}`], unit, INK),
    width: DRAWING.width,
    margin: [0, 4, 0, 2],
  };
}

function small(text: string): Content {
  return { text, bold: true, fontSize: 9, color: INK.soft, margin: [0, 2, 0, 4] };
}

function causes({ ranked }: Diagnosis): Content {
  const listed = ranked.filter((cause) => cause.probability >= LISTED_FROM).slice(0, MOST_LISTED);
  if (listed.length === 0) return { text: 'Nothing stands out; the wear is what driving takes.' };
  return {
    stack: listed.map(({ cause, where, probability, because }) => ({
      margin: [0, 0, 0, 5],
      text: [
        { text: `${causeWords(cause)}, ${whereWords(where)}`, bold: true },
        `\n${sureWords(probability)}, ${inHundred(probability)}. `,
        { text: because[0] ?? '', color: INK.soft },
      ],
    })),
  };
}

function advice(data: SheetData): Content[] {
  const { decision } = data;
  const { recommendation } = data.diagnosis;
  const replace = decision ? decision.replace : recommendation.replace;
  const lines: Content[] = [
    { text: `${actionWords(data.weighing.advised.course)}.`, bold: true, margin: [0, 0, 0, 4] },
    ...recommendation.reasons.map((reason) => ({ text: reason, margin: bottom(3) })),
  ];
  if (replace.length > 0) {
    lines.push({
      text: `Tires to replace: ${replace.map(whereWords).join(', ')}.`,
      bold: true,
      margin: bottom(3),
    });
  }
  return [...lines, ...worthPart(data)];
}

function bottom(space: number): [number, number, number, number] {
  return [0, 0, 0, space];
}

function decisionPart({ decision, weighing }: SheetData): Content[] {
  if (!decision) return [];
  const own = decision.action !== (decision.advised ?? weighing.advised.course);
  return [
    {
      margin: [0, 10, 0, 0],
      text: [
        { text: 'Decided: ', bold: true },
        `${actionWords(decision.action)}. `,
        own && decision.reason ? `Because: ${decision.reason}. ` : '',
        ANSWER_WORDS[decision.answer],
      ],
    },
  ];
}
