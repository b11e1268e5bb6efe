import { createWriteStream } from 'node:fs';
import { Transform } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import type { ProblemReason } from '@keen/contract';
import type { Request } from 'express';
import { AppError } from '../errors.ts';

/** Writes a body to a file as it comes, up to its limit. @throws {AppError} 413 with the reason */
export async function receive(
  req: Request,
  file: string,
  mostBytes: number,
  tooLarge: ProblemReason,
): Promise<void> {
  let bytes = 0;
  const limit = new Transform({
    transform(chunk: Buffer, _encoding, done) {
      bytes += chunk.length;
      if (bytes <= mostBytes) done(null, chunk);
      else done(new AppError(413, 'too_large', tooLarge));
    },
  });
  await pipeline(req, limit, createWriteStream(file));
}
