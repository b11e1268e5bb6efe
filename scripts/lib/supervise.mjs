const FIRST_DELAY_MS = 250;
const LONGEST_DELAY_MS = 8_000;
const WINDOW_MS = 60_000;
const MOST_FAILURES = 6;

/**
 * @typedef {object} Running
 * @property {Promise<string>} ended - resolves with the reason, in words, when it has ended by itself
 * @property {() => Promise<void> | void} stop
 */

/**
 * Keeps a part of the product running: when it ends it is started again after a short, growing delay.
 * @param {object} part
 * @param {string} part.name - in words, for what is printed
 * @param {(isAgain: boolean) => Promise<Running>} part.start - rejects when it cannot be started; the
 *   first time that ends the whole start
 * @param {(line: string) => void} part.tell - prints a line
 * @param {(line: string) => void} part.giveUp - called once, after repeated failure within a minute
 * @param {() => number} [part.clock] - milliseconds; tests bring their own
 * @param {(ms: number) => Promise<void>} [part.wait]
 * @returns {Promise<{ stop: () => Promise<void> }>} once it runs for the first time
 */
export async function supervise({
  name,
  start,
  tell,
  giveUp,
  clock = () => performance.now(),
  wait = (ms) => new Promise((done) => setTimeout(done, ms)),
}) {
  let isStopping = false;
  let running = await start(false);
  const failures = [];

  async function keepUp() {
    let reason = await running.ended;
    for (;;) {
      if (isStopping) return;
      const now = clock();
      failures.push(now);
      while (failures[0] < now - WINDOW_MS) failures.shift();
      if (failures.length > MOST_FAILURES) {
        giveUp(`${name} stopped ${failures.length} times within a minute (${reason}); giving up`);
        return;
      }
      const delay = Math.min(LONGEST_DELAY_MS, FIRST_DELAY_MS * 2 ** (failures.length - 1));
      tell(`${name} stopped (${reason}); nothing saved is lost, starting it again`);
      await wait(delay);
      if (isStopping) return;
      try {
        running = await start(true);
        if (isStopping) {
          await running.stop();
          return;
        }
        tell(`${name} is running again`);
        reason = await running.ended;
      } catch (error) {
        reason = error instanceof Error ? error.message : String(error);
      }
    }
  }
  const done = keepUp();

  return {
    async stop() {
      isStopping = true;
      await running.stop();
      await Promise.race([done, wait(0)]);
    },
  };
}
