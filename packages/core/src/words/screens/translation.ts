/** The same texts in another language: the same names, and sentences made of the same values. */
export type Translation<T> = T extends string
  ? string
  : T extends (...values: infer V) => infer Said
    ? (...values: V) => Translation<Said>
    : { readonly [K in keyof T]: Translation<T[K]> };
