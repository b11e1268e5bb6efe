import type { ProblemReason } from '@keen/contract';
import { validationIssuesOf, unstorable } from '@keen/contract';
import type { Request } from 'express';
import { z } from 'zod';
import { invalid, notFound } from '../errors.ts';

/** Checks a body against its schema. @throws {AppError} 400 with every wrong field's path */
export function validBody<T>(schema: z.ZodType<T>, body: unknown): T {
  const never = unstorable(body);
  if (never) throw invalid([never]);
  const result = schema.safeParse(body);
  if (!result.success) throw invalid(validationIssuesOf(result.error));
  return result.data;
}

/**
 * Checks an id from the path; ids are compared in lower case, as the database writes them.
 * @throws {AppError} 404: anything but an id names nothing
 */
export function validId(id: unknown, missing: ProblemReason): string {
  const result = z.uuid().safeParse(id);
  if (!result.success) throw notFound(missing);
  return result.data.toLowerCase();
}

/** Checks what stands behind the question mark. @throws {AppError} 400 with every wrong part */
export function validQuery<T>(schema: z.ZodType<T>, req: Request): T {
  return validBody(schema, req.query);
}

/** A word of the query; what cannot be in any text finds nothing. @throws {AppError} 400 */
export function queryText(value: unknown, path: string): string {
  if (typeof value !== 'string') return '';
  const never = unstorable(value);
  if (never) throw invalid([{ ...never, path }]);
  return value;
}
