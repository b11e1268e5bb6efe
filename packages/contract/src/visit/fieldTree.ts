import { z } from 'zod';
import type { Right } from '../rights.ts';

/** What is true of a field beside the schema of its value. */
export interface FieldFacts {
  /** The right that writing it takes beside working on visits. */
  right?: Right;
  /** The next visit of the car starts with it. */
  carries?: true;
  /** Says something of a person rather than of a car: erased with the customer. */
  personal?: true;
}

interface AnyField extends FieldFacts {
  type: 'field';
  schema: z.ZodType;
}
interface AnyGroup {
  type: 'group';
  of: Readonly<Record<string, FieldNode>>;
}
interface AnyEach {
  type: 'each';
  /** Stands for the key in a pattern: `tires.{wheel}.size`. */
  name: string;
  keys: readonly string[];
  of: FieldNode;
}
interface AnyList {
  type: 'list';
  name: string;
  most: number;
  of: FieldNode;
}
export type FieldNode = AnyField | AnyGroup | AnyEach | AnyList;

interface Field<S extends z.ZodType> extends AnyField {
  schema: S;
}
interface Group<G extends Readonly<Record<string, FieldNode>>> extends AnyGroup {
  of: G;
}
interface Each<Name extends string, Key extends string, N extends FieldNode> extends AnyEach {
  name: Name;
  keys: readonly Key[];
  of: N;
}
interface List<Name extends string, N extends FieldNode> extends AnyList {
  name: Name;
  of: N;
}

/** A field that takes values of a schema. */
export function field<S extends z.ZodType>(schema: S, facts: FieldFacts = {}): Field<S> {
  return { type: 'field', schema, ...facts };
}

/** Fields side by side, each under its name. */
export function group<G extends Readonly<Record<string, FieldNode>>>(of: G): Group<G> {
  return { type: 'group', of };
}

/**
 * The same for each of some keys, such as the four wheels.
 * @param name - what stands for the key in a pattern
 */
export function each<Name extends string, Key extends string, N extends FieldNode>(
  name: Name,
  keys: readonly Key[],
  of: N,
): Each<Name, Key, N> {
  return { type: 'each', name, keys, of };
}

/** The same again and again, counted from 0. */
export function list<Name extends string, N extends FieldNode>(
  name: Name,
  most: number,
  of: N,
): List<Name, N> {
  return { type: 'list', name, most, of };
}

/** What is known of some fields: everything may still be missing. */
export type ValueOf<N> =
  N extends Field<infer S>
    ? z.infer<S>
    : N extends Group<infer G>
      ? { -readonly [K in keyof G]?: ValueOf<G[K]> | undefined }
      : N extends Each<string, infer Key, infer C>
        ? { [K in Key]?: ValueOf<C> }
        : N extends List<string, infer C>
          ? ValueOf<C>[]
          : never;

/** The paths below a node, with `{name}` in the place of a key: `tires.{wheel}.size`. */
export type PatternOf<N, At extends string = ''> =
  N extends Field<z.ZodType>
    ? At
    : N extends Group<infer G>
      ? { [K in keyof G & string]: PatternOf<G[K], At extends '' ? K : `${At}.${K}`> }[keyof G &
          string]
      : N extends Each<infer Name, string, infer C>
        ? PatternOf<C, `${At}.{${Name}}`>
        : N extends List<infer Name, infer C>
          ? PatternOf<C, `${At}.{${Name}}`>
          : never;

/** One field at one place. */
export interface PlacedField extends AnyField {
  path: string;
  /** See {@link PatternOf}. */
  pattern: string;
}

/** Every field below a node, with `each` and `list` written out. */
export function fieldsBelow(node: FieldNode, path = '', pattern = ''): PlacedField[] {
  const under = (key: string, name: string, child: FieldNode) =>
    fieldsBelow(child, path ? `${path}.${key}` : key, pattern ? `${pattern}.${name}` : name);
  switch (node.type) {
    case 'field': {
      return [{ ...node, path, pattern }];
    }
    case 'group':
      return Object.entries(node.of).flatMap(([key, child]) => under(key, key, child));
    case 'each':
      return node.keys.flatMap((key) => under(key, `{${node.name}}`, node.of));
    case 'list':
      return Array.from({ length: node.most }, (_, i) => i).flatMap((i) =>
        under(String(i), `{${node.name}}`, node.of),
      );
  }
}

/** The schema of what is known of some fields. */
export function schemaOf<N extends FieldNode>(node: N): z.ZodType<ValueOf<N>, ValueOf<N>> {
  return looseSchema(node) as z.ZodType<ValueOf<N>, ValueOf<N>>;
}

function looseSchema(node: FieldNode): z.ZodType {
  switch (node.type) {
    case 'field':
      return node.schema;
    case 'group':
      return z.strictObject(
        Object.fromEntries(
          Object.entries(node.of).map(([key, child]) => [key, looseSchema(child).optional()]),
        ),
      );
    case 'each':
      return z.partialRecord(z.enum(node.keys), looseSchema(node.of));
    case 'list':
      return z.array(looseSchema(node.of)).max(node.most);
  }
}
