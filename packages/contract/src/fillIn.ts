/** What stands in a sentence, by the names between its braces. */
export type SentenceValues = Readonly<Record<string, string | number>>;

/** Fills what stands between double braces. */
export function fillIn(text: string, values: SentenceValues): string {
  return text.replaceAll(/\{\{(\w+)\}\}/g, (_, name: string) => String(values[name] ?? ''));
}
