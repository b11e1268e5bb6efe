import { describe, expect, it, vi } from 'vitest';
import { readSerial } from './serialLine.ts';
import type { SerialPortLike } from './serialLine.ts';

/** A port that sends these pieces and then ends, breaks, or waits. */
function portOf(pieces: readonly string[], then: 'ends' | 'breaks' | 'waits') {
  const close = vi.fn(() => Promise.resolve());
  const open = vi.fn(() => Promise.resolve());
  const port: SerialPortLike = {
    open,
    close,
    readable: new ReadableStream({
      start(controller) {
        for (const piece of pieces) controller.enqueue(new TextEncoder().encode(piece));
        if (then === 'ends') controller.close();
      },
      pull(controller) {
        if (then === 'breaks') controller.error(new Error('unplugged'));
      },
    }),
  };
  return { port, open, close };
}

async function linesOf(pieces: readonly string[]): Promise<string[]> {
  const lines: string[] = [];
  const { signal } = new AbortController();
  const { port } = portOf(pieces, 'ends');
  await readSerial(port, { onOpen: () => undefined, onLine: (text) => lines.push(text), signal });
  return lines;
}

describe('readSerial', () => {
  it('puts pieces of any length together to lines, whatever ends them', async () => {
    expect(await linesOf(['5.', '30\r', '\n4.9', '5 mm\n\n', '6.0\r7.1\r\n'])).toEqual([
      ...['5.30', '4.95 mm', '6.0', '7.1'],
    ]);
  });

  it('hands over no line without an end, however long', async () => {
    expect(await linesOf(['5.30', 'x'.repeat(10_000)])).toEqual([]);
  });

  it('closes the port when it is told to stop, and when it breaks', async () => {
    const stopping = new AbortController();
    const waiting = portOf(['5.30\n'], 'waits');
    const lines: string[] = [];
    const reading = readSerial(waiting.port, {
      onOpen: () => undefined,
      onLine: (text) => {
        lines.push(text);
        stopping.abort();
      },
      signal: stopping.signal,
    });
    await reading;
    expect(lines).toEqual(['5.30']);
    expect(waiting.close).toHaveBeenCalledOnce();

    const broken = portOf([], 'breaks');
    const { signal } = new AbortController();
    await expect(
      readSerial(broken.port, { onOpen: () => undefined, onLine: () => undefined, signal }),
    ).rejects.toThrow('unplugged');
    expect(broken.close).toHaveBeenCalledOnce();
  });
});
