import { readFileSync } from 'node:fs';
import type { CalculatorName } from '@keen/contract';
import { CALCULATOR_NAMES, calculatorOutputs } from '@keen/contract';
import { describe, expect, it } from 'vitest';
import { calculateCall } from '../src/calculateCall.ts';
import { calculatorsPage } from '../src/calculatorsPage.ts';

const page = readFileSync(new URL('../../../docs/calculators.md', import.meta.url), 'utf8');
/** A command of the page with the answer printed under it. */
const JOB = /keen -- calc (\w+) '(.*)'\n```\n\n```json\n(.*)\n```/g;
const jobs = [...page.matchAll(JOB)].map(
  ([, name, input, output]) => [name as CalculatorName, input!, output!] as const,
);

describe('the page of the calculators', () => {
  it('is what the calculators say; `npm run docs` writes it anew', () => {
    expect(page).toBe(calculatorsPage());
  });

  it('has a job for each', () => {
    expect(jobs.map(([name]) => name)).toEqual(CALCULATOR_NAMES);
  });

  it.each(jobs)('%s answers what is printed, in the shape that is told', (name, input, output) => {
    const answer = calculateCall(name, input);
    expect(answer).toEqual({ result: JSON.parse(output) as object });
    expect(calculatorOutputs[name].safeParse(JSON.parse(output)).error).toBeUndefined();
  });
});
