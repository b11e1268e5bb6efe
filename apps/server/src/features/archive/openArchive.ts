import type { ArchiveTaken } from '@keen/contract';
import {
  archiveCarsSchema,
  archivePeopleSchema,
  archiveSheetsSchema,
  archiveShopSchema,
  archiveVisitSchema,
  refusalsOf,
} from '@keen/contract';
import type { ArchiveVisit } from '@keen/contract';
import { strFromU8, unzip } from 'fflate';
import type { Unzipped } from 'fflate';
import type { z } from 'zod';
import { invalid } from '../../errors.ts';

/** Unpacked, an archive may be at most this large; a small zip can hold endless zeros. */
const MOST_UNPACKED_BYTES = 1_500_000_000;

/** An archive with its parts checked; what could not be read is among the faults. */
export interface OpenArchive {
  shop: z.infer<typeof archiveShopSchema>;
  people: z.infer<typeof archivePeopleSchema>;
  cars: z.infer<typeof archiveCarsSchema>;
  sheets: z.infer<typeof archiveSheetsSchema>;
  visits: { folder: string; visit: ArchiveVisit }[];
  logo: Buffer | null;
  /** A file of the archive by its whole name. */
  fileAt(name: string): Buffer | null;
  faults: ArchiveTaken['faults'];
}

/**
 * Unpacks and checks an archive.
 * @throws {AppError} 400 when it is no archive of a shop at all
 */
export async function openArchive(packed: Buffer): Promise<OpenArchive> {
  const files = await unpack(packed);
  const faults: ArchiveTaken['faults'] = [];
  const take = <T>(name: string, schema: z.ZodType<T>): T | null => {
    const bytes = files[name];
    if (!bytes) {
      faults.push({ file: name, expected: 'to be in the archive' });
      return null;
    }
    let value: unknown;
    try {
      value = JSON.parse(strFromU8(bytes));
    } catch {
      faults.push({ file: name, expected: 'JSON' });
      return null;
    }
    const result = schema.safeParse(value);
    if (result.success) return result.data;
    const [first] = refusalsOf(result.error);
    faults.push({ file: name, expected: `${first?.path ?? ''}: ${first?.expected ?? ''}` });
    return null;
  };
  const shop = take('shop.json', archiveShopSchema);
  if (!shop) {
    const [fault] = faults;
    throw invalid(
      [{ path: fault?.file ?? '', expected: fault?.expected ?? '' }],
      'This is no archive of a shop',
    );
  }
  const picture = files['logo.png'] ?? files['logo.jpg'];
  return {
    shop,
    people: take('people.json', archivePeopleSchema) ?? [],
    cars: take('cars.json', archiveCarsSchema) ?? [],
    sheets: take('sheets.json', archiveSheetsSchema) ?? [],
    visits: Object.keys(files)
      .filter((name) => /^visits\/[^/]+\/visit\.json$/.test(name))
      .toSorted()
      .flatMap((name) => {
        const visit = take(name, archiveVisitSchema);
        return visit ? [{ folder: name.slice(0, -'visit.json'.length), visit }] : [];
      }),
    logo: picture ? Buffer.from(picture) : null,
    fileAt: (name) => (files[name] ? Buffer.from(files[name]) : null),
    faults,
  };
}

function unpack(packed: Buffer): Promise<Unzipped> {
  let size = 0;
  return new Promise((resolve, reject) => {
    unzip(
      packed,
      {
        filter: ({ originalSize }) => {
          size += originalSize;
          return size <= MOST_UNPACKED_BYTES;
        },
      },
      (error, files) => {
        if (error || size > MOST_UNPACKED_BYTES) {
          reject(
            invalid([{ path: '', expected: 'a whole zip file' }], 'This is no archive of a shop'),
          );
        } else resolve(files);
      },
    );
  });
}
