/** A number as people write it, with a point or a comma; null for anything else. */
export function numberIn(text: string): number | null {
  const plain = text.trim().replace(',', '.').replace('−', '-');
  return /^[+-]?\d+(\.\d+)?$|^[+-]?\.\d+$/.test(plain) ? Number(plain) : null;
}

/** Numbers apart by semicolons or spaces; null when one of them is not a number. */
export function numbersIn(text: string): number[] | null {
  const parts = text.split(/[;\s]+/).filter(Boolean);
  const numbers = parts.map(numberIn);
  return numbers.every((one): one is number => one !== null) ? numbers : null;
}
