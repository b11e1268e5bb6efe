import type { CalculatorInput, CalculatorName } from '@keen/contract';

/** What a calculator's drawing is given: the numbers that went in and came out. */
export interface ToolDrawing<N extends CalculatorName, Out> {
  input: CalculatorInput<N>;
  output: Out;
}
