import {
  CALCULATOR_NAMES,
  calculatorCallSchema,
  calculatorInputs,
  validationIssue,
  validationIssueOf,
} from '@keen/contract';
import type { CalculatorName } from '@keen/contract';
import { calculate } from '@keen/core';
import { parseJson, refused, refusing } from './outcome.ts';
import type { Outcome } from './outcome.ts';

/** Runs one calculator on an input given as JSON text. */
export function calculateCall(name: string, text: string): Outcome {
  const json = parseJson(text);
  return json.ok ? calculateInput(name, json.value) : json.outcome;
}

/** Runs one line of a batch: `{"name": ..., "in": {...}}`. */
export function calculateLine(text: string): Outcome {
  const json = parseJson(text);
  if (!json.ok) return json.outcome;
  const call = calculatorCallSchema.safeParse(json.value);
  if (!call.success) return refused(validationIssueOf(call.error));
  return calculateInput(call.data.name, call.data.in);
}

function calculateInput(name: string, input: unknown): Outcome {
  if (!isCalculator(name)) {
    return refused(validationIssue('name', 'oneOf', { list: CALCULATOR_NAMES.join(', ') }));
  }
  const parsed = calculatorInputs[name].safeParse(input);
  if (!parsed.success) return refused(validationIssueOf(parsed.error));
  // The schema just chosen by name has checked the input, which the type system cannot follow.
  return refusing(() => calculate(name, parsed.data as never));
}

function isCalculator(name: string): name is CalculatorName {
  return (CALCULATOR_NAMES as string[]).includes(name);
}
