type Part = string | false | null | undefined;

const there = (parts: readonly Part[]) => parts.filter((part): part is string => Boolean(part));

/** Parts of one line, those that are there, with commas between them. */
export function joined(...parts: readonly Part[]): string {
  return there(parts).join(', ');
}

/** Sentences and what stands in brackets, those that are there, one after the other. */
export function spaced(...parts: readonly Part[]): string {
  return there(parts).join(' ');
}
