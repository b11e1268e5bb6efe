import { z } from 'zod';
import type { ExpectedReason } from './expectedTexts.ts';
import { validationIssue } from './validationIssue.ts';
import type { ValidationIssue } from './validationIssue.ts';

/** Deeper than any document of ours; what is nested deeper was made to break something. */
const DEEPEST = 40;
/** The largest whole number that a numbered row of the database takes. */
const LARGEST_ROW_NUMBER = 2_147_483_647;

/** A number that counts rows: entries, visits, revisions. */
export const rowNumberSchema = z.int().min(0).max(LARGEST_ROW_NUMBER);

/**
 * A moment, UTC. A tablet that lost its clock says 1970, which is taken; earlier ones are no moment at
 * which anything was entered.
 */
export const momentSchema = z.iso
  .datetime()
  .refine((text) => text >= '1970', { error: 'momentAfter1970' satisfies ExpectedReason });

/**
 * Finds what can be saved nowhere: a NUL in a text, half of a surrogate pair, which is no character of
 * Unicode, or nesting without end. Every edge asks this of what came in, whatever its schema.
 * @returns the first such place, or null when there is none
 */
export function unstorable(input: unknown): ValidationIssue | null {
  // A list of what is still to be seen instead of recursion: deep nesting must not overflow the stack.
  const open: { value: unknown; path: string; depth: number }[] = [
    { value: input, path: '', depth: 0 },
  ];
  for (let next = open.pop(); next; next = open.pop()) {
    const { value, path, depth } = next;
    if (typeof value === 'string') {
      if (!isPlainText(value)) return validationIssue(path, 'plainText');
    } else if (typeof value === 'object' && value !== null) {
      if (depth >= DEEPEST) return validationIssue(path, 'levels', { most: DEEPEST });
      for (const [key, inner] of Object.entries(value)) {
        const at = path === '' ? key : `${path}.${key}`;
        if (!isPlainText(key)) return validationIssue(path, 'plainNames');
        open.push({ value: inner, path: at, depth: depth + 1 });
      }
    }
  }
  return null;
}

function isPlainText(text: string): boolean {
  // Most texts are plain letters, for which the first look is enough.
  return !/[\0\uD800-\uDFFF]/.test(text) || (!text.includes('\0') && !/\p{Surrogate}/u.test(text));
}
