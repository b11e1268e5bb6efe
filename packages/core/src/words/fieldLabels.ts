import type { PaperTexts } from './paperTexts.ts';
import type { FieldNames, MeasureTexts, SetRightTexts } from './screens/index.ts';

/** What fields and the parts of their paths are called. */
export interface FieldTexts {
  fields: FieldNames;
  found: Pick<PaperTexts, 'parts' | 'damages'>;
  measure: Pick<MeasureTexts, 'methods' | 'setup'>;
  setRight: Pick<SetRightTexts, 'stepTitles'>;
}

/**
 * A field of a visit by its path, in words: "Tread depth, left front, place 1, inner".
 * @returns the path itself where the visit has no such field
 */
export function fieldLabel(path: string, say: FieldTexts): string {
  for (const [pattern, label] of Object.entries(say.fields.labels)) {
    const found = matchOf(pattern, path);
    if (found) return [label, ...found.map(([kind, key]) => keyWords(kind, key, say))].join(', ');
  }
  return path;
}

/** What stands in a path for each part in braces; null where the path is of another pattern. */
function matchOf(pattern: string, path: string): [kind: string, key: string][] | null {
  const [wants, has] = [pattern.split('.'), path.split('.')];
  if (wants.length !== has.length) return null;
  const found: [string, string][] = [];
  for (const [i, want] of wants.entries()) {
    if (want.startsWith('{')) found.push([want.slice(1, -1), has[i]!]);
    else if (want !== has[i]) return null;
  }
  return found;
}

function keyWords(kind: string, key: string, say: FieldTexts): string {
  const { keys, place } = say.fields;
  switch (kind) {
    case 'place':
      return place(Number(key) + 1);
    case 'damage':
      return among(say.found.damages, key);
    case 'part':
      return among(say.found.parts, key).toLowerCase();
    case 'method':
      return titleAmong(say.measure.methods, key);
    case 'point':
      return (say.measure.setup as Named<{ words: string }>)[key]?.words ?? key;
    case 'step': {
      const [what, where] = key.split('-') as [string, string?];
      const title = among(say.setRight.stepTitles, what).toLowerCase();
      return where === undefined
        ? title
        : `${title}, ${among({ ...keys.wheel, ...keys.axle }, where)}`;
    }
    default:
      return among((keys as Named<Readonly<Record<string, string>>>)[kind] ?? {}, key);
  }
}

type Named<T> = Readonly<Partial<Record<string, T>>>;

function among(names: Named<string>, key: string): string {
  return names[key] ?? key;
}

function titleAmong(names: Named<{ title: string }>, key: string): string {
  return names[key]?.title.toLowerCase() ?? key;
}
