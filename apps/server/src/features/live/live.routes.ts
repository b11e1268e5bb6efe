import type { LiveEvent } from '@keen/contract';
import { liveQuerySchema } from '@keen/contract';
import type { Context } from '../../context.ts';
import type { Routes } from '../../http/routes.ts';
import { sessionName } from '../../http/sessionName.ts';
import { validQuery } from '../../http/validate.ts';

const HEARTBEAT_MS = 20_000;
/** A request and a notice on their way. */
const SLACK_MS = 500;
/**
 * What may wait for a page that reads too slowly. Beyond it the stream is cut: the page reconnects
 * and fetches what it missed, and the server's memory stays bounded.
 */
const MOST_WAITING_BYTES = 256 * 1024;

/** Live changes of the signed-in shop as server-sent events. */
export function mountLive(routes: Routes, { live }: Context): void {
  routes.on('get', '/live', 'read', ({ req, res, actor }) => {
    const { shopId, personId, accountId } = actor;
    const { shownForMs } = validQuery(liveQuerySchema, req);
    res.writeHead(200, {
      'content-type': 'text/event-stream',
      'cache-control': 'no-store',
      connection: 'keep-alive',
      'x-accel-buffering': 'no',
    });
    const send = (text: string) => {
      if (res.writableLength > MOST_WAITING_BYTES) res.destroy();
      else res.write(text);
    };
    send(': open\n\n');
    const leave = live.pages.listen(shopId, (event) => send(`data: ${event}\n\n`));
    // Between what the page shows and its stream something may have changed.
    if (shownForMs !== undefined && live.changedWithin(shopId, shownForMs + SLACK_MS)) {
      send(`data: ${JSON.stringify({ kind: 'missed' } satisfies LiveEvent)}\n\n`);
    }
    const owner = { accountId, personId, session: sessionName(req.sessionID) };
    const forget = live.lines.add(owner, () => res.end());
    const beat = setInterval(() => send(': still here\n\n'), HEARTBEAT_MS);
    res.on('close', () => {
      clearInterval(beat);
      leave();
      forget();
    });
  });
}
