/** As much of a serial port as is used here; the browser's own, or the stand-in's. */
export interface SerialPortLike {
  open: (options: { baudRate: number }) => Promise<void>;
  readonly readable: ReadableStream<Uint8Array> | null;
  close: () => Promise<void>;
}

interface BrowserSerial {
  requestPort: () => Promise<SerialPortLike>;
}

/** What gauges with a serial line come set to (common practice, no source). */
const BAUD_RATE = 9_600;
/** A line that never ends is not a line. */
const LONGEST_LINE = 80;

/** The browser's serial interface; null where it has none, or the page was not loaded safely. */
export function browserSerial(): BrowserSerial | null {
  return (navigator as { serial?: BrowserSerial }).serial ?? null;
}

/**
 * Opens a port and hands its lines over, each without its end and never an empty one, until it breaks
 * off or is told to stop. Bytes come in pieces of any length.
 * @returns once the port is closed
 * @throws when the port cannot be opened or breaks
 */
export async function readSerial(
  port: SerialPortLike,
  options: { onOpen: () => void; onLine: (text: string) => void; signal: AbortSignal },
): Promise<void> {
  const { onOpen, onLine, signal } = options;
  await port.open({ baudRate: BAUD_RATE });
  onOpen();
  const reader = port.readable?.getReader();
  const stop = () => void reader?.cancel().catch(() => undefined);
  signal.addEventListener('abort', stop);
  if (signal.aborted) stop();
  const decoder = new TextDecoder();
  let text = '';
  try {
    for (;;) {
      const piece = await reader?.read();
      if (!piece || piece.done) return;
      text += decoder.decode(piece.value, { stream: true });
      const lines = text.split(/[\r\n]+/);
      text = (lines.pop() ?? '').slice(-LONGEST_LINE);
      for (const line of lines) if (line.trim() !== '') onLine(line.trim());
    }
  } finally {
    signal.removeEventListener('abort', stop);
    reader?.releaseLock();
    await port.close().catch(() => undefined);
  }
}
