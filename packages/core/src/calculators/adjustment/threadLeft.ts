/**
 * Engagement below which a rod's thread is not trusted, in diameters of the thread: what a full nut of
 * steel has about (ISO 4032, recalled from memory). The maker's figure counts where there is one.
 */
const LEAST_DIAMETERS = 1;
/** A turnbuckle shares a change of length between its two ends. */
const ENDS = { single: 1, turnbuckle: 2 } as const;

/** What is left in a rod end once the rod has been turned. */
export interface ThreadLeft {
  /** Engagement after the change, mm; not negative. */
  left: number;
  /** Least engagement that is trusted, mm. */
  least: number;
  holds: boolean;
}

/**
 * How much thread stays in a tie rod's end when the rod is made longer or shorter.
 * @param input.engaged - thread in the end now, mm
 * @param input.diameter - of the thread, mm
 * @param input.lengthChange - of the rod, mm, positive longer
 * @param input.adjuster - one thread gives all of it, a turnbuckle half at each end
 * @example threadLeft({ engaged: 20, diameter: 14, lengthChange: 4 }).least // 14
 */
export function threadLeft(input: {
  engaged: number;
  diameter: number;
  lengthChange: number;
  adjuster: 'single' | 'turnbuckle';
}): ThreadLeft {
  const left = Math.max(0, input.engaged - input.lengthChange / ENDS[input.adjuster]);
  const least = LEAST_DIAMETERS * input.diameter;
  return { left, least, holds: left >= least };
}
