/** The messages of a room of the app: texts by name, in groups as deep as one likes. */
export interface Messages {
  readonly [name: string]: string | Messages;
}

type Count = 'one' | 'other';
type Bare<K extends string> = K extends `${infer B}_${Count}` ? B : K;

/** Dotted names of the messages; one that counts is named without what it is counted by. */
type Key<T> = {
  [K in keyof T & string]: T[K] extends string ? Bare<K> : `${K}.${Key<T[K]>}`;
}[keyof T & string];

type MessageAt<T, K extends string> = K extends `${infer G}.${infer Rest}`
  ? G extends keyof T
    ? MessageAt<T[G], Rest>
    : never
  : K extends keyof T
    ? T[K]
    : `${K}_other` extends keyof T
      ? T[`${K}_other`]
      : never;

type NamesIn<M> = M extends `${string}{{${infer Name}}}${infer Rest}`
  ? Name | NamesIn<Rest>
  : never;

type IsCounted<T, K extends string> = K extends `${infer G}.${infer Rest}`
  ? G extends keyof T
    ? IsCounted<T[G], Rest>
    : false
  : `${K}_other` extends keyof T
    ? true
    : false;

type Names<T, K extends string> =
  NamesIn<MessageAt<T, K>> | (IsCounted<T, K> extends true ? 'count' : never);

/** What goes into a message; one that counts needs a number. */
type Values<T, K extends string> = [Names<T, K>] extends [never]
  ? []
  : [values: { [N in Names<T, K>]: N extends 'count' ? number : string | number }];

export type Translate<T> = <K extends Key<T>>(key: K, ...values: Values<T, K>) => string;
