/** Moves the focus from row to row of a list of links; from outside to its first or last. */
export function focusRow(list: HTMLUListElement | null, by: 1 | -1): void {
  const rows = [...(list?.querySelectorAll<HTMLAnchorElement>('a') ?? [])];
  const at = rows.indexOf(document.activeElement as HTMLAnchorElement);
  const next = at < 0 ? (by > 0 ? 0 : rows.length - 1) : at + by;
  rows[Math.max(0, Math.min(rows.length - 1, next))]?.focus();
}
