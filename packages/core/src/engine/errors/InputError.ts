/** A caller's mistake: which field of the input is wrong, and what was expected there. */
export class InputError extends Error {
  override name = 'InputError';
  readonly path: string;
  readonly expected: string;

  constructor(path: string, expected: string) {
    super(path ? `${path}: expected ${expected}` : `expected ${expected}`);
    this.path = path;
    this.expected = expected;
  }
}
