import type { Wheel } from '@keen/contract/words';
import { byWheel, DEFAULT_TOLERANCES } from '../engine/case/resolveCase.ts';
import { tirePath } from '../engine/wear/paths.ts';
import { healthyState, STATE } from '../engine/wear/state.ts';
import { tireLoss } from '../engine/wear/tireLoss.ts';
import type { LabTexts } from '../words/screens/index.ts';
import type { SectionTire } from './axleSection.ts';

type ExampleName = keyof LabTexts['examples'];

/** One setting and the tread that it leaves. */
export interface WearExample {
  name: ExampleName;
  tires: Record<Wheel, SectionTire>;
}

const NEW_MM = 8;
const THOUSAND_KM = 20;
const FRONT = [0, 1];

const EXAMPLES: readonly (readonly [name: ExampleName, change: (state: Float64Array) => void])[] = [
  ['healthy', () => undefined],
  ['toeIn', (state) => (state[STATE.toe] = 0.8)],
  ['toeOut', (state) => (state[STATE.toe] = -0.8)],
  ['camber', (state) => FRONT.forEach((wheel) => (state[STATE.camber + wheel] = -3))],
  ['soft', (state) => FRONT.forEach((wheel) => (state[STATE.pressure + wheel] = 0.75))],
  ['hard', (state) => FRONT.forEach((wheel) => (state[STATE.pressure + wheel] = 1.25))],
  ['loose', (state) => (state[STATE.looseness] = 0.3)],
  ['cornering', (state) => (state[STATE.cornering] = 2.5)],
];

/** Front-drive cars after 20,000 km, each with one thing out, worn by the engine's own formula. */
export function wearExamples(): WearExample[] {
  const middle = ([low, high]: readonly [number, number]) => (low + high) / 2;
  const { camber, totalToe } = DEFAULT_TOLERANCES;
  const loss = new Float64Array(3);
  return EXAMPLES.map(([name, change]) => {
    const state = healthyState(
      [middle(camber.front), middle(camber.rear)],
      [middle(totalToe.front), middle(totalToe.rear)],
    );
    change(state);
    const tires = byWheel((_, tire) => {
      tireLoss(state, tirePath(tire, [tire], [THOUSAND_KM], 'fwd'), loss);
      const [inner, centre, outer] = [...loss].map((mm) => Math.max(0, NEW_MM - mm)) as [
        number,
        number,
        number,
      ];
      return {
        depthMm: { inner, centre, outer },
        unreadable: [],
        expected: null,
        newDepthMm: NEW_MM,
        feather: 'unknown' as const,
      };
    });
    return { name, tires };
  });
}
