import pg from 'pg';

const AGAIN_MS = 200;

/**
 * Waits until the database takes connections.
 * @param limitMs - after which it is left to whoever connects next to say what is wrong
 */
export async function waitForDatabase(url: string, limitMs: number): Promise<void> {
  const end = Date.now() + limitMs;
  while (Date.now() < end) {
    const client = new pg.Client({ connectionString: url, connectionTimeoutMillis: 2_000 });
    client.on('error', () => undefined);
    try {
      await client.connect();
      await client.end();
      return;
    } catch {
      await new Promise((turn) => setTimeout(turn, AGAIN_MS));
    }
  }
}
