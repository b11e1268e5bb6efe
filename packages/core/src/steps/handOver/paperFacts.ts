import type {
  CaseFile,
  Action,
  Decision,
  Diagnosis,
  Language,
  PaperDrawing,
  PaperLine,
  PaperLines,
  ShopSettings,
  Units,
  VisitDraft,
} from '@keen/contract';
import { WHEELS } from '@keen/contract/words';
import { DEFAULT_LIMITS_MM } from '../../engine/case/resolveCase.ts';
import type { ExpectedDepths } from '../../engine/diagnosis/diagnose.ts';
import { sectionTires } from '../../drawing/sectionTires.ts';
import { formatMoney } from '../decide/money.ts';
import type { CostComparison } from '../../engine/outlook/choices.ts';
import type { DeclinedBefore } from '../decide/declinedBefore.ts';
import type { Outlook } from '../../engine/outlook/outlook.ts';
import type { LanguageTexts } from '../../words/textsOf.ts';
import { dangers } from '../../visit/dangers.ts';
import { adviceReason } from '../explain/adviceReasons.ts';
import type { AdviceCode } from '../explain/adviceReasons.ts';
import { distanceOnTires } from '../../visit/distanceOnTires.ts';
import { textsOf } from '../../words/textsOf.ts';
import { numberIn } from '../../words/texts.ts';
import { aboutDistance, distanceFromKm } from '../../engine/units/units.ts';

/** Everything that the papers of a visit are made of. */
export interface PaperFacts {
  shop: { name: string; town: string; settings: ShopSettings; logo: string | null };
  visit: { number: number; arrivedAt: string; draft: VisitDraft };
  /** The case that the answer is to. */
  file: CaseFile;
  vehicle: { label: string; plate: string; customer: string };
  /** Who speaks for the shop. */
  advisor: string;
  diagnosis: Diagnosis;
  expectedMm: ExpectedDepths;
  outlook: Outlook;
  weighing: CostComparison;
  decision: Pick<Decision, 'action' | 'advised' | 'answer' | 'reason' | 'replace'> | null;
  /** Work declined at an earlier visit, and what that has cost. */
  declined: DeclinedBefore | null;
  language: Language;
  units: Units;
}

const THOUSAND = 1000;
const NO_BREAK = '\u00a0';

/** How one paper writes: its texts, numbers, distances and money. */
export interface Writer extends LanguageTexts {
  /** A distance to the nearest whole unit. */
  distance: (km: number) => string;
  /** A distance that custom gives, round. */
  about: (km: number) => string;
  /** A distance to the nearest thousand, for what is only about right. */
  far: (km: number) => string;
  number: (value: number, digits: number) => string;
  money: (minor: number, currency: string, isWhole?: boolean) => string;
  date: (iso: string) => string;
  places: (list: readonly (keyof LanguageTexts['texts']['places'])[]) => string;
}

/** What writes numbers, dates and money of a paper in its language and units. */
export function writerFor({ language, units }: Pick<PaperFacts, 'language' | 'units'>): Writer {
  const both = textsOf(language);
  const { texts } = both;
  const grouped = (value: number) =>
    `${String(Math.round(value)).replace(/\B(?=(\d{3})+$)/g, NO_BREAK)}${NO_BREAK}${units.distance}`;
  return {
    ...both,
    distance: (km) => grouped(distanceFromKm(km, units.distance)),
    about: (km) => grouped(aboutDistance(km, units.distance)),
    far: (km) => grouped(Math.round(distanceFromKm(km, units.distance) / THOUSAND) * THOUSAND),
    number: (value, digits) => numberIn(texts, value, digits),
    money: (minor, currency, isWhole) => formatMoney(minor, currency, texts.locale, isWhole),
    date: (iso) =>
      new Date(iso).toLocaleDateString(texts.locale === 'en' ? 'en-GB' : texts.locale, {
        day: 'numeric',
        month: 'long',
        year: 'numeric',
        timeZone: 'UTC',
      }),
    places: (list) => list.map((where) => texts.places[where]).join(', '),
  };
}

export function line(strong: string, text = '', soft = ''): PaperLine {
  return { strong, text, soft };
}

export function lines(title: string, list: PaperLine[]): PaperLines {
  return { kind: 'lines', title, lines: list };
}

/** What must not be driven, and why, worst first; null for a car that may. */
export function dangerLine(draft: VisitDraft, { papers, places }: Writer): PaperLine | null {
  const found = dangers(draft);
  if (found.length === 0) return null;
  const words = found.map(({ kind, wheels }) => ({
    what: papers.dangers[kind].what(places(wheels)),
    why: papers.dangers[kind].why,
  }));
  return line(words.map(({ what }) => what).join(' '), words.map(({ why }) => why).join(' '));
}

/** Reasons of an advice that answer what the driver reports. */
const ANSWERS_DRIVER: readonly string[] = [
  'handling',
  'shaking',
  'pull',
  'unexplained',
] satisfies AdviceCode[];

/** What answers the driver's complaints where no cause does, in sentences; empty where nothing has to. */
export function complaintWords({ diagnosis }: PaperFacts, { texts }: Writer): string {
  return (diagnosis.recommendation.codes ?? [])
    .filter(({ code }) => ANSWERS_DRIVER.includes(code))
    .map((code) => adviceReason(code, texts))
    .join(' ');
}

/** What is at the head of both papers. */
export function paperHead(facts: PaperFacts, writer: Writer) {
  const { papers, date } = writer;
  const { shop, visit, vehicle, advisor } = facts;
  const some = (list: (string | undefined)[]) =>
    list.filter((text): text is string => text !== undefined && text !== '');
  return {
    shop: { name: shop.name, lines: some([shop.town, ...shop.settings.sheetHeader.split('\n')]) },
    logo: shop.logo,
    car: {
      name: some([vehicle.label, vehicle.plate]).join(', '),
      lines: some([
        some([vehicle.customer, runOn(visit.draft, writer)]).join(', '),
        some([papers.visit(visit.number), date(visit.arrivedAt), advisor]).join(', '),
      ]),
    },
  };
}

function runOn(draft: VisitDraft, { papers, distance }: Writer): string | undefined {
  const run = distanceOnTires(draft);
  switch (run?.kind) {
    case 'same':
      return papers.runOn.same(distance(run.km));
    case 'axles':
      return papers.runOn.axles(distance(run.frontKm), distance(run.rearKm));
    case 'range':
      return papers.runOn.range(distance(run.leastKm), distance(run.mostKm));
    case undefined:
      return undefined;
  }
}

/** The axle sections with their words. */
export function paperDrawing(facts: PaperFacts, { texts, papers }: Writer): PaperDrawing | null {
  const { draft } = facts.visit;
  const tires = sectionTires(draft, facts.expectedMm);
  const isRead = WHEELS.some((wheel) =>
    Object.values(tires[wheel].depthMm).some((depth) => depth !== null),
  );
  if (!isRead) return null;
  const { depth } = facts.units;
  return {
    tires,
    legalMm: draft.limits?.legal ?? DEFAULT_LIMITS_MM.legal,
    unit: depth,
    wheels: papers.wheelTitles,
    ribs: texts.ribs,
    decimal: numberIn(texts, 0.5, 1).charAt(1),
    legend: papers.legend(depth === 'mm' ? 'mm' : papers.in32),
  };
}

/** What was advised when it was decided, or is advised now. */
export function advisedCourse({ decision, weighing }: PaperFacts): Action {
  return decision?.advised ?? weighing.advised.course;
}
