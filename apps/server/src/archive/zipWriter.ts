import { once } from 'node:events';
import { createReadStream, createWriteStream } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Writable } from 'node:stream';
import { promisify } from 'node:util';
import { crc32, deflateRaw } from 'node:zlib';

const deflate = promisify(deflateRaw);

const SIGNATURE = {
  local: 0x04034b50,
  central: 0x02014b50,
  end64: 0x06064b50,
  locator64: 0x07064b50,
  end: 0x06054b50,
} as const;
const STORED = 0;
const DEFLATED = 8;
/** Names are UTF-8. */
const FLAGS = 0x0800;
const VERSION = 20;
const VERSION_64 = 45;
const IS_64 = 0xffffffff;
const IS_64_COUNT = 0xffff;
/** Fast rather than tight: an archive is waited for, and texts pack to an eighth either way. */
const LEVEL = 2;
/** Files that are packed at once, beside the work of making the next ones: enough that no core waits. */
const AT_ONCE = 8;

/**
 * Writes a zip of any number of files in little memory: its list of files waits on disk. The common
 * libraries keep every file's record in memory and look through all of them at each; with the five million
 * files of a large shop neither ends.
 *
 * Format: PKWARE, .ZIP File Format Specification 6.3.10, 4.3 to 4.5 (Zip64 where sizes ask for it).
 */
export class ZipWriter {
  readonly #out: Writable;
  readonly #folder: string;
  readonly #list: ReturnType<typeof createWriteStream>;
  readonly #time: { time: number; date: number };
  /** Of the list on disk; told at the next file. */
  #failure: Error | null = null;
  #offset = 0;
  #count = 0;
  #listBytes = 0;
  /** Files not written yet, in their order. */
  readonly #waiting: Promise<void>[] = [];
  #isClosed = false;

  private constructor(out: Writable, folder: string, modified: Date) {
    this.#out = out;
    this.#folder = folder;
    this.#list = createWriteStream(join(folder, 'list'));
    this.#list.on('error', (error) => (this.#failure ??= error));
    this.#time = dosTime(modified);
  }

  /** @param out - takes the bytes; is not ended */
  static async open(out: Writable, modified = new Date()): Promise<ZipWriter> {
    return new ZipWriter(out, await mkdtemp(join(tmpdir(), 'keen-zip-')), modified);
  }

  /**
   * Adds a file; waits until the reader keeps up.
   * @param bytes - not to be changed afterwards
   * @throws what went wrong with this or an earlier file
   */
  async add(name: string, bytes: Buffer, { isPacked = false } = {}): Promise<void> {
    const packed = isPacked ? Promise.resolve(bytes) : deflate(bytes, { level: LEVEL });
    const written = this.#append(name, bytes, isPacked, packed, this.#waiting.at(-1));
    // It is told when its turn has come.
    written.catch(() => undefined);
    this.#waiting.push(written);
    if (this.#waiting.length >= AT_ONCE) await this.#waiting.shift();
  }

  async #append(
    name: string,
    bytes: Buffer,
    isPacked: boolean,
    packing: Promise<Buffer>,
    before: Promise<void> | undefined,
  ): Promise<void> {
    const [packed] = await Promise.all([packing, before]);
    // Broken off: whoever takes the bytes may have gone.
    if (this.#isClosed) return;
    const nameBytes = Buffer.from(name);
    const common = Buffer.alloc(26);
    common.writeUInt16LE(VERSION, 0);
    common.writeUInt16LE(FLAGS, 2);
    common.writeUInt16LE(isPacked ? STORED : DEFLATED, 4);
    common.writeUInt16LE(this.#time.time, 6);
    common.writeUInt16LE(this.#time.date, 8);
    common.writeUInt32LE(crc32(bytes), 10);
    common.writeUInt32LE(packed.length, 14);
    common.writeUInt32LE(bytes.length, 18);
    common.writeUInt16LE(nameBytes.length, 22);
    const record = centralRecord(common, nameBytes, this.#offset);
    this.#count++;
    this.#listBytes += record.length;
    if (this.#failure) throw this.#failure;
    if (!this.#list.write(record)) await once(this.#list, 'drain');
    await this.#write(Buffer.concat([uint32(SIGNATURE.local), common, nameBytes, packed]));
  }

  /** Writes the list of files, which ends the zip. */
  async end(): Promise<void> {
    await Promise.all(this.#waiting);
    this.#list.end();
    await once(this.#list, 'close');
    const start = this.#offset;
    for await (const part of createReadStream(join(this.#folder, 'list'))) {
      await this.#write(part as Buffer);
    }
    await this.#write(endRecords(start, this.#listBytes, this.#count));
    await this.close();
  }

  /** Removes what waited on disk; for a zip that was broken off. */
  async close(): Promise<void> {
    this.#isClosed = true;
    this.#list.destroy();
    await rm(this.#folder, { recursive: true, force: true });
  }

  async #write(bytes: Buffer): Promise<void> {
    this.#offset += bytes.length;
    if (!this.#out.write(bytes)) await once(this.#out, 'drain');
  }
}

function centralRecord(common: Buffer, name: Buffer, offset: number): Buffer {
  const isFar = offset >= IS_64;
  const head = Buffer.alloc(6);
  head.writeUInt32LE(SIGNATURE.central, 0);
  head.writeUInt16LE(isFar ? VERSION_64 : VERSION, 4);
  const extra = isFar ? Buffer.concat([uint16(1), uint16(8), uint64(offset)]) : Buffer.alloc(0);
  const fields = Buffer.from(common);
  if (isFar) fields.writeUInt16LE(VERSION_64, 0);
  fields.writeUInt16LE(extra.length, 24);
  // Comment, disk and attributes are empty.
  const tail = Buffer.alloc(14);
  tail.writeUInt32LE(isFar ? IS_64 : offset, 10);
  return Buffer.concat([head, fields, tail, name, extra]);
}

function endRecords(start: number, bytes: number, count: number): Buffer {
  const isLarge = count >= IS_64_COUNT || start >= IS_64 || bytes >= IS_64;
  const parts: Buffer[] = [];
  if (isLarge) {
    parts.push(
      uint32(SIGNATURE.end64),
      // Bytes of this record that follow.
      uint64(44),
      uint16(VERSION_64),
      uint16(VERSION_64),
      uint32(0),
      uint32(0),
      uint64(count),
      uint64(count),
      uint64(bytes),
      uint64(start),
      uint32(SIGNATURE.locator64),
      uint32(0),
      uint64(start + bytes),
      uint32(1),
    );
  }
  parts.push(
    uint32(SIGNATURE.end),
    uint16(0),
    uint16(0),
    uint16(Math.min(count, IS_64_COUNT)),
    uint16(Math.min(count, IS_64_COUNT)),
    uint32(Math.min(bytes, IS_64)),
    uint32(Math.min(start, IS_64)),
    uint16(0),
  );
  return Buffer.concat(parts);
}

/** The time as zips have it: two seconds at a time, years from 1980. */
function dosTime(at: Date): { time: number; date: number } {
  return {
    time: (at.getHours() << 11) | (at.getMinutes() << 5) | (at.getSeconds() >> 1),
    date: ((at.getFullYear() - 1980) << 9) | ((at.getMonth() + 1) << 5) | at.getDate(),
  };
}

function uint16(value: number): Buffer {
  const bytes = Buffer.alloc(2);
  bytes.writeUInt16LE(value);
  return bytes;
}

function uint32(value: number): Buffer {
  const bytes = Buffer.alloc(4);
  bytes.writeUInt32LE(value);
  return bytes;
}

function uint64(value: number): Buffer {
  const bytes = Buffer.alloc(8);
  bytes.writeBigUInt64LE(BigInt(value));
  return bytes;
}
