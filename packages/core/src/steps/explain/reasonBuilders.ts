import type { ReasonCode } from '@keen/contract';
import type { ReasonTexts } from '../../words/texts.ts';

/** A number as it stands in a sentence, and as it is. */
export interface Figure {
  value: number;
  text: string;
}

/** A reason as a sentence of one language, with what any other needs to say it. */
export interface RenderedReason extends ReasonCode {
  text: string;
}

type Argument<T> = T extends string ? T | Figure : T;
type Arguments<T extends readonly unknown[]> = { [K in keyof T]: Argument<T[K]> };

/** The sentences of a language, each coming with its code and figures. */
export type ReasonBuilders = {
  [K in keyof ReasonTexts]: ReasonTexts[K] extends (...args: infer A) => string
    ? (...args: Arguments<A>) => RenderedReason
    : RenderedReason;
};

/** Makes the sentences of a language say what they are beside how they read. */
export function reasonBuilders(texts: ReasonTexts): ReasonBuilders {
  const entries = Object.entries(texts).map(([code, words]) => {
    if (typeof words === 'string') return [code, { code, figures: [], text: words }];
    const write = words as (...args: unknown[]) => string;
    const say = (...args: (string | number | boolean | Figure)[]): RenderedReason => ({
      code,
      figures: args.map((arg) => (typeof arg === 'object' ? arg.value : arg)),
      text: write(...args.map((arg) => (typeof arg === 'object' ? arg.text : arg))),
    });
    return [code, say];
  });
  return Object.fromEntries(entries) as ReasonBuilders;
}
