import type { IncomingMessage, Server } from 'node:http';
import { ServerResponse } from 'node:http';
import type { Duplex } from 'node:stream';
import type { GaugeMessage, ReaderMessage } from '@keen/contract';
import type { Request, RequestHandler, Response } from 'express';
import { WebSocketServer } from 'ws';
import type { WebSocket } from 'ws';
import type { Context } from '../context.ts';
import { inShop } from '../db/client.ts';
import { sessionName } from '../http/sessionName.ts';
import { gaugeOf } from './simulatedGauge.ts';
import { readerOf } from './simulatedReader.ts';

const PATH = /^\/api\/devices\/(gauge|reader)\/stream$/;
/** Devices listen and never speak here: whatever a page sends is small or not ours. */
const MOST_MESSAGE_BYTES = 1_024;
/** What may wait for a page that reads too slowly; then the line is cut and the page reconnects. */
const MOST_WAITING_BYTES = 256 * 1024;
const OUT_OF_REACH = [1001, 'out of radio reach'] as const;
const SWITCHED_OFF = [1001, 'switched off'] as const;
const BROKEN = [1011, 'something went wrong here'] as const;

const REFUSALS = {
  400: 'Bad Request',
  401: 'Unauthorized',
  403: 'Forbidden',
  404: 'Not Found',
  503: 'Service Unavailable',
} as const;

/**
 * Puts the simulated gauge and the simulated drive-over reader on WebSockets of the server: they greet,
 * send what they read, and break off as a radio does. Only pages of this origin with somebody signed in
 * may listen. Whatever a client sends, at worst its own connection ends.
 * @returns hangs up on everybody
 */
export function attachDevices(
  http: Server,
  context: Context,
  sessions: RequestHandler,
): () => void {
  const sockets = new WebSocketServer({ noServer: true, maxPayload: MOST_MESSAGE_BYTES });
  http.on('upgrade', (req, socket, head) => {
    // A client that resets in the middle of the handshake is its own affair; without a listener its
    // error would end the process.
    socket.on('error', (error) => context.log.debug({ err: error }, 'handshake broke off'));
    admit(req, sessions).then(
      (admitted) => {
        if (typeof admitted === 'number') {
          refuse(socket, admitted);
          return;
        }
        const speak = admitted.device === 'gauge' ? speakGauge : speakReader;
        sockets.handleUpgrade(req, socket, head, (line) => {
          line.on('error', (error) => context.log.debug({ err: error }, 'device line broke'));
          const { shopId } = admitted;
          const forget = context.live.lines.add(admitted, () => line.terminate());
          line.on('close', forget);
          speak(line, context, shopId).catch((error: unknown) => {
            context.log.warn({ err: error }, 'device line failed');
            line.close(...BROKEN);
          });
        });
      },
      (error: unknown) => {
        context.log.warn({ err: error }, 'device line not opened');
        refuse(socket, 503);
      },
    );
  });
  return () => {
    for (const line of sockets.clients) line.terminate();
    sockets.close();
  };
}

interface Listener {
  accountId: string;
  personId: string;
  shopId: string;
  session: string;
}
type Admitted = (Listener & { device: 'gauge' | 'reader' }) | keyof typeof REFUSALS;

/** Who asks for which device, or the status to refuse with; rejects when sessions cannot be read. */
async function admit(req: IncomingMessage, sessions: RequestHandler): Promise<Admitted> {
  const [path = ''] = (req.url ?? '').split('?');
  const device = PATH.exec(path)?.[1];
  if (device !== 'gauge' && device !== 'reader') return 404;
  const isOwn = isOwnPage(req);
  if (isOwn === null) return 400;
  if (!isOwn) return 403;
  const listener = await listenerOf(req, sessions);
  if (listener === null) return 503;
  return listener === undefined ? 401 : { device, ...listener };
}

/** A page of another site must not listen with this one's cookie; null if it is not an origin. */
function isOwnPage({ headers }: IncomingMessage): boolean | null {
  const { origin, host } = headers;
  if (origin === undefined) return true;
  if (!URL.canParse(origin)) return origin === 'null' ? false : null;
  return new URL(origin).host === host;
}

/** Who is signed in; undefined for nobody, null while the sessions' store is out of reach. */
function listenerOf(
  req: IncomingMessage,
  sessions: RequestHandler,
): Promise<Listener | undefined | null> {
  return new Promise((resolve, reject) => {
    const next = (error?: unknown) => {
      if (error) {
        reject(error instanceof Error ? error : new Error('session not read'));
        return;
      }
      const { session, sessionID } = req as Partial<Request>;
      // The middleware leaves the session out when its store has lost its database.
      if (!session || sessionID === undefined) resolve(null);
      else {
        const { accountId, personId, shopId } = session;
        const isIn = accountId && personId && shopId;
        resolve(
          isIn ? { accountId, personId, shopId, session: sessionName(sessionID) } : undefined,
        );
      }
    };
    Promise.resolve(sessions(req as Request, new ServerResponse(req) as Response, next)).catch(
      reject,
    );
  });
}

function refuse(socket: Duplex, status: keyof typeof REFUSALS): void {
  if (!socket.writable) socket.destroy();
  else socket.end(`HTTP/1.1 ${status} ${REFUSALS[status]}\r\nConnection: close\r\n\r\n`);
}

/** Sends unless the line has gone or its reader is too slow, which ends it. */
function send(line: WebSocket, message: GaugeMessage | ReaderMessage): void {
  if (line.readyState !== line.OPEN) return;
  if (line.bufferedAmount > MOST_WAITING_BYTES) line.terminate();
  else line.send(JSON.stringify(message));
}

async function speakGauge(line: WebSocket, context: Context, shopId: string): Promise<void> {
  const leave = context.live.gauges.listen(shopId, (says) => {
    if (says === 'breaksOff') line.close(...OUT_OF_REACH);
    else send(line, says);
  });
  line.on('close', leave);
  const gauge = await inShop(context.db, shopId, (tx) => gaugeOf(tx, shopId));
  if (!gauge.isOn) line.close(...SWITCHED_OFF);
  else send(line, { kind: 'hello', device: 'Simulated gauge', battery: gauge.battery });
}

async function speakReader(line: WebSocket, context: Context, shopId: string): Promise<void> {
  const sendPass = async () => {
    const { n, pass } = await inShop(context.db, shopId, (tx) => readerOf(tx, shopId));
    if (pass) send(line, { kind: 'pass', n, pass });
  };
  const leave = context.live.readers.listen(shopId, (says) => {
    if (says === 'breaksOff') line.close(...OUT_OF_REACH);
    else sendPass().catch((error: unknown) => context.log.warn({ err: error }, 'pass not sent'));
  });
  line.on('close', leave);
  const { state } = await inShop(context.db, shopId, (tx) => readerOf(tx, shopId));
  if (!state.isOn) line.close(...SWITCHED_OFF);
  else send(line, { kind: 'hello', device: 'Simulated reader' });
}
