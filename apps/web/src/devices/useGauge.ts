import { gaugeMessageSchema } from '@keen/contract';
import { useEffect, useEffectEvent, useState } from 'react';
import { readSerial } from './serialLine.ts';
import type { SerialPortLike } from './serialLine.ts';
import { typeText } from './typeText.ts';
import { useDeviceLine } from './useDeviceLine.ts';
import type { LineState } from './useDeviceLine.ts';
import { t } from '../words/devices.ts';

/** How the line to the gauge stands. */
export type GaugeLine =
  | { state: 'off' }
  | { state: 'calling' }
  /** Battery 0 to 1; null where the gauge does not tell. */
  | { state: 'ready'; device: string; battery: number | null }
  /** A radio is called again by itself, a serial port is chosen again. */
  | { state: 'lost'; isCalledAgain: boolean };

/** Where the readings come from: by radio, from a serial port, or nowhere. */
export type GaugeSource = { kind: 'radio' } | { kind: 'serial'; port: SerialPortLike } | null;

interface GaugeOptions {
  source: GaugeSource;
  onReading: (mm: number) => void;
  onOutOfRange: () => void;
  /** A reading as the gauge wrote it, with or without a unit. */
  onText: (text: string) => void;
}

/** Keeps a line to the depth gauge as long as it is wanted, whichever way it speaks. */
export function useGauge({ source, onReading, onOutOfRange, onText }: GaugeOptions): GaugeLine {
  const [gauge, setGauge] = useState({ device: '', battery: 1 });
  const radio = useDeviceLine({
    path: '/api/devices/gauge/stream',
    isWanted: source?.kind === 'radio',
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
          break;
        case 'text':
          // What is on the serial line is read there.
          if (message.by === 'keys') void typeText(message.text);
      }
    },
  });
  const serial = useSerialLine(source?.kind === 'serial' ? source.port : null, onText);
  if (source?.kind === 'serial') {
    return serial === 'ready'
      ? { state: 'ready', device: t('useGauge.theGaugeOnThe'), battery: null }
      : serial === 'lost'
        ? { state: 'lost', isCalledAgain: false }
        : { state: serial };
  }
  if (radio === 'ready') return { state: 'ready', ...gauge };
  return radio === 'lost' ? { state: 'lost', isCalledAgain: true } : { state: radio };
}

/** Lines of a serial port; the same one twice within a moment is one press. */
function useSerialLine(port: SerialPortLike | null, onText: (text: string) => void): LineState {
  const [line, setLine] = useState<{ port: SerialPortLike | null; state: LineState }>({
    port: null,
    state: 'off',
  });
  const hear = useEffectEvent(onText);
  useEffect(() => {
    if (!port) return;
    const stopping = new AbortController();
    const { signal } = stopping;
    let [lastText, lastAt] = ['', Number.NEGATIVE_INFINITY];
    readSerial(port, {
      signal,
      onOpen: () => setLine({ port, state: 'ready' }),
      onLine: (text) => {
        const now = performance.now();
        const isAgain = text === lastText && now - lastAt < SAME_PRESS_MS;
        [lastText, lastAt] = [text, now];
        if (!isAgain) hear(text);
      },
    }).then(
      () => !signal.aborted && setLine({ port, state: 'lost' }),
      () => !signal.aborted && setLine({ port, state: 'lost' }),
    );
    return () => stopping.abort();
  }, [port]);
  if (!port) return 'off';
  return line.port === port ? line.state : 'calling';
}

/** No hand sets a gauge down on the next rib faster, ms. */
const SAME_PRESS_MS = 200;
