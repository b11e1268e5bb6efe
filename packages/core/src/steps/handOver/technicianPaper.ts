import type { Paper, PaperBlock, PaperLines, PaperTable } from '@keen/contract';
import { ANGLE_KINDS, RIBS, SET_STEPS } from '@keen/contract/words';
import type { SetStep, Wheel } from '@keen/contract/words';
import { WHEEL_ORDER } from '../../engine/case/wheels.ts';
import { courseWords } from '../explain/verdict.ts';
import { readingInUse } from '../measure/readings.ts';
import { closingList } from '../setRight/closingList.ts';
import { depthFromMm, pressureFromKpa } from '../../engine/units/units.ts';
import { wornParts } from '../../visit/wornParts.ts';
import { angleBlock, leftWords } from './angleBlock.ts';
import { complaintWords, dangerLine, line, lines, paperHead, writerFor } from './paperFacts.ts';
import type { PaperFacts, Writer } from './paperFacts.ts';

/** The technician's sheet: readings, parts, angles with their doubt, adjusters, torque. */
export function technicianPaper(facts: PaperFacts): Paper {
  const writer = writerFor(facts);
  const { papers, texts } = writer;
  const course = facts.decision?.action ?? facts.weighing.advised.course;
  const replace = facts.decision?.replace ?? facts.diagnosis.recommendation.replace;
  const angles = angleBlock(facts, writer, true);
  return {
    language: facts.language,
    title: `${papers.technicianTitle}, ${facts.vehicle.plate}`,
    ...paperHead(facts, writer),
    unsafe: dangerLine(facts.visit.draft, writer),
    headline: papers.technicianTitle,
    intro: line(
      `${courseWords(course, { fitsTires: replace.length > 0, ...facts.weighing }, texts)}.`,
      complaintWords(facts, writer),
    ),
    drawing: null,
    blocks: [
      readings(facts, writer),
      tires(facts, writer),
      parts(facts, writer),
      ...(angles ? [methods(facts, writer), angles] : [lines('', [line('', papers.noAngles)])]),
      ...setWith(facts, writer),
      closing(facts, writer),
    ],
    footer: papers.technicianFooter,
  };
}

function table(title: string, columns: string[], rows: string[][], note = ''): PaperTable {
  return {
    kind: 'table',
    title,
    columns: columns.map((name, i) => ({ title: name, isNumber: i > 0 })),
    rows: rows.map((cells) => ({ cells, isStrong: false })),
    note,
  };
}

/** Every place round every tire. */
function readings({ visit, units }: PaperFacts, { papers, texts, number }: Writer): PaperTable {
  const shown = (mm: number) => number(depthFromMm(mm, units.depth), units.depth === 'mm' ? 1 : 0);
  const rows = WHEEL_ORDER.flatMap((wheel) => {
    const stations = visit.draft.tires?.[wheel]?.stations ?? [];
    return (stations.length > 0 ? stations : [{}]).map((station, i) => [
      stations.length > 1 ? `${papers.wheelTitles[wheel]}, ${i + 1}` : papers.wheelTitles[wheel],
      ...RIBS.map((rib) => {
        const depth = (station as Partial<Record<typeof rib, number | 'unreadable'>>)[rib];
        return depth === undefined ? '–' : depth === 'unreadable' ? '×' : shown(depth);
      }),
    ]);
  });
  const unit = units.depth === 'mm' ? 'mm' : papers.in32;
  return table(
    `${papers.heads.readings}, ${unit}`,
    [papers.columns.tire, ...RIBS.map((rib) => texts.ribs[rib])],
    rows,
  );
}

function tires({ visit, units }: PaperFacts, { papers, number }: Writer): PaperTable {
  const { draft } = visit;
  const pressure = (kPa: number | undefined) =>
    kPa === undefined
      ? '–'
      : number(pressureFromKpa(kPa, units.pressure), units.pressure === 'bar' ? 2 : 0);
  const { columns } = papers;
  return {
    ...table(
      papers.heads.tires,
      [
        columns.tire,
        columns.size,
        columns.date,
        `${columns.pressure}, ${units.pressure}`,
        columns.touch,
        columns.damage,
      ],
      WHEEL_ORDER.map((wheel) => {
        const tire = draft.tires?.[wheel] ?? {};
        const touch = [
          papers.feathers[tire.feather ?? 'unknown'],
          papers.cuppings[tire.cupping ?? 'unknown'],
        ];
        return [
          papers.wheelTitles[wheel],
          tire.size ?? '',
          draft.visit?.tires?.[wheel]?.dateCode ?? '',
          `${pressure(tire.pressure?.measured)} / ${pressure(tire.pressure?.target)}`,
          touch.filter(Boolean).join(', '),
          (tire.damage ?? [])
            .map((one) => {
              const zone = draft.visit?.tires?.[wheel]?.damageAt?.[one];
              return zone
                ? `${papers.damages[one]} (${papers.damageZones[zone]})`
                : papers.damages[one];
            })
            .join(', '),
        ];
      }),
    ),
    columns: [
      columns.tire,
      columns.size,
      columns.date,
      `${columns.pressure}, ${units.pressure}`,
      columns.touch,
      columns.damage,
    ].map((title) => ({ title, isNumber: false })),
  };
}

function parts({ visit }: PaperFacts, { papers, texts }: Writer): PaperLines {
  const worn = wornParts(visit.draft).map(({ part, wheel, finding }) =>
    line(
      [papers.parts[part], wheel ? texts.places[wheel] : ''].filter(Boolean).join(', ') + ':',
      papers.plays[finding],
    ),
  );
  return lines(papers.heads.parts, worn.length > 0 ? worn : [line('', papers.noParts)]);
}

/** What each kind of angle was measured with. */
function methods({ visit }: PaperFacts, { papers }: Writer): PaperLines {
  const { draft } = visit;
  const said = ANGLE_KINDS.flatMap((kind) => {
    const used = new Set(
      WHEEL_ORDER.flatMap((wheel) => readingInUse(draft, wheel, kind)?.method ?? []),
    );
    const words = [...used].map((method) => papers.methods[method]).join(', ');
    return words ? papers.measuredBy(papers.angles[kind], words) : [];
  });
  return lines('', [line('', said.length > 0 ? `${said.join('; ')}.` : '')]);
}

/** The adjuster chosen for each angle, with how far it reaches where that is known. */
function setWith({ visit }: PaperFacts, writer: Writer): PaperBlock[] {
  const { papers, number } = writer;
  const { adjuster = {}, reach = {} } = visit.draft.visit?.setRight ?? {};
  const rows = SET_STEPS.filter((step) => adjuster[step] || reach[step]).map((step) => {
    const span = reach[step];
    return [
      stepWords(step, writer),
      adjuster[step] ? papers.adjusters[adjuster[step]] : '',
      span ? papers.to(`${number(span[0], 2)}°`, `${number(span[1], 2)}°`) : '',
    ];
  });
  const { columns } = papers;
  return rows.length > 0
    ? [table(papers.heads.set, [columns.step, columns.adjuster, columns.reach], rows)]
    : [];
}

function stepWords(step: SetStep, { papers, texts }: Writer): string {
  if (step === 'parts' || step === 'steeringWheel') return papers.steps[step];
  if (step === 'toe-front' || step === 'toe-rear') return papers.steps[step];
  const [kind, wheel] = step.split('-') as ['caster' | 'camber' | 'toe', Wheel];
  return `${papers.angles[kind]}, ${texts.places[wheel]}`;
}

/** What is done before the car is given back, with the torque figures of its sheet. */
function closing({ visit }: PaperFacts, writer: Writer): PaperLines {
  const { papers, number, distance } = writer;
  const { closing: states = {}, complaintGone = {}, recheckKm } = visit.draft.visit?.setRight ?? {};
  const torque = visit.draft.visit?.sheet?.sheet.torque ?? [];
  const figures =
    torque.length > 0
      ? torque.map((one) => `${one.fastener} ${number(one.newtonMetres, 0)} N·m`).join('; ')
      : papers.torqueUnknown;
  return lines(papers.heads.closing, [
    ...closingList(visit.draft).map(({ point }) =>
      line(
        `${papers.setupStates[states[point] ?? 'open']}:`,
        papers.closing[point],
        point === 'torque' ? figures : '',
      ),
    ),
    ...(visit.draft.complaints ?? []).map((complaint) => {
      const isGone = complaintGone[complaint];
      return line(
        `${papers.complaints[complaint]}:`,
        isGone === undefined ? papers.setupStates.open : papers.gone(isGone),
      );
    }),
    ...leftWords(visit.draft, writer).map((words) => line('', words)),
    ...(recheckKm === undefined ? [] : [line('', papers.recheckAfter(distance(recheckKm)))]),
  ]);
}
