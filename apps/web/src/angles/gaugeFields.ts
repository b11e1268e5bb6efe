import type { AngleKind, Axle, GaugeCalculator, VisitDraft, Wheel } from '@keen/contract';
import { tireDiameter, WHEELS_OF_AXLE } from '@keen/core';
import { TOOLS } from '../tools/tools.ts';
import type { BenchTool, Field } from '../tools/tool.ts';
import { resultOf } from '../tools/toolInput.ts';
import type { Texts, Worked } from '../tools/toolInput.ts';

/** Angles that readings came to, by wheel, degrees. */
export type Found = Partial<Record<Wheel, number>>;

/** Fields that are read again at each wheel; the others are the gauge's own, and asked once. */
const READ: Record<GaugeCalculator, (where: Wheel | Axle) => readonly string[]> = {
  toeFromTape: () => ['front', 'rear'],
  toeFromStrings: (wheel) => [`wheels.${wheel}.front`, `wheels.${wheel}.rear`],
  toeFromGauges: (wheel) => [`wheels.${wheel}`],
  camberFromLevel: () => ['reading', 'leans'],
  camberFromSquare: () => ['top', 'bottom'],
  casterFromSwing: () => ['camberTurnedOut', 'camberTurnedIn'],
};

/** Calculators whose fields are those of one wheel or axle, so that each place has readings of its own. */
export const PLACES: Record<GaugeCalculator, readonly (Wheel | Axle)[] | null> = {
  toeFromTape: ['front', 'rear'],
  toeFromStrings: null,
  toeFromGauges: null,
  camberFromLevel: ['lf', 'rf', 'lr', 'rr'],
  camberFromSquare: ['lf', 'rf', 'lr', 'rr'],
  casterFromSwing: ['lf', 'rf'],
};

export function gaugeTool(calculator: GaugeCalculator): BenchTool {
  return TOOLS.find(({ name }) => name === calculator)!;
}

/** The fields of a tool that are read at a place. */
export function readFields(calculator: GaugeCalculator, where: Wheel | Axle): Field[] {
  const paths = READ[calculator](where);
  return gaugeTool(calculator).fields.filter(({ path }) => paths.includes(path));
}

/**
 * What stands in a gauge's form at a place: the gauge's own figures as they were last given, the readings
 * last taken there, and what the car's tires say.
 */
export function gaugeTexts(
  draft: VisitDraft,
  calculator: GaugeCalculator,
  where: Wheel | Axle,
): Texts {
  const kept = draft.visit?.measure?.gauge?.[calculator] ?? {};
  const own = PLACES[calculator] ? READ[calculator](where) : [];
  const texts: Texts = { ...startTexts(calculator, draft, where), ...lastSetup(calculator) };
  for (const [key, text] of Object.entries(kept)) {
    if (!key.includes(' ') && !own.includes(key)) texts[key] = text;
  }
  for (const path of own) {
    const text = kept[`${where} ${path}`];
    if (text !== undefined) texts[path] = text;
  }
  return texts;
}

/** What is kept of a form's fields: readings of one place under its name. */
export function savedTexts(
  draft: VisitDraft,
  calculator: GaugeCalculator,
  where: Wheel | Axle,
  texts: Texts,
): Texts {
  const own = PLACES[calculator] ? READ[calculator](where) : [];
  const next: Texts = { ...draft.visit?.measure?.gauge?.[calculator] };
  for (const [path, text] of Object.entries(texts)) {
    const key = own.includes(path) ? `${where} ${path}` : path;
    if (text === '') delete next[key];
    else next[key] = text;
  }
  rememberHere(calculator, next);
  return next;
}

/** Choices that are nearly always so, and what the car's tires say; the readings start empty. */
function startTexts(calculator: GaugeCalculator, draft: VisitDraft, where: Wheel | Axle): Texts {
  switch (calculator) {
    case 'toeFromTape': {
      const diameter = tireDiameter(draft, where === 'rear' ? 'rear' : 'front');
      return { unit: 'mm', ...(diameter === null ? {} : { span: diameter.toFixed(0) }) };
    }
    case 'toeFromStrings':
    case 'camberFromSquare':
      return { unit: 'mm' };
    case 'toeFromGauges':
      return { unit: 'mm', toeInReads: 'plus', frontAgainst: 'rearAxle' };
    case 'camberFromLevel':
      return { zeroIs: 'vertical', leans: 'in' };
    case 'casterFromSwing':
      return { angle: '20' };
  }
}

/** What is the gauge's own whatever the car: its unit, its sign, what an upright wheel shows. */
const GAUGE_OWN = ['unit', 'toeInReads', 'frontAgainst', 'zeroIs', 'angle'];
const nameOf = (calculator: GaugeCalculator) => `keen.gauge.${calculator}`;

/** As the gauge was last set up at this tablet, on whatever car. */
function lastSetup(calculator: GaugeCalculator): Texts {
  try {
    const found: unknown = JSON.parse(localStorage.getItem(nameOf(calculator)) ?? '{}');
    if (typeof found !== 'object' || found === null) return {};
    return Object.fromEntries(
      Object.entries(found).filter(
        (entry): entry is [string, string] =>
          GAUGE_OWN.includes(entry[0]) && typeof entry[1] === 'string',
      ),
    );
  } catch {
    return {};
  }
}

function rememberHere(calculator: GaugeCalculator, texts: Texts): void {
  const own = Object.entries(texts).filter(([key]) => GAUGE_OWN.includes(key));
  try {
    localStorage.setItem(nameOf(calculator), JSON.stringify(Object.fromEntries(own)));
  } catch {
    // A full or forbidden storage only means that it is asked again.
  }
}

/**
 * The form's texts made whole where only one axle was read: the other stands straight and is left out of
 * what is found. Strings without gaps are taken as parallel.
 */
export function wholeTexts(
  calculator: GaugeCalculator,
  texts: Texts,
): { texts: Texts; read: readonly Wheel[] } {
  const all: readonly Wheel[] = ['lf', 'rf', 'lr', 'rr'];
  if (calculator !== 'toeFromStrings' && calculator !== 'toeFromGauges') {
    return { texts, read: all };
  }
  const hasWheel = (wheel: Wheel) =>
    READ[calculator](wheel).some((path) => (texts[path] ?? '').trim() !== '');
  const axles = (['front', 'rear'] as const).filter((axle) => WHEELS_OF_AXLE[axle].some(hasWheel));
  const only = axles.length === 1 ? axles[0]! : null;
  const whole = { ...texts };
  if (only) {
    for (const wheel of WHEELS_OF_AXLE[only === 'front' ? 'rear' : 'front']) {
      for (const path of READ[calculator](wheel)) whole[path] = '0';
    }
  }
  if (calculator === 'toeFromStrings') {
    const empty = (path: string) => (whole[path] ?? '').trim() === '';
    if (empty('stringGap.front') && empty('stringGap.rear') && empty('wheelbase')) {
      Object.assign(whole, { 'stringGap.front': '1', 'stringGap.rear': '1', wheelbase: '1' });
    }
    const other = only === 'front' ? 'rear' : 'front';
    if (only && empty(`rimDiameter.${other}`)) {
      whole[`rimDiameter.${other}`] = whole[`rimDiameter.${only}`] ?? '';
    }
  }
  return { texts: whole, read: only ? WHEELS_OF_AXLE[only] : all };
}

/** The wheels' angles in what a calculator found; null without a result. */
export function anglesFound(
  calculator: GaugeCalculator,
  worked: Worked,
  where: Wheel | Axle,
  read: readonly Wheel[],
): Found | null {
  if (!worked.ok) return null;
  switch (calculator) {
    case 'toeFromTape': {
      // The total is all a tape knows: half to each wheel.
      const half = resultOf(calculator, worked).output.totalToe / 2;
      const [left, right] = WHEELS_OF_AXLE[where as Axle];
      return { [left]: half, [right]: half };
    }
    case 'toeFromStrings':
    case 'toeFromGauges': {
      const { toe } = resultOf(calculator, worked).output;
      return Object.fromEntries(read.map((wheel) => [wheel, toe[wheel]]));
    }
    case 'camberFromSquare':
    case 'camberFromLevel':
      return { [where as Wheel]: resultOf(calculator, worked).output.camber };
    case 'casterFromSwing':
      return { [where as Wheel]: resultOf(calculator, worked).output.caster };
  }
}

/** What a calculator measures. */
export const KIND_OF: Record<GaugeCalculator, AngleKind> = {
  toeFromTape: 'toe',
  toeFromStrings: 'toe',
  toeFromGauges: 'toe',
  camberFromLevel: 'camber',
  camberFromSquare: 'camber',
  casterFromSwing: 'caster',
};
