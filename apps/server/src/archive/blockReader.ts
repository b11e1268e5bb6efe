import { closeSync, createReadStream, fstatSync, openSync, readSync } from 'node:fs';
import { Readable } from 'node:stream';
import { RandomAccessReader } from 'yauzl';

const BLOCK_BYTES = 1 << 20;
/** One goes along the list of files, one along their contents. */
const MOST_BLOCKS = 4;

/**
 * Reads a file in large blocks: the list of a zip's files is read by some dozen bytes at a time, and a
 * question to the disk for each would take minutes for a million files.
 */
export class BlockReader extends RandomAccessReader {
  readonly size: number;
  readonly #file: number;
  readonly #blocks = new Map<number, Buffer>();

  constructor(path: string) {
    super();
    this.#file = openSync(path, 'r');
    this.size = fstatSync(this.#file).size;
  }

  override read(
    buffer: Buffer,
    offset: number,
    length: number,
    position: number,
    callback: (error: Error | null) => void,
  ): void {
    let done = 0;
    try {
      while (done < length) {
        const at = position + done;
        const first = at - (at % BLOCK_BYTES);
        const part = this.#block(first).subarray(at - first, at - first + length - done);
        if (part.length === 0) throw new Error('the file ends too soon');
        part.copy(buffer, offset + done);
        done += part.length;
      }
    } catch (error) {
      callback(error as Error);
      return;
    }
    callback(null);
  }

  override _readStreamForRange(start: number, end: number): Readable {
    if (end - start > BLOCK_BYTES) {
      return createReadStream('', { fd: this.#file, start, end: end - 1, autoClose: false });
    }
    const bytes = Buffer.alloc(end - start);
    let failure: Error | null = null;
    this.read(bytes, 0, bytes.length, start, (error) => (failure = error));
    return failure
      ? new Readable({ read: () => undefined }).destroy(failure)
      : Readable.from([bytes], { objectMode: false });
  }

  override close(callback: (error: Error | null) => void): void {
    this.#blocks.clear();
    closeSync(this.#file);
    setImmediate(callback, null);
  }

  #block(first: number): Buffer {
    const known = this.#blocks.get(first);
    if (known) return known;
    const block = Buffer.alloc(Math.max(0, Math.min(BLOCK_BYTES, this.size - first)));
    const bytes = readSync(this.#file, block, 0, block.length, first);
    for (const oldest of this.#blocks.keys()) {
      if (this.#blocks.size < MOST_BLOCKS) break;
      this.#blocks.delete(oldest);
    }
    this.#blocks.set(first, block.subarray(0, bytes));
    return block.subarray(0, bytes);
  }
}
