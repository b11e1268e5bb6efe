import type { CalculatorInput, CalculatorName, CalculatorOutput } from '@keen/contract';

/** What a calculator's drawing is given: the numbers that went in and came out. */
export interface ToolDrawing<N extends CalculatorName> {
  input: CalculatorInput<N>;
  output: CalculatorOutput<N>;
}
