import { gaugeMessageSchema } from '@keen/contract';
import { useState } from 'react';
import { useDeviceLine } from './useDeviceLine.ts';

/** How the line to the gauge stands. */
export type GaugeLine =
  | { state: 'off' }
  | { state: 'calling' }
  | { state: 'ready'; device: string; battery: number }
  /** It broke off, and is called again by itself. */
  | { state: 'lost' };

interface GaugeOptions {
  isWanted: boolean;
  onReading: (mm: number) => void;
  onOutOfRange: () => void;
}

/** Keeps a line to the depth gauge as long as it is wanted. */
export function useGauge({ isWanted, onReading, onOutOfRange }: GaugeOptions): GaugeLine {
  const [gauge, setGauge] = useState({ device: '', battery: 1 });
  const state = useDeviceLine({
    path: '/api/devices/gauge/stream',
    isWanted,
    read: (data) => gaugeMessageSchema.safeParse(data).data ?? null,
    onMessage: (message) => {
      switch (message.kind) {
        case 'hello':
          setGauge({ device: message.device, battery: message.battery });
          break;
        case 'reading':
          setGauge((now) => ({ ...now, battery: message.battery }));
          onReading(message.mm);
          break;
        case 'outOfRange':
          onOutOfRange();
      }
    },
  });
  return state === 'ready' ? { state, ...gauge } : { state };
}
