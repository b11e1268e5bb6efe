import * as contract from '@keen/contract';
import type { ValidationIssue, SentenceValues } from '@keen/contract';
import { entrySchema, isExpectedReason, parseCaseFile, validationIssuesOf } from '@keen/contract';
import { describe, expect, it } from 'vitest';
import { z } from 'zod';

const refusedBy = (schema: z.ZodType, input: unknown) => {
  const result = schema.safeParse(input);
  return result.success ? [] : validationIssuesOf(result.error);
};

describe('a refusal', () => {
  it.each<[z.ZodType, unknown, string, string, SentenceValues]>([
    [z.number(), 'x', 'number', 'a finite number', {}],
    [z.int(), 1.5, 'wholeNumber', 'a whole number', {}],
    [z.strictObject({}), { extra: 1 }, 'unknownField', 'a known field; this one is unknown', {}],
    [z.literal('mm'), 'in', 'exactly', '"mm"', { value: '"mm"' }],
    [z.enum(['km', 'mi']), 'ft', 'oneOf', 'one of km, mi', { list: 'km, mi' }],
    [z.number().min(2), 1, 'atLeast', 'at least 2', { limit: 2 }],
    [z.number().gt(2), 2, 'moreThan', 'more than 2', { limit: 2 }],
    [z.number().lt(2), 2, 'lessThan', 'less than 2', { limit: 2 }],
    [z.array(z.number()).min(1), [], 'atLeastOneItem', 'at least one item', {}],
    [z.array(z.number()).max(2), [1, 2, 3], 'atMostItems', 'at most 2 items', { limit: 2 }],
    [z.string().min(1), '', 'someText', 'at least one character', {}],
    [z.string().max(3), 'four', 'atMostCharacters', 'at most 3 characters', { limit: 3 }],
    [z.uuid(), 'x', 'id', 'an id (UUID)', {}],
    [z.email(), 'x', 'email', 'an email address', {}],
  ])(
    'says what was expected as a reason with its figures: %#',
    (schema, input, reason, expected, values) => {
      expect(refusedBy(schema, input)).toEqual([
        expect.objectContaining({
          reason,
          expected,
          ...(Object.keys(values).length > 0 && { values }),
        }),
      ]);
    },
  );

  it('goes through an entry as what is wrong with its value', () => {
    const entry = { id: '01890000-0000-7000-8000-000000000000', at: '2026-01-31T09:30:00Z' };
    const [wrong] = refusedBy(entrySchema, {
      ...entry,
      path: 'visit.tires.lf.dateCode',
      value: 'week 23',
    });
    expect(wrong).toMatchObject({ path: 'value', reason: 'dateCode' });
    const [unknown] = refusedBy(entrySchema, { ...entry, path: 'tires.lf.colour', value: 1 });
    expect(unknown).toMatchObject({ path: 'path', reason: 'visitField' });
  });

  it('of a case file names the limit in its own figures', () => {
    const station = { inner: 9, centre: 5, outer: 5 };
    const tire = { newDepth: 8, distance: 20_000, stations: [station] };
    const parsed = parseCaseFile({
      format: 'keen-groove/case',
      version: 1,
      units: { depth: 'mm', distance: 'km', pressure: 'kPa' },
      vehicle: { drive: 'fwd', use: 'street' },
      tires: { lf: tire, rf: tire, lr: tire, rr: tire },
    });
    expect(parsed).toMatchObject({
      ok: false,
      error: { reason: 'depthUpToNew', values: { unit: 'mm' } },
    });
  });
});

describe('every schema', () => {
  const schemas = Object.entries(contract as Record<string, unknown>).filter(
    (one): one is [string, z.ZodType] => one[1] instanceof z.ZodType,
  );
  const PLAIN = [null, 7.5, -1e9, '', '\u0007', 'x'.repeat(9_999), true, [], [null], { extra: 1 }];

  /** The same input everywhere in an object or a list. */
  function everywhere(schema: unknown, value: unknown, depth = 0): unknown {
    if (schema instanceof z.ZodOptional || schema instanceof z.ZodNullable) {
      return everywhere(schema.unwrap(), value, depth);
    }
    if (depth > 6) return value;
    if (schema instanceof z.ZodObject) {
      return Object.fromEntries(
        Object.entries(schema.shape as Record<string, unknown>).map(([key, inner]) => [
          key,
          everywhere(inner, value, depth + 1),
        ]),
      );
    }
    return schema instanceof z.ZodArray ? [everywhere(schema.element, value, depth + 1)] : value;
  }

  it('is looked at', () => {
    expect(schemas.length).toBeGreaterThan(100);
  });

  it.each(schemas)('%s refuses by reasons that any language can say', (_, schema) => {
    const refusals = PLAIN.flatMap((value) =>
      [value, everywhere(schema, value)].flatMap((input) => refusedBy(schema, input)),
    );
    const isUnsaid = ({ expected, reason }: ValidationIssue) =>
      reason === undefined || !isExpectedReason(reason) || /\{\{|undefined/.test(expected);
    expect(refusals.filter(isUnsaid)).toEqual([]);
  });
});
