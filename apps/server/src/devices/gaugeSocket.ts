import type { IncomingMessage, Server } from 'node:http';
import { ServerResponse } from 'node:http';
import type { Duplex } from 'node:stream';
import type { GaugeMessage } from '@keen/contract';
import type { Request, RequestHandler, Response } from 'express';
import { WebSocketServer } from 'ws';
import type { WebSocket } from 'ws';
import type { Context } from '../context.ts';
import { gaugeOf } from './simulatedGauge.ts';

const PATH = '/api/devices/gauge/stream';
const UNKNOWN = 'HTTP/1.1 401 Unauthorized\r\nConnection: close\r\n\r\n';
const FOREIGN = 'HTTP/1.1 403 Forbidden\r\nConnection: close\r\n\r\n';

/**
 * Puts the simulated gauge on a WebSocket of the server: it greets, sends what it reads, and breaks off
 * as a radio does. Only pages of this origin with somebody signed in may listen.
 * @returns hangs up on everybody
 */
export function attachGauge(http: Server, context: Context, sessions: RequestHandler): () => void {
  const sockets = new WebSocketServer({ noServer: true });
  http.on('upgrade', (req, socket, head) => {
    if (new URL(req.url ?? '', 'http://x').pathname !== PATH) {
      socket.destroy();
      return;
    }
    if (!isOwnPage(req)) {
      refuse(socket, FOREIGN);
      return;
    }
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

async function speak(line: WebSocket, context: Context, shopId: string): Promise<void> {
  const say = (message: GaugeMessage) => line.send(JSON.stringify(message));
  const leave = context.live.hearGauge(shopId, (says) => {
    if (says === 'breaksOff') line.close(1001, 'out of radio reach');
    else say(says);
  });
  line.on('close', leave);
  line.on('error', (error) => context.log.warn({ err: error }, 'gauge line broke'));
  const gauge = await gaugeOf(context.db, shopId);
  if (!gauge.isOn) {
    line.close(1001, 'switched off');
    return;
  }
  say({ kind: 'hello', device: 'Simulated gauge', battery: gauge.battery });
}
