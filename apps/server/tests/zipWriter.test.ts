import { Writable } from 'node:stream';
import { describe, expect, it } from 'vitest';
import yauzl, { RandomAccessReader } from 'yauzl';
import type { Entry } from 'yauzl';
import { ZipWriter } from '../src/archive/zipWriter.ts';

/** Reads a zip of which only the end was kept, as a library of others does: its list of files is there. */
class TailReader extends RandomAccessReader {
  readonly #tail: Buffer;
  readonly #start: number;

  constructor(tail: Buffer, size: number) {
    super();
    this.#tail = tail;
    this.#start = size - tail.length;
  }

  override read(
    buffer: Buffer,
    offset: number,
    length: number,
    position: number,
    done: (error: Error | null) => void,
  ): void {
    this.#tail.copy(buffer, offset, position - this.#start, position - this.#start + length);
    done(null);
  }
}

/** Keeps the last bytes that were written, and counts all of them. */
class Tail extends Writable {
  size = 0;
  #parts: Buffer[] = [];
  #held = 0;
  readonly #most: number;

  constructor(most: number) {
    super({ highWaterMark: 1 << 24 });
    this.#most = most;
  }

  override _write(chunk: Buffer, _encoding: BufferEncoding, done: () => void): void {
    this.size += chunk.length;
    this.#parts.push(chunk.subarray(-this.#most));
    this.#held += this.#parts.at(-1)!.length;
    if (this.#held > 2 * this.#most) {
      this.#parts = [this.bytes];
      this.#held = this.#most;
    }
    done();
  }

  get bytes(): Buffer {
    return Buffer.from(Buffer.concat(this.#parts).subarray(-this.#most));
  }
}

function listOf(tail: Tail): Promise<Entry[]> {
  return new Promise((resolve, reject) => {
    const reader = new TailReader(tail.bytes, tail.size);
    const options = { autoClose: false, lazyEntries: true };
    yauzl.fromRandomAccessReader(reader, tail.size, options, (error, zip) => {
      if (error) {
        reject(error);
        return;
      }
      const list: Entry[] = [];
      zip.on('entry', (entry: Entry) => {
        list.push(entry);
        // Not at once, which would go as deep as there are files.
        setImmediate(() => zip.readEntry());
      });
      zip.on('error', reject);
      zip.on('end', () => resolve(list));
      zip.readEntry();
    });
  });
}

describe('a zip', () => {
  it('of more files than a plain zip can count lists every one of them', async () => {
    const FILES = 66_000;
    const tail = new Tail(20_000_000);
    const zip = await ZipWriter.open(tail);
    const bytes = Buffer.from('x');
    for (let i = 0; i < FILES; i++) await zip.add(`f/${i}`, bytes, { isPacked: true });
    await zip.end();
    const list = await listOf(tail);
    expect(list).toHaveLength(FILES);
    expect(list.at(-1)!.fileName).toBe(`f/${FILES - 1}`);
  });

  it('of more than 4 GB says where each file begins', async () => {
    const tail = new Tail(100_000);
    const zip = await ZipWriter.open(tail);
    const bytes = Buffer.alloc(300_000_000);
    for (let i = 0; i < 15; i++) await zip.add(`größe-${i}`, bytes, { isPacked: true });
    await zip.add('last', Buffer.from('at the end'));
    await zip.end();
    const list = await listOf(tail);
    const each = 30 + Buffer.byteLength('größe-0') + bytes.length;
    expect(list.map(({ relativeOffsetOfLocalHeader }) => relativeOffsetOfLocalHeader)).toEqual([
      ...Array.from({ length: 10 }, (_, i) => i * each),
      ...Array.from({ length: 6 }, (_, i) => 10 * each + i * (each + 1)),
    ]);
    expect(list[3]!.fileName).toBe('größe-3');
    expect(list.at(-1)!.uncompressedSize).toBe(10);
  });
});
