/** A customer as far as two are compared. */
interface Named {
  /** The name as it is compared: lower case, letters and digits, words apart by one space. */
  key: string;
  phone: string;
}

/** A telephone with fewer digits is an extension, or a slip. */
const LEAST_DIGITS = 6;
/** Names as long as this may differ by one letter, or by two. */
const LONG_ENOUGH = { one: 6, two: 12 } as const;

/**
 * Whether two names may be one customer: the same telephone, the same words in another order, or a slip of
 * typing. Two people can share a name or a telephone, so it is only ever offered.
 */
export function looksLikeCustomer(a: Named, b: Named): boolean {
  if (a.key === '' || b.key === '' || a.key === b.key) return false;
  const [one, other] = [digits(a.phone), digits(b.phone)];
  if (one.length >= LEAST_DIGITS && one === other) return true;
  if (words(a.key) === words(b.key)) return true;
  const length = Math.min(a.key.length, b.key.length);
  const most = length >= LONG_ENOUGH.two ? 2 : length >= LONG_ENOUGH.one ? 1 : 0;
  return most > 0 && distance(a.key, b.key, most) <= most;
}

function digits(phone: string): string {
  return phone.replace(/\D/g, '');
}

function words(key: string): string {
  return key.split(' ').toSorted().join(' ');
}

/**
 * How many letters must be put in, taken out or changed to make one text of the other (Levenshtein 1966), where
 * two neighbours that changed places count as one.
 * @param most - more than this need not be told apart
 */
function distance(a: string, b: string, most: number): number {
  if (Math.abs(a.length - b.length) > most) return most + 1;
  const rows: number[][] = [Array.from({ length: b.length + 1 }, (_, j) => j)];
  for (let i = 1; i <= a.length; i++) {
    const row = [i];
    for (let j = 1; j <= b.length; j++) {
      const changed = a[i - 1] === b[j - 1] ? 0 : 1;
      let least = Math.min(rows[i - 1]![j]! + 1, row[j - 1]! + 1, rows[i - 1]![j - 1]! + changed);
      if (i > 1 && j > 1 && a[i - 1] === b[j - 2] && a[i - 2] === b[j - 1]) {
        least = Math.min(least, rows[i - 2]![j - 2]! + 1);
      }
      row.push(least);
    }
    rows.push(row);
  }
  return rows[a.length]![b.length]!;
}
