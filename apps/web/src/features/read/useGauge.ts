import type { GaugeMessage } from '@keen/contract';
import { gaugeMessageSchema } from '@keen/contract';
import { useEffect, useEffectEvent, useState } from 'react';

/** How the line to the gauge stands. */
export type GaugeLine =
  | { state: 'off' }
  | { state: 'calling' }
  | { state: 'ready'; device: string; battery: number }
  /** It broke off, and is called again by itself. */
  | { state: 'lost' };

const OFF: GaugeLine = { state: 'off' };
const FIRST_RETRY_MS = 500;
const LONGEST_RETRY_MS = 8_000;

interface GaugeOptions {
  isWanted: boolean;
  onReading: (mm: number) => void;
  onOutOfRange: () => void;
}

/**
 * Keeps a line to the depth gauge as long as it is wanted, calling again when it breaks off. Readings are
 * numbered: one that comes twice counts once.
 */
export function useGauge({ isWanted, onReading, onOutOfRange }: GaugeOptions): GaugeLine {
  const [line, setLine] = useState<GaugeLine>(OFF);
  const hear = useEffectEvent((message: GaugeMessage) => {
    switch (message.kind) {
      case 'hello':
        setLine({ state: 'ready', device: message.device, battery: message.battery });
        break;
      case 'reading':
        setLine((now) => (now.state === 'ready' ? { ...now, battery: message.battery } : now));
        onReading(message.mm);
        break;
      case 'outOfRange':
        onOutOfRange();
    }
  });

  useEffect(() => {
    if (!isWanted) return;
    let socket: WebSocket | null = null;
    let timer: ReturnType<typeof setTimeout> | undefined;
    let retryMs = FIRST_RETRY_MS;
    let lastNumber = 0;
    const call = () => {
      setLine((now) => (now.state === 'lost' ? now : { state: 'calling' }));
      const url = new URL('/api/devices/gauge/stream', window.location.href);
      url.protocol = url.protocol.replace('http', 'ws');
      socket = new WebSocket(url);
      socket.onmessage = ({ data }: MessageEvent<string>) => {
        const message = read(data);
        if (!message) return;
        retryMs = FIRST_RETRY_MS;
        if (message.kind !== 'hello') {
          if (message.n <= lastNumber) return;
          lastNumber = message.n;
        }
        hear(message);
      };
      socket.onclose = () => {
        setLine({ state: 'lost' });
        timer = setTimeout(call, retryMs);
        retryMs = Math.min(LONGEST_RETRY_MS, retryMs * 2);
      };
    };
    call();
    return () => {
      clearTimeout(timer);
      if (!socket) return;
      socket.onclose = null;
      socket.close();
    };
  }, [isWanted]);
  return isWanted ? line : OFF;
}

function read(data: string): GaugeMessage | null {
  try {
    const message = gaugeMessageSchema.safeParse(JSON.parse(data));
    return message.success ? message.data : null;
  } catch {
    return null;
  }
}
