import type { ArchiveImported, ArchiveVisit, Expectation } from '@keen/contract';
import {
  archiveCarsSchema,
  archiveCustomersSchema,
  archiveGaugesSchema,
  archiveLearningSchema,
  archiveMergesSchema,
  archivePeopleSchema,
  archiveSheetsSchema,
  archiveShopSchema,
  archiveVisitSchema,
  expectation,
  MOST_LOGO_BYTES,
  MOST_PHOTO_BYTES,
  validationIssueOf,
  unstorable,
} from '@keen/contract';
import yauzl from 'yauzl';
import type { Entry, ZipFile } from 'yauzl';
import type { z } from 'zod';
import { invalid } from '../errors.ts';
import { BlockReader } from './blockReader.ts';

/** Limits on what is unpacked, in real bytes: what a zip declares is not believed. */
const MOST_IN_ALL = 40_000_000_000;
const MOST_IN_LIST = 200_000_000;
const MOST_IN_VISIT = 30_000_000;
const MOST_FILES = 8_000_000;
const VISIT = /^visits\/[^/]{1,100}\/visit\.json$/;
/** What is looked up by name; visits are read one after another, and tables for others not at all. */
const BY_NAME = /^[^/]+$|^visits\/[^/]{1,100}\/photos\//;

type Fault = ArchiveImported['faults'][number];

/** An archive whose lists are checked and whose visits are read one by one. */
export interface OpenArchive {
  shop: z.infer<typeof archiveShopSchema>;
  people: z.infer<typeof archivePeopleSchema>;
  cars: z.infer<typeof archiveCarsSchema>;
  merges: z.infer<typeof archiveMergesSchema>;
  customers: z.infer<typeof archiveCustomersSchema>;
  gauges: z.infer<typeof archiveGaugesSchema>;
  learning: z.infer<typeof archiveLearningSchema>;
  sheets: z.infer<typeof archiveSheetsSchema>;
  logo: Buffer | null;
  visitCount: number;
  /** Each visit with its folder, as the zip lists them; one that cannot be read is among the faults. */
  visits(): AsyncGenerator<{ folder: string; visit: ArchiveVisit }>;
  /** A picture by its whole name; null when it is not there or too large. */
  picture(name: string): Promise<Buffer | null>;
  faults: Fault[];
  close(): void;
}

/**
 * Opens an archive on disk. Nothing but what is asked for is unpacked.
 * @throws {AppError} 400 when it is not an archive of a shop at all
 */
export async function openArchive(path: string): Promise<OpenArchive> {
  const zip = await openZip(path).catch(() => {
    throw noArchive('', expectation('wholeZip'));
  });
  const files = new Map<string, Entry>();
  let visitCount = 0;
  try {
    for await (const entry of entriesOf(zip)) {
      if (VISIT.test(entry.fileName)) visitCount++;
      if (BY_NAME.test(entry.fileName)) files.set(entry.fileName, entry);
    }
  } catch {
    zip.close();
    throw noArchive('', expectation('wholeZip'));
  }
  const faults: Fault[] = [];
  let left = MOST_IN_ALL;

  const bytesOf = async (
    name: string,
    most: number,
    entry: Entry | undefined = files.get(name),
  ): Promise<Buffer | Fault> => {
    if (!entry) return { file: name, ...expectation('inArchive') };
    const bytes = await unpack(zip, entry, Math.min(most, left)).catch(() => null);
    if (!bytes) return { file: name, ...expectation('wholeFile', { most }) };
    left -= bytes.length;
    return bytes;
  };
  const take = async <T>(
    name: string,
    most: number,
    schema: z.ZodType<T>,
    entry?: Entry,
  ): Promise<T | null> => {
    const bytes = await bytesOf(name, most, entry);
    if (!Buffer.isBuffer(bytes)) {
      faults.push(bytes);
      return null;
    }
    const value = parsed(bytes);
    if (value === undefined) {
      faults.push({ file: name, ...expectation('json') });
      return null;
    }
    const never = unstorable(value);
    const result = never ? null : schema.safeParse(value);
    if (result?.success) return result.data;
    const first = never ?? (result?.error && validationIssueOf(result.error));
    faults.push({ file: name, ...(first ?? expectation('validInput')) });
    return null;
  };

  const shop = await take('shop.json', MOST_IN_LIST, archiveShopSchema);
  if (!shop) {
    zip.close();
    const { file, ...why } = faults[0] ?? { file: '', ...expectation('wholeZip') };
    throw noArchive(file, why);
  }
  const logoName = ['logo.png', 'logo.jpg'].find((name) => files.has(name));
  const logo = logoName ? await bytesOf(logoName, MOST_LOGO_BYTES) : null;
  return {
    shop,
    people: (await take('people.json', MOST_IN_LIST, archivePeopleSchema)) ?? [],
    cars: (await take('cars.json', MOST_IN_LIST, archiveCarsSchema)) ?? [],
    // Archives from before entries could be joined have none.
    merges: files.has('merges.json')
      ? ((await take('merges.json', MOST_IN_LIST, archiveMergesSchema)) ?? [])
      : [],
    customers: files.has('customers.json')
      ? ((await take('customers.json', MOST_IN_LIST, archiveCustomersSchema)) ?? [])
      : [],
    // Nor any gauges, when they are older still.
    gauges: (files.has('gauges.json')
      ? await take('gauges.json', MOST_IN_LIST, archiveGaugesSchema)
      : null) ?? { instruments: [], studies: [] },
    // Nor had any shop learned then.
    learning: files.has('learning.json')
      ? ((await take('learning.json', MOST_IN_LIST, archiveLearningSchema)) ?? [])
      : [],
    sheets: (await take('sheets.json', MOST_IN_LIST, archiveSheetsSchema)) ?? [],
    logo: Buffer.isBuffer(logo) ? logo : null,
    visitCount,
    async *visits() {
      // The list of files once more, so that a million of them need not be held in memory.
      const again = await openZip(path);
      try {
        for await (const entry of entriesOf(again)) {
          const name = entry.fileName;
          if (!VISIT.test(name)) continue;
          const visit = await take(name, MOST_IN_VISIT, archiveVisitSchema, entry);
          if (visit) yield { folder: name.slice(0, -'visit.json'.length), visit };
        }
      } finally {
        again.close();
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

function noArchive(file: string, { path, ...why }: Expectation & { path?: string | undefined }) {
  return invalid([{ path: path ? `${file}: ${path}` : file, ...why }], 'noArchive');
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
    const reader = new BlockReader(path);
    yauzl.fromRandomAccessReader(
      reader,
      reader.size,
      { lazyEntries: true, autoClose: false, validateEntrySizes: true },
      (error, zip) => {
        if (!error) {
          resolve(zip);
          return;
        }
        reader.close(() => undefined);
        reject(error);
      },
    );
  });
}

/** The files of a zip in the order of its list. @throws where the list is damaged or too long */
async function* entriesOf(zip: ZipFile): AsyncGenerator<Entry> {
  if (zip.entryCount > MOST_FILES) throw new Error('too many files');
  for (;;) {
    const entry = await new Promise<Entry | null>((resolve, reject) => {
      const settle = (result: Entry | null | Error) => {
        zip.removeListener('entry', settle);
        zip.removeListener('end', ended);
        zip.removeListener('error', settle);
        if (result instanceof Error) reject(result);
        else resolve(result);
      };
      const ended = () => settle(null);
      zip.on('entry', settle);
      zip.on('end', ended);
      zip.on('error', settle);
      zip.readEntry();
    });
    if (!entry) return;
    yield entry;
  }
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
