import type { ShopConstants } from '@keen/contract';
import { fitConstants, USUAL_CONSTANTS } from '@keen/core';
import type { FittedConstants, ShopCar } from '@keen/core';
import { scoreFlags } from '@keen/simulator';
import type { WorldName } from '@keen/simulator';
import { readAll } from './readAll.ts';
import type { ShopCarRead, ShopCarTask } from './readShopCar.ts';
import type { KEYS } from './tables.ts';
import { mean, table } from './tables.ts';

/** Cars that a shop learns its constants from, and where their seeds begin. */
const CARS_TO_LEARN_FROM = 200;
const FIRST_OF_SHOP = 8_000_000;
const LEARNING_SWEEPS = 500;
/**
 * Shops by what is true of their cars: one as is usual, one that differs in all, one in faults alone, as in a
 * town of kerbs and soft tires (invented).
 */
const DIFFERENT_FAULTS: ShopConstants['faultRates'] = {
  frontToe: 0.5,
  rearToe: 0.08,
  camber: 0.15,
  pressure: 0.45,
  bounce: 0.05,
  looseness: 0.2,
  hardCornering: 0.05,
};
const SHOPS: Record<string, ShopConstants | undefined> = {
  'as is usual': undefined,
  'other faults': { traits: USUAL_CONSTANTS.traits, faultRates: DIFFERENT_FAULTS },
  'other wear and faults': {
    traits: {
      wearRate: { mean: 0.25, sd: 0.25 },
      frontToRear: { mean: 0.08, sd: 0.1 },
      crown: { mean: 0.05, sd: 0.04 },
      hand: { mean: 0.03, sd: 0.03 },
    },
    faultRates: DIFFERENT_FAULTS,
  },
};

/** What a shop learns from its own cars, as the server does it: read, fitted, read again, fitted. */
async function learnShop(
  world: WorldName,
  shop: ShopConstants | undefined,
  label: string,
): Promise<FittedConstants> {
  const pass = async (by?: ShopConstants): Promise<ShopCar[]> => {
    const tasks = Array.from({ length: CARS_TO_LEARN_FROM }, (_, i): ShopCarTask => ({
      seed: FIRST_OF_SHOP + i,
      world,
      sweeps: LEARNING_SWEEPS,
      shop,
      by,
    }));
    const read = await readAll<ShopCarRead>('./readShopCar.ts', tasks, label);
    return read.flatMap(({ evidence }) => (evidence ? [{ evidence, line: null }] : []));
  };
  const taught = fitConstants(await pass());
  return taught.used === 0 ? taught : fitConstants(await pass(taught.constants), taught.constants);
}

/** What it is worth, on cars that were held out, that a shop learned its own constants. */
export async function reportLearning(
  world: WorldName,
  { cars, first, sweeps }: { cars: number; first: number; sweeps: number },
): Promise<void> {
  const rows: (string | number)[][] = [];
  for (const [name, shop] of Object.entries(SHOPS)) {
    const label = `${world}, a shop of ${name}`;
    const { constants, used, gain } = await learnShop(world, shop, `${label}, learned from`);
    const tasks = Array.from({ length: cars }, (_, i): ShopCarTask => ({
      seed: first + i,
      world,
      sweeps,
      shop,
      // A shop that learned nothing goes on with the usual ones.
      learned: used === 0 ? 'usual' : constants,
    }));
    const read = await readAll<ShopCarRead>('./readShopCar.ts', tasks, label);
    const truths = read.map(({ faults }) => ({ faults, excessMm: [] }));
    const scores = [read.map(({ usual }) => usual!), read.map(({ own }) => own!)].map((readings) =>
      scoreFlags(truths, readings),
    );
    const means = (key: (typeof KEYS)[number]) =>
      scores.map((flags) => mean(flags.map((flag) => flag[key])));
    rows.push([name, used, gain.mean, ...means('logLoss'), ...means('calibrationError')]);
    console.error(`\n${label}: ${JSON.stringify(constants)}`);
  }
  console.log(
    `\nShops of the world '${world}' that learned from ${CARS_TO_LEARN_FROM} cars, read on ${cars} others, ${sweeps} sweeps\n`,
  );
  console.log(
    table([
      [
        'cars of the shop',
        'part used',
        'gain',
        'usual logLoss',
        'own logLoss',
        'usual ece',
        'own ece',
      ],
      ...rows,
    ]),
  );
}
