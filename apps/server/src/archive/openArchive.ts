import type { ArchiveTaken, ArchiveVisit } from '@keen/contract';
import {
  archiveCarsSchema,
  archivePeopleSchema,
  archiveSheetsSchema,
  archiveShopSchema,
  archiveVisitSchema,
  MOST_LOGO_BYTES,
  MOST_PHOTO_BYTES,
  refusalsOf,
  unstorable,
} from '@keen/contract';
import yauzl from 'yauzl';
import type { Entry, ZipFile } from 'yauzl';
import type { z } from 'zod';
import { invalid } from '../errors.ts';

/** Limits on what is unpacked, in real bytes: what a zip declares is not believed. */
const MOST_IN_ALL = 4_000_000_000;
const MOST_IN_LIST = 200_000_000;
const MOST_IN_VISIT = 30_000_000;
const MOST_FILES = 4_000_000;
const VISIT = /^visits\/[^/]{1,100}\/visit\.json$/;

type Fault = ArchiveTaken['faults'][number];

/** An archive whose lists are checked and whose visits are read one by one. */
export interface OpenArchive {
  shop: z.infer<typeof archiveShopSchema>;
  people: z.infer<typeof archivePeopleSchema>;
  cars: z.infer<typeof archiveCarsSchema>;
  sheets: z.infer<typeof archiveSheetsSchema>;
  logo: Buffer | null;
  /** Each visit with its folder, in order; one that cannot be read is among the faults. */
  visits(): AsyncGenerator<{ folder: string; visit: ArchiveVisit }>;
  /** A picture by its whole name; null when it is not there or too large. */
  picture(name: string): Promise<Buffer | null>;
  faults: Fault[];
  close(): void;
}

/**
 * Opens an archive on disk. Nothing but what is asked for is unpacked.
 * @throws {AppError} 400 when it is no archive of a shop at all
 */
export async function openArchive(path: string): Promise<OpenArchive> {
  const zip = await openZip(path).catch(() => {
    throw noArchive('', 'a whole zip file');
  });
  const files = await entriesOf(zip).catch(() => {
    zip.close();
    throw noArchive('', 'a whole zip file');
  });
  const faults: Fault[] = [];
  let left = MOST_IN_ALL;

  const bytesOf = async (name: string, most: number): Promise<Buffer | Fault> => {
    const entry = files.get(name);
    if (!entry) return { file: name, expected: 'to be in the archive' };
    const bytes = await unpack(zip, entry, Math.min(most, left)).catch(() => null);
    if (!bytes) return { file: name, expected: `a whole file of at most ${most} bytes` };
    left -= bytes.length;
    return bytes;
  };
  const take = async <T>(name: string, most: number, schema: z.ZodType<T>): Promise<T | null> => {
    const bytes = await bytesOf(name, most);
    if (!Buffer.isBuffer(bytes)) {
      faults.push(bytes);
      return null;
    }
    const value = parsed(bytes);
    if (value === undefined) {
      faults.push({ file: name, expected: 'JSON' });
      return null;
    }
    const never = unstorable(value);
    const result = never ? null : schema.safeParse(value);
    if (result?.success) return result.data;
    const first = never ?? (result?.error && refusalsOf(result.error)[0]);
    faults.push({ file: name, expected: `${first?.path ?? ''}: ${first?.expected ?? ''}` });
    return null;
  };

  const shop = await take('shop.json', MOST_IN_LIST, archiveShopSchema);
  if (!shop) {
    zip.close();
    throw noArchive(faults[0]?.file ?? '', faults[0]?.expected ?? '');
  }
  const logoName = ['logo.png', 'logo.jpg'].find((name) => files.has(name));
  const logo = logoName ? await bytesOf(logoName, MOST_LOGO_BYTES) : null;
  return {
    shop,
    people: (await take('people.json', MOST_IN_LIST, archivePeopleSchema)) ?? [],
    cars: (await take('cars.json', MOST_IN_LIST, archiveCarsSchema)) ?? [],
    sheets: (await take('sheets.json', MOST_IN_LIST, archiveSheetsSchema)) ?? [],
    logo: Buffer.isBuffer(logo) ? logo : null,
    async *visits() {
      for (const name of [...files.keys()].filter((one) => VISIT.test(one)).toSorted()) {
        const visit = await take(name, MOST_IN_VISIT, archiveVisitSchema);
        if (visit) yield { folder: name.slice(0, -'visit.json'.length), visit };
      }
    },
    async picture(name) {
      const bytes = await bytesOf(name, MOST_PHOTO_BYTES);
      return Buffer.isBuffer(bytes) ? bytes : null;
    },
    faults,
    close: () => zip.close(),
  };
}

function noArchive(path: string, expected: string) {
  return invalid([{ path, expected }], 'This is no archive of a shop');
}

function parsed(bytes: Buffer): unknown {
  try {
    return JSON.parse(bytes.toString('utf8'));
  } catch {
    return undefined;
  }
}

function openZip(path: string): Promise<ZipFile> {
  return new Promise((resolve, reject) => {
    yauzl.open(
      path,
      { lazyEntries: true, autoClose: false, validateEntrySizes: true },
      (error, zip) => (error ? reject(error) : resolve(zip)),
    );
  });
}

function entriesOf(zip: ZipFile): Promise<Map<string, Entry>> {
  const files = new Map<string, Entry>();
  return new Promise((resolve, reject) => {
    if (zip.entryCount > MOST_FILES) reject(new Error('too many files'));
    zip.on('entry', (entry: Entry) => {
      files.set(entry.fileName, entry);
      zip.readEntry();
    });
    zip.on('error', reject);
    zip.on('end', () => resolve(files));
    zip.readEntry();
  });
}

/** @throws when there are more bytes than allowed, or they are damaged */
function unpack(zip: ZipFile, entry: Entry, most: number): Promise<Buffer> {
  if (entry.uncompressedSize > most) return Promise.reject(new Error('too large'));
  return new Promise((resolve, reject) => {
    zip.openReadStream(entry, (error, stream) => {
      if (error) {
        reject(error);
        return;
      }
      const chunks: Buffer[] = [];
      let size = 0;
      stream.on('data', (chunk: Buffer) => {
        size += chunk.length;
        if (size > most) stream.destroy(new Error('too large'));
        else chunks.push(chunk);
      });
      stream.on('error', reject);
      stream.on('end', () => resolve(Buffer.concat(chunks)));
    });
  });
}
