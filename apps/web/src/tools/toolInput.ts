import type { CalculatorInput, CalculatorName, CalculatorOutput } from '@keen/contract';
import { calculatorInputs, validationIssuesOf } from '@keen/contract';
import { calculate, InputError, MM_PER_IN, parseMeasure } from '@keen/core';
import type { BenchTool, Field } from './tool.ts';
import { capital } from '../shared/format.ts';
import { expectedWords } from '../words/expected.ts';
import { t } from '../words/tools.ts';

/** What stands in the fields, by path. */
export type Texts = Record<string, string>;

/** Said where lengths are asked for in mm. */
export const INCHES_TOO = t('toolInput.lengthsInMm5');

export function takesInches({ fields }: BenchTool): boolean {
  return fields.some((field) => 'unit' in field && field.unit === 'mm');
}

/** What came of it: a result, or what is wrong where. */
export type Worked = Result | { ok: false; faults: Record<string, string> };

interface Result {
  ok: true;
  input: CalculatorInput<CalculatorName>;
  output: CalculatorOutput<CalculatorName>;
}

/** What came of it, as the result of the calculator that it is known to be of. */
export function resultOf<N extends CalculatorName>(
  _name: N,
  { input, output }: Result,
): { input: CalculatorInput<N>; output: CalculatorOutput<N> } {
  return { input: input as CalculatorInput<N>, output: output as CalculatorOutput<N> };
}

/** The texts that an input would stand in the fields as. */
export function textsOf(fields: readonly Field[], input: object): Texts {
  return Object.fromEntries(
    fields.map(({ path }) => {
      const value = valueAt(input, path);
      return [path, textOf(value)];
    }),
  );
}

function textOf(value: unknown): string {
  if (Array.isArray(value)) return value.join('; ');
  return typeof value === 'number' || typeof value === 'string' ? String(value) : '';
}

/** Reads the fields, checks them as the headless command would, and works the result out. */
export function workOut(tool: BenchTool, texts: Texts): Worked {
  const input: Record<string, unknown> = {};
  const faults: Record<string, string> = {};
  for (const field of tool.fields) {
    const typed = texts[field.path] ?? '';
    // 39 3/8" is read where inches are asked for; anywhere else the mark is a mistake.
    const text = texts.unit === 'in' ? typed.replace(/\s*["″]\s*$/, '') : typed;
    const value = read(field, text);
    if (value === undefined) continue;
    if (isUnreadable(value)) faults[field.path] = t('toolInput.aNumberSuchAs');
    put(input, field.path, value);
  }
  if (Object.keys(faults).length > 0) return { ok: false, faults };
  const parsed = calculatorInputs[tool.name].safeParse(input);
  if (!parsed.success) {
    return {
      ok: false,
      faults: Object.fromEntries(
        validationIssuesOf(parsed.error).map((wrong) => [
          fieldOf(tool, wrong.path),
          capital(expectedWords(wrong)),
        ]),
      ),
    };
  }
  try {
    const output = calculate(tool.name, parsed.data as never);
    return { ok: true, input: parsed.data, output };
  } catch (error) {
    if (!(error instanceof InputError)) throw error;
    return {
      ok: false,
      faults: {
        [fieldOf(tool, error.path)]: t('toolInput.expected', { expected: expectedWords(error) }),
      },
    };
  }
}

/**
 * Whether a field may be called wrong: it has text, or it may be left out and another of its group was
 * not. Other empty fields are only not filled yet.
 */
export function hasBegun(tool: BenchTool, texts: Texts, field: Field): boolean {
  if (texts[field.path]) return true;
  const group = `${field.path.split('.')[0]}.`;
  return (
    'optional' in field &&
    field.optional === true &&
    tool.fields.some((other) => other.path.startsWith(group) && Boolean(texts[other.path]))
  );
}

function read(field: Field, text: string): unknown {
  switch (field.kind) {
    case 'text':
      return text === '' && field.optional ? undefined : text;
    case 'choice':
      return text === '' ? undefined : text;
    case 'number':
      return measureIn(field.unit, text) ?? undefined;
    case 'point':
      return text.trim() === '' ? undefined : numbersIn(text, field.unit);
    case 'list':
      return numbersIn(text);
  }
}

function numbersIn(text: string, unit = ''): (number | null)[] {
  return text
    .split(/[;\n]+/)
    .filter((part) => part.trim() !== '')
    .map((part) => measureIn(unit, part));
}

/**
 * A number in its field's unit. Where millimetres are asked for, inches are read by their mark (`5 1/2 in`,
 * `5 1/2"`), and a pitch by its threads per inch (`16 tpi`).
 */
function measureIn(unit: string, text: string): number | null {
  const named =
    unit === 'mm' ? /^(.*?)\s*(in|inch|inches|["″]|tpi|mm)\s*$/i.exec(text.trim()) : null;
  const value = parseMeasure(named ? named[1]! : text);
  if (!named || value === null || Number.isNaN(value)) return named && value === null ? NaN : value;
  const mark = named[2]!.toLowerCase();
  if (mark === 'mm') return value;
  return Number((mark === 'tpi' ? MM_PER_IN / value : value * MM_PER_IN).toFixed(4));
}

function isUnreadable(value: unknown): boolean {
  return Array.isArray(value) ? value.some(Number.isNaN) : Number.isNaN(value);
}

/** The field that a path belongs to: itself or the nearest around it; the first for the whole. */
function fieldOf(tool: BenchTool, path: string): string {
  const paths = tool.fields.map((field) => field.path);
  return (
    paths.find((one) => path === one || path.startsWith(`${one}.`)) ??
    paths.find((one) => one.startsWith(`${path}.`)) ??
    paths[0]!
  );
}

function valueAt(input: object, path: string): unknown {
  return path
    .split('.')
    .reduce<unknown>((value, key) => (value as Record<string, unknown> | undefined)?.[key], input);
}

function put(input: Record<string, unknown>, path: string, value: unknown): void {
  const keys = path.split('.');
  const last = keys.pop()!;
  let at = input;
  for (const key of keys) at = (at[key] ??= {}) as Record<string, unknown>;
  at[last] = value;
}
