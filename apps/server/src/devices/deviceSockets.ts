import type { IncomingMessage, Server } from 'node:http';
import { ServerResponse } from 'node:http';
import type { Duplex } from 'node:stream';
import type { GaugeMessage, ReaderMessage } from '@keen/contract';
import type { Request, RequestHandler, Response } from 'express';
import { WebSocketServer } from 'ws';
import type { WebSocket } from 'ws';
import type { Context } from '../context.ts';
import { gaugeOf } from './simulatedGauge.ts';
import { readerOf } from './simulatedReader.ts';

const PATH = /^\/api\/devices\/(gauge|reader)\/stream$/;
const UNKNOWN = 'HTTP/1.1 401 Unauthorized\r\nConnection: close\r\n\r\n';
const FOREIGN = 'HTTP/1.1 403 Forbidden\r\nConnection: close\r\n\r\n';
const OUT_OF_REACH = [1001, 'out of radio reach'] as const;
const SWITCHED_OFF = [1001, 'switched off'] as const;

/**
 * Puts the simulated gauge and the simulated drive-over reader on WebSockets of the server: they greet,
 * send what they read, and break off as a radio does. Only pages of this origin with somebody signed in
 * may listen.
 * @returns hangs up on everybody
 */
export function attachDevices(
  http: Server,
  context: Context,
  sessions: RequestHandler,
): () => void {
  const sockets = new WebSocketServer({ noServer: true });
  http.on('upgrade', (req, socket, head) => {
    const device = PATH.exec(new URL(req.url ?? '', 'http://x').pathname)?.[1];
    if (!device) {
      socket.destroy();
      return;
    }
    if (!isOwnPage(req)) {
      refuse(socket, FOREIGN);
      return;
    }
    const speak = device === 'gauge' ? speakGauge : speakReader;
    void sessions(req as Request, new ServerResponse(req) as Response, () => {
      const { shopId } = (req as Request).session;
      if (!shopId) {
        refuse(socket, UNKNOWN);
        return;
      }
      sockets.handleUpgrade(req, socket, head, (line) => void speak(line, context, shopId));
    });
  });
  return () => {
    for (const line of sockets.clients) line.terminate();
    sockets.close();
  };
}

/** A page of another site must not listen with this one's cookie. */
function isOwnPage({ headers }: IncomingMessage): boolean {
  const { origin, host } = headers;
  return origin === undefined || new URL(origin).host === host;
}

function refuse(socket: Duplex, answer: string): void {
  socket.end(answer);
}

async function speakGauge(line: WebSocket, context: Context, shopId: string): Promise<void> {
  const say = (message: GaugeMessage) => line.send(JSON.stringify(message));
  const leave = context.live.gauges.listen(shopId, (says) => {
    if (says === 'breaksOff') line.close(...OUT_OF_REACH);
    else say(says);
  });
  watch(line, context, leave);
  const gauge = await gaugeOf(context.db, shopId);
  if (!gauge.isOn) {
    line.close(...SWITCHED_OFF);
    return;
  }
  say({ kind: 'hello', device: 'Simulated gauge', battery: gauge.battery });
}

async function speakReader(line: WebSocket, context: Context, shopId: string): Promise<void> {
  const say = (message: ReaderMessage) => line.send(JSON.stringify(message));
  const sendPass = async () => {
    const { n, pass } = await readerOf(context.db, shopId);
    if (pass) say({ kind: 'pass', n, pass });
  };
  const leave = context.live.readers.listen(shopId, (says) => {
    if (says === 'breaksOff') line.close(...OUT_OF_REACH);
    else sendPass().catch((error: unknown) => context.log.warn({ err: error }, 'pass not sent'));
  });
  watch(line, context, leave);
  const { state } = await readerOf(context.db, shopId);
  if (!state.isOn) {
    line.close(...SWITCHED_OFF);
    return;
  }
  say({ kind: 'hello', device: 'Simulated reader' });
}

function watch(line: WebSocket, { log }: Context, leave: () => void): void {
  line.on('close', leave);
  line.on('error', (error) => log.warn({ err: error }, 'device line broke'));
}
