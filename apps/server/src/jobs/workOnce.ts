import { constants, setPriority } from 'node:os';

/**
 * Makes this process do one piece of work for anyone who started it, at the lowest priority: people who wait come
 * first. It ends when the work is done, when it fails, or when the server has gone.
 */
export function workOnce<Order>(work: (order: Order) => Promise<void>): void {
  process.once('message', (order: Order) => {
    setPriority(constants.priority.PRIORITY_LOW);
    work(order).then(
      () => process.exit(0),
      (error: unknown) => {
        process.stderr.write(
          `${error instanceof Error ? (error.stack ?? error.message) : String(error)}\n`,
        );
        process.exit(1);
      },
    );
  });
  process.once('disconnect', () => process.exit(1));
}
