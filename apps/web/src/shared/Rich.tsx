import { Fragment } from 'react';
import type { ReactNode } from 'react';

interface RichProps {
  /** A message in which parts stand between tags: `Reads <b>0.12°</b>`. */
  text: string;
  /** What becomes of each tag; `b` is strong where nothing else is said. */
  tags?: Record<string, (inner: string) => ReactNode>;
}

const TAGGED = /<(\w+)>(.*?)<\/\1>/g;

/** A sentence of which parts are set apart, whole in the catalogue so that another language can order it its way. */
export function Rich({ text, tags = {} }: RichProps) {
  const made: NonNullable<RichProps['tags']> = {
    b: (inner: string) => <strong>{inner}</strong>,
    ...tags,
  };
  const parts: ReactNode[] = [];
  let from = 0;
  for (const found of text.matchAll(TAGGED)) {
    const [whole, tag, inner] = found as unknown as [string, string, string];
    parts.push(text.slice(from, found.index), made[tag]?.(inner) ?? inner);
    from = found.index + whole.length;
  }
  parts.push(text.slice(from));
  return parts.map((part, i) => <Fragment key={i}>{part}</Fragment>);
}
