import { readdirSync, readFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { describe, expect, it } from 'vitest';
import { SPANISH } from './es/index.ts';
import type { Messages } from './messages.ts';

const WORDS = dirname(fileURLToPath(import.meta.url));
const SOURCE = dirname(WORDS);

const rooms = readdirSync(join(WORDS, 'en')).map((file) => file.replace('.ts', ''));
const sources = readdirSync(SOURCE, { recursive: true, encoding: 'utf8' })
  .filter((file) => /(?<!\.test)\.tsx?$/.test(file) && !file.startsWith('words/'))
  .map((file) => readFileSync(join(SOURCE, file), 'utf8'));

async function english(room: string): Promise<Messages> {
  const messages = (await import(`./en/${room}.ts`)) as Record<string, Messages>;
  return messages[room]!;
}

/** Dotted names with their texts. */
function flat(messages: Messages, at = ''): [name: string, text: string][] {
  return Object.entries(messages).flatMap(([name, inner]) =>
    typeof inner === 'string' ? [[at + name, inner] as const] : flat(inner, `${at}${name}.`),
  );
}

/** Values and tags of a message, in any order. */
function marks(text: string): string[] {
  return (text.match(/\{\{\w+\}\}|<\/?\w+>/g) ?? []).toSorted();
}

describe('the messages in Spanish', () => {
  it('are there for every room', () => {
    expect(Object.keys(SPANISH).toSorted()).toEqual(rooms.toSorted());
  });

  it.each(rooms)('say of %s what the English ones say, with the same values', async (room) => {
    const own = new Map(flat(await english(room)));
    const spanish = flat((SPANISH as Record<string, Messages>)[room]!);
    expect(spanish.map(([name]) => name).toSorted()).toEqual([...own.keys()].toSorted());
    for (const [name, text] of spanish) {
      expect(text.trim(), name).not.toBe('');
      expect(marks(text), name).toEqual(marks(own.get(name)!));
    }
  });
});

/** Values by these names would be taken for settings of the translator. */
const SETTINGS = ['replace', 'context', 'ordinal', 'lng', 'ns', 'defaultValue', 'joinArrays'];

describe.each(rooms)('the messages of %s', (room) => {
  // What is said of a request that failed is called by its reasons.
  it.skipIf(room === 'problems' || room === 'expected')('are all used', async () => {
    const readers = sources.filter((source) => source.includes(`/words/${room}.ts'`));
    const isUsed = (name: string) => {
      const key = name.replace(/_(one|other)$/, '');
      const group = key.slice(0, key.lastIndexOf('.'));
      return readers.some(
        (source) =>
          source.includes(`'${key}'`) ||
          // Called by a name that is put together.
          source.includes(`\`${group}.$`) ||
          source.includes(`\`${key.replace(/\d+$/, '')}$`),
      );
    };
    const unused = flat(await english(room)).map(([name]) => name);
    expect(unused.filter((name) => !isUsed(name))).toEqual([]);
  });

  it('say something, in whole plurals', async () => {
    const messages = flat(await english(room));
    expect(messages.filter(([, text]) => text.trim() === '')).toEqual([]);
    const values = messages.flatMap(([, text]) => marks(text));
    expect(values.filter((mark) => SETTINGS.includes(mark.slice(2, -2)))).toEqual([]);
    const names = new Set(messages.map(([name]) => name));
    for (const name of names) {
      if (name.endsWith('_one')) expect(names).toContain(name.replace('_one', '_other'));
    }
  });
});
