import { gaugeMessageSchema } from '@keen/contract';
import type { SerialPortLike } from './serialLine.ts';

/** The stand-in's serial line, as the browser would give it: bytes, in two pieces a line. */
export function standInPort(): SerialPortLike {
  let socket: WebSocket | null = null;
  let readable: ReadableStream<Uint8Array> | null = null;
  return {
    get readable() {
      return readable;
    },
    open: () =>
      new Promise((resolve, reject) => {
        const url = new URL('/api/devices/gauge/stream', window.location.href);
        url.protocol = url.protocol.replace('http', 'ws');
        const line = new WebSocket(url);
        socket = line;
        readable = new ReadableStream({
          start(controller) {
            line.onmessage = ({ data }: MessageEvent<string>) => {
              const message = gaugeMessageSchema.safeParse(JSON.parse(data)).data;
              if (message?.kind === 'hello') resolve();
              if (message?.kind !== 'text' || message.by !== 'serial') return;
              const bytes = new TextEncoder().encode(`${message.text}\r\n`);
              controller.enqueue(bytes.slice(0, 2));
              controller.enqueue(bytes.slice(2));
            };
            line.onclose = () => {
              reject(new Error('the stand-in broke off'));
              controller.error(new Error('the stand-in broke off'));
            };
          },
          cancel() {
            line.onclose = null;
            line.close();
          },
        });
      }),
    close: () => {
      if (socket) socket.onclose = null;
      socket?.close();
      return Promise.resolve();
    },
  };
}
