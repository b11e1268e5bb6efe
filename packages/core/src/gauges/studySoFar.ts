import { gaugeStudy } from './gaugeStudy.ts';
import type { GaugeStudy } from './gaugeStudy.ts';

/** One reading of a study; people, trials and marks from 0. */
export interface StudyReading {
  person: number;
  trial: number;
  mark: number;
  mm: number;
}

/** How far a study is, and what it says by now. */
export interface StudySoFar {
  /** Readings taken by each person. */
  taken: number[];
  /** Of each person. */
  planned: number;
  isWhole: boolean;
  /** From the marks that everybody has read at least twice; null while there are fewer than two. */
  result: GaugeStudy | null;
  /** Marks and trials that `result` rests on. */
  used: { marks: number[]; trials: number };
}

/**
 * What can be said of a study at any time: of the marks that all have read, as often as all have.
 * @param plan - how many people, trials and marks it has
 */
export function studySoFar(
  plan: { people: number; trials: number; marks: number },
  readings: readonly StudyReading[],
): StudySoFar {
  const { people, trials, marks } = plan;
  const values = new Map(
    readings.map(({ person, trial, mark, mm }) => [`${person} ${trial} ${mark}`, mm]),
  );
  const at = (person: number, trial: number, mark: number) =>
    values.get(`${person} ${trial} ${mark}`);
  const readBy = (mark: number, most: number) =>
    range(people).every((person) =>
      range(most).every((trial) => at(person, trial, mark) !== undefined),
    );
  let used = { marks: [] as number[], trials: 0 };
  // As many trials as leave two marks; fewer trials only where more leave none.
  for (let most = trials; most >= 2 && used.marks.length < 2; most--) {
    used = { marks: range(marks).filter((mark) => readBy(mark, most)), trials: most };
  }
  const isEnough = used.marks.length >= 2 && people >= 2;
  return {
    taken: range(people).map((own) => readings.filter(({ person }) => person === own).length),
    planned: trials * marks,
    isWhole: used.trials === trials && used.marks.length === marks,
    result: isEnough
      ? gaugeStudy(
          range(people).map((person) =>
            range(used.trials).map((trial) => used.marks.map((mark) => at(person, trial, mark)!)),
          ),
        )
      : null,
    used: isEnough ? used : { marks: [], trials: 0 },
  };
}

function range(length: number): number[] {
  return Array.from({ length }, (_, i) => i);
}
