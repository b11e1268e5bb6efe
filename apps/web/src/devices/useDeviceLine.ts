import { useEffect, useEffectEvent, useState } from 'react';

/** How the line to a device stands; a lost one is called again by itself. */
export type LineState = 'off' | 'calling' | 'ready' | 'lost';

const FIRST_RETRY_MS = 500;
const LONGEST_RETRY_MS = 8_000;

interface DeviceLineOptions<Message> {
  /** Path of its WebSocket. */
  path: string;
  isWanted: boolean;
  /** Takes a message apart; null if it is not one of ours. */
  read: (data: unknown) => Message | null;
  onMessage: (message: Message) => void;
}

/**
 * Keeps a line to a device that speaks by itself as long as it is wanted, calling again when it breaks
 * off. Messages with a number count once, however often they come. It is ready once it has spoken.
 */
export function useDeviceLine<Message extends object>(
  options: DeviceLineOptions<Message>,
): LineState {
  const { path, isWanted } = options;
  const [line, setLine] = useState<LineState>('off');
  const hear = useEffectEvent((data: string, lastNumber: number): number => {
    const message = options.read(parsed(data));
    if (!message) return lastNumber;
    setLine('ready');
    const n = 'n' in message && typeof message.n === 'number' ? message.n : null;
    if (n !== null && n <= lastNumber) return lastNumber;
    options.onMessage(message);
    return n ?? lastNumber;
  });

  useEffect(() => {
    if (!isWanted) return;
    let socket: WebSocket | null = null;
    let timer: ReturnType<typeof setTimeout> | undefined;
    let retryMs = FIRST_RETRY_MS;
    let lastNumber = 0;
    const call = () => {
      setLine((now) => (now === 'lost' ? now : 'calling'));
      const url = new URL(path, window.location.href);
      url.protocol = url.protocol.replace('http', 'ws');
      socket = new WebSocket(url);
      socket.onmessage = ({ data }: MessageEvent<string>) => {
        retryMs = FIRST_RETRY_MS;
        lastNumber = hear(data, lastNumber);
      };
      socket.onclose = () => {
        setLine('lost');
        timer = setTimeout(call, retryMs);
        retryMs = Math.min(LONGEST_RETRY_MS, retryMs * 2);
      };
    };
    call();
    return () => {
      clearTimeout(timer);
      setLine('off');
      if (!socket) return;
      socket.onclose = null;
      socket.close();
    };
  }, [isWanted, path]);
  return isWanted ? line : 'off';
}

function parsed(data: string): unknown {
  try {
    return JSON.parse(data);
  } catch {
    return null;
  }
}
