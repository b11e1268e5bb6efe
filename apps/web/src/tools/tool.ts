import type { CalculatorInput, CalculatorName, CalculatorOutput } from '@keen/contract';
import type { ComponentType } from 'react';
import type { ToolDrawing } from '../drawing/bench/toolDrawing.ts';

/** One entry of a form: where it goes in the input, and how it is asked. */
export type Field =
  | {
      kind: 'number';
      path: string;
      label: string;
      unit: string;
      hint?: string;
      optional?: boolean;
      /** A length of the car or the gauge, which goes along when the unit is changed. */
      isSize?: boolean;
    }
  | { kind: 'list'; path: string; label: string; unit: string; hint?: string }
  | { kind: 'point'; path: string; label: string; unit: string }
  | { kind: 'text'; path: string; label: string; hint?: string; optional?: boolean }
  | {
      kind: 'choice';
      path: string;
      label: string;
      options: readonly { value: string; label: string }[];
      /** Chosen as none: the field and everything under its path is left out. */
      optional?: boolean;
    };

/** A line of the result. */
export interface ResultLine {
  label: string;
  value: string;
  /** The figure that was asked for, shown large. */
  isMain?: boolean;
}

/** A calculator as a page: what it asks, draws, answers, and where its formula comes from. */
export interface BenchTool<N extends CalculatorName = CalculatorName> {
  name: N;
  title: string;
  /** When one reaches for it. */
  question: string;
  fields: readonly Field[];
  /** The worked example that the page opens with. */
  example: CalculatorInput<N>;
  /** The example in a sentence. */
  exampleWords: string;
  results: (output: CalculatorOutput<N>, input: CalculatorInput<N>) => readonly ResultLine[];
  formula: string;
  source: string;
  /** What can hurt or mislead. */
  caution?: string;
  Drawing: ComponentType<ToolDrawing<N>>;
}

/** Keeps a tool's own types while it is written, and puts them away for the list. */
export function tool<N extends CalculatorName>(definition: BenchTool<N>): BenchTool {
  return definition;
}
