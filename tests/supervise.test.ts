import { describe, expect, it } from 'vitest';
import { supervise } from '../scripts/lib/supervise.mjs';

/** A part that ends when the test says so, on a clock that the waits move. */
function partOf(start: (isAgain: boolean, times: number) => void = () => undefined) {
  let now = 0;
  let end: (reason: string) => void = () => undefined;
  const seen = { waits: [] as number[], told: [] as string[], gaveUp: [] as string[], starts: 0 };
  const supervised = supervise({
    name: 'the part',
    start: (isAgain) => {
      start(isAgain, ++seen.starts);
      const ended = new Promise<string>((done) => (end = done));
      return Promise.resolve({ ended, stop: () => end('stopped') });
    },
    tell: (line) => void seen.told.push(line),
    giveUp: (line) => void seen.gaveUp.push(line),
    clock: () => now,
    wait: (ms) => {
      if (ms > 0) seen.waits.push(ms);
      now += ms;
      return Promise.resolve();
    },
  });
  const fail = async (afterMs: number) => {
    now += afterMs;
    end('crashed');
    await new Promise((turn) => setTimeout(turn));
  };
  return { supervised, seen, fail };
}

describe('supervise', () => {
  it('starts a part that ended again, waiting longer each time, and says so', async () => {
    const { supervised, seen, fail } = partOf();
    await supervised;
    await fail(1_000);
    await fail(1_000);
    await fail(1_000);
    expect(seen.starts).toBe(4);
    expect(seen.waits).toEqual([250, 500, 1_000]);
    expect(seen.told[0]).toMatch(/the part stopped \(crashed\).*nothing saved is lost/);
    expect(seen.told[1]).toBe('the part is running again');
  });

  it('begins with the short wait again when it has run for a minute', async () => {
    const { supervised, seen, fail } = partOf();
    await supervised;
    await fail(0);
    await fail(61_000);
    expect(seen.waits).toEqual([250, 250]);
  });

  it('gives up once, after repeated failure within a minute', async () => {
    const { supervised, seen, fail } = partOf();
    await supervised;
    for (let i = 0; i < 9; i++) await fail(0);
    expect(seen.gaveUp).toHaveLength(1);
    expect(seen.gaveUp[0]).toMatch(/7 times within a minute/);
    expect(seen.starts).toBe(7);
  });

  it('a start that fails counts, and is tried again', async () => {
    const { supervised, seen, fail } = partOf((_isAgain, times) => {
      if (times === 2) throw new Error('port taken');
    });
    await supervised;
    await fail(0);
    expect(seen.starts).toBe(3);
    expect(seen.told.some((line) => line.includes('port taken'))).toBe(true);
  });

  it('passes the failure of the first start on, and starts nothing after stop', async () => {
    const failing = partOf(() => {
      throw new Error('no disk');
    });
    await expect(failing.supervised).rejects.toThrow('no disk');
    const { supervised, seen, fail } = partOf();
    await (await supervised).stop();
    await fail(0);
    expect(seen.starts).toBe(1);
    expect(seen.gaveUp).toEqual([]);
  });
});
