import { Router } from 'express';
import type { Context } from '../../context.ts';
import { signedIn } from '../../http/signedIn.ts';

const HEARTBEAT_MS = 20_000;

/** Live changes of the signed-in shop as server-sent events. */
export function liveRoutes({ live }: Context): Router {
  const router = Router();
  router.get('/', (req, res) => {
    const { shopId } = signedIn(req);
    res.writeHead(200, {
      'content-type': 'text/event-stream',
      'cache-control': 'no-store',
      connection: 'keep-alive',
      'x-accel-buffering': 'no',
    });
    res.write(': open\n\n');
    const leave = live.pages.listen(shopId, (event) => {
      res.write(`data: ${JSON.stringify(event)}\n\n`);
    });
    const beat = setInterval(() => res.write(': still here\n\n'), HEARTBEAT_MS);
    req.on('close', () => {
      clearInterval(beat);
      leave();
    });
  });
  return router;
}
