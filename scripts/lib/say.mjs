/** A failure with one clear line for the person at the terminal. */
export class PlainError extends Error {}

let open = false;

/** Says what is being done; the next line replaces it on a terminal. */
export function step(text) {
  if (process.stderr.isTTY) {
    process.stderr.write(`${open ? '\r\x1b[K' : ''}  ${text}`);
    open = true;
  } else process.stderr.write(`  ${text}\n`);
}

/** Says something that stays. */
export function say(text) {
  if (open) process.stderr.write('\r\x1b[K');
  open = false;
  process.stdout.write(`${text}\n`);
}

/** Prints an error as one line. */
export function complain(error) {
  if (open) process.stderr.write('\r\x1b[K');
  open = false;
  const text = error instanceof Error ? error.message : String(error);
  process.stderr.write(`keen groove: ${text.trim().replace(/\s*\n\s*/g, '; ')}\n`);
}
