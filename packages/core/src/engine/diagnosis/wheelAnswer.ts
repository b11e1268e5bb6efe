import type { Estimate, WheelDiagnosis } from '@keen/contract';
import type { Wheel } from '@keen/contract/words';
import { RIBS } from '@keen/contract/words';
import type { ResolvedCase } from '../case/resolveCase.ts';
import { wheelStatus } from '../tires/wheelStatus.ts';
import { FAULT_COLUMN } from '../wear/faults.ts';

/** Index of the rib with the least mean depth, or null when none was read. */
export function worstRib(resolved: ResolvedCase, wheel: Wheel): number | null {
  const { readMm } = resolved.tires[wheel];
  const means = RIBS.map((rib) =>
    readMm[rib].length === 0
      ? Number.POSITIVE_INFINITY
      : readMm[rib].reduce((sum, depth) => sum + depth, 0) / readMm[rib].length,
  );
  const least = Math.min(...means);
  return Number.isFinite(least) ? means.indexOf(least) : null;
}

/** What the draws say of one wheel and its tire. */
export interface WheelDraws {
  camber: Estimate;
  pressureRatio: Estimate;
  chance: (start: number) => number;
  parts: readonly number[];
  modelled: number;
  worst: number | null;
}

/** One wheel's part of the diagnosis: its parts of wear add up to what its worst rib has lost. */
export function wheelAnswer(
  resolved: ResolvedCase,
  wheel: Wheel,
  draws: WheelDraws,
): WheelDiagnosis {
  const tire = resolved.tires[wheel];
  const read = RIBS.flatMap((rib) => tire.readMm[rib]);
  const minDepth = read.length > 0 ? Math.min(...read) : null;
  const worstName = draws.worst === null ? null : RIBS[draws.worst]!;
  const worstRead = worstName && tire.readMm[worstName];
  const total =
    worstName === null || worstRead === null
      ? draws.modelled
      : Math.max(
          0,
          tire.stretch.fromMm[worstName] -
            worstRead.reduce((sum, d) => sum + d, 0) / worstRead.length,
        );
  // The parts share out what was really lost: the model only says in which proportion.
  const scale = draws.modelled > 0 ? total / draws.modelled : 0;
  const parts = draws.parts.map((part) => Math.max(0, part * scale));
  const taken = parts.reduce((sum, part) => sum + part, 0);
  const fit = taken > total ? total / taken : 1;
  const [camber, toe, pressure, cornering, bounce] = parts.map((part) => part * fit) as [
    number,
    number,
    number,
    number,
    number,
  ];
  return {
    camber: draws.camber,
    pressureRatio: draws.pressureRatio,
    probability: {
      camberTooNegative: draws.chance(FAULT_COLUMN.camberTooNegative),
      camberTooPositive: draws.chance(FAULT_COLUMN.camberTooPositive),
      pressureLow: draws.chance(FAULT_COLUMN.pressureLow),
      pressureHigh: draws.chance(FAULT_COLUMN.pressureHigh),
      bounce: draws.chance(FAULT_COLUMN.bounce),
    },
    wear: {
      total,
      base: total - (camber + toe + pressure + cornering + bounce),
      camber,
      toe,
      pressure,
      cornering,
      bounce,
    },
    minDepth,
    status: wheelStatus(minDepth, tire.damage, resolved.limitsMm),
  };
}
