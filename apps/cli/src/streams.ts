import type { Readable, Writable } from 'node:stream';

/** Where the command reads and writes; the process's own, or a test's. */
export interface Streams {
  stdin: Readable;
  stdout: Writable;
  stderr: Writable;
}
