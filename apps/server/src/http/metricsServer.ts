import { createServer } from 'node:http';
import type { Server } from 'node:http';
import type { Metrics } from './metrics.ts';

/**
 * Serves the figures on a port of their own, which no proxy leads to: whoever reads them needs no account, and
 * nobody outside sees them.
 * @param port - 0 takes a free one
 * @throws {Error} when it cannot listen there, named apart from the server's own port
 */
export async function serveMetrics(
  { contentType, text }: Metrics,
  { host, port }: { host: string; port: number },
): Promise<Server> {
  const http = createServer((req, res) => {
    if (req.method !== 'GET' || req.url !== '/metrics') {
      res.writeHead(404).end();
      return;
    }
    text().then(
      (body) => res.writeHead(200, { 'content-type': contentType }).end(body),
      () => res.writeHead(500).end(),
    );
  });
  await new Promise<void>((resolve, reject) => {
    http.once('error', ({ message }) => reject(new Error(`figures cannot be served: ${message}`)));
    http.listen(port, host, resolve);
  });
  return http;
}
