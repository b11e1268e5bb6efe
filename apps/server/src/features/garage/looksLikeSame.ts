interface Entered {
  plateKey: string;
  vin: string;
  label: string;
  customerKey: string;
}

/** Letters and digits that are taken for one another when a plate is read or typed. */
const ALIKE: readonly (readonly [string, string])[] = [
  ['O', '0'],
  ['I', '1'],
  ['S', '5'],
  ['B', '8'],
  ['Z', '2'],
];

/**
 * Whether two entries may be one car: the same VIN, or one customer's cars of one name whose plates differ
 * by a slip of typing. Cars of one fleet have names and telephones in common, so those alone say nothing.
 */
export function looksLikeSame(a: Entered, b: Entered): boolean {
  if (a.vin !== '' && b.vin !== '') return a.vin === b.vin;
  if (a.customerKey === '' || a.customerKey !== b.customerKey) return false;
  if (a.label.trim().toLowerCase() !== b.label.trim().toLowerCase()) return false;
  // A car that came in as a file has no plate yet.
  if (a.plateKey.startsWith('IMPORT') !== b.plateKey.startsWith('IMPORT')) return true;
  return isSlip(a.plateKey, b.plateKey);
}

/** One letter taken for a digit that looks like it, or two neighbours changed about. */
function isSlip(a: string, b: string): boolean {
  const [one, other] = [plain(a), plain(b)];
  if (one === other) return true;
  if (one.length !== other.length) return false;
  const wrong = [...one].flatMap((letter, i) => (letter === other[i] ? [] : [i]));
  const [i, j] = wrong;
  return wrong.length === 2 && j === i! + 1 && one[i!] === other[j] && one[j] === other[i!];
}

function plain(plate: string): string {
  return ALIKE.reduce((text, [letter, digit]) => text.replaceAll(letter, digit), plate);
}
