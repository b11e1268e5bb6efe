import { describe, expect, it } from 'vitest';
import { fitPopulation, logMarginal } from './population.ts';
import type { Member, PopulationPrior } from './population.ts';

/** Cases and others among the vaccinated, then among the not vaccinated. */
const BCG = [
  [4, 119, 11, 128],
  [6, 300, 29, 274],
  [3, 228, 11, 209],
  [62, 13536, 248, 12619],
  [33, 5036, 47, 5761],
  [180, 1361, 372, 1079],
  [8, 2537, 10, 619],
  [505, 87886, 499, 87892],
  [29, 7470, 45, 7232],
  [17, 1699, 65, 1600],
  [186, 50448, 141, 27197],
  [5, 2493, 3, 2338],
  [27, 16886, 29, 17825],
] as const;

function one(value: number, variance: number, group: number | null = null): Member {
  return { linear: [value / variance], precision: [[1 / variance]], weight: 1, group };
}

const NO_OPINION: PopulationPrior = {
  sd: [1],
  degrees: 0,
  meanSd: [Infinity],
  groups: 0,
  groupSd: 1,
};

describe('fitPopulation', () => {
  it('meets the published fit of thirteen vaccine trials', () => {
    // Colditz et al. 1994, J. Am. Med. Assoc. 271; log relative risks, random effects by maximum likelihood:
    // mean -0.7112 (0.1719), variance 0.2800, as general-purpose packages for meta-analysis print it (from memory).
    const members = BCG.map(([a, b, c, d]) =>
      one(Math.log(a / (a + b)) - Math.log(c / (c + d)), 1 / a - 1 / (a + b) + 1 / c - 1 / (c + d)),
    );
    const { mean, sd, meanSd } = fitPopulation(members, NO_OPINION);
    expect(mean[0]).toBeCloseTo(-0.7112, 4);
    expect(sd[0]! ** 2).toBeCloseTo(0.28, 4);
    expect(meanSd[0]).toBeCloseTo(0.1719, 4);
  });

  it('is the plain mean and variance where every member is known exactly', () => {
    const values = [0.4, -0.1, 0.9, 0.3];
    const { mean, sd } = fitPopulation(
      values.map((value) => one(value, 1e-9)),
      NO_OPINION,
    );
    expect(mean[0]).toBeCloseTo(0.375, 6);
    expect(sd[0]! ** 2).toBeCloseTo(0.126875, 6);
  });

  it('stays with what was held where members say nothing', () => {
    const silent: Member = { linear: [0], precision: [[0]], weight: 1, group: 0 };
    const prior = { sd: [0.3], degrees: 20, meanSd: [0.15], groups: 1, groupSd: 0.1 };
    const { mean, sd, meanSd, group } = fitPopulation(
      Array.from({ length: 50 }, () => silent),
      prior,
    );
    expect(mean[0]).toBeCloseTo(0, 9);
    expect(sd[0]).toBeCloseTo(0.3, 6);
    expect(meanSd[0]).toBeCloseTo(0.15, 6);
    expect(group[0]).toEqual({ mean: 0, sd: 0.1 });
  });

  it('tells a group from the rest, drawn towards none by its size', () => {
    const members = [
      ...Array.from({ length: 60 }, (_, i) => one(i % 2 === 0 ? 0.1 : -0.1, 0.001, 0)),
      ...Array.from({ length: 20 }, (_, i) => one(0.3 + (i % 2 === 0 ? 0.1 : -0.1), 0.001, 1)),
      one(0.3, 0.001, 2),
    ];
    const { group } = fitPopulation(members, {
      sd: [0.15],
      degrees: 20,
      meanSd: [1],
      groups: 3,
      groupSd: 0.15,
    });
    expect(group[1]!.mean - group[0]!.mean).toBeGreaterThan(0.25);
    expect(group[1]!.mean - group[0]!.mean).toBeLessThan(0.3);
    // One car is hardly a line of tires.
    expect(group[2]!.mean).toBeLessThan(group[1]!.mean);
    expect(group[2]!.sd).toBeGreaterThan(2 * group[1]!.sd);
  });
});

describe('logMarginal', () => {
  it('is the density of what was seen, up to a constant of the member', () => {
    // Seen y with variance v, of members normal (m, s): y is normal (m, v + s^2).
    const density = (y: number, m: number, variance: number) =>
      -0.5 * Math.log(variance) - (y - m) ** 2 / (2 * variance);
    const member = one(0.7, 0.2);
    const change = logMarginal(member, [0.4], [0.5]) - logMarginal(member, [-0.2], [1.5]);
    expect(change).toBeCloseTo(density(0.7, 0.4, 0.45) - density(0.7, -0.2, 2.45), 9);
  });

  it('adds up over traits that have nothing to do with one another', () => {
    const two: Member = {
      linear: [2, -1],
      precision: [
        [4, 0],
        [0, 3],
      ],
      weight: 1,
      group: null,
    };
    const apart = [
      logMarginal({ ...two, linear: [2], precision: [[4]] }, [0.1], [0.6]),
      logMarginal({ ...two, linear: [-1], precision: [[3]] }, [0.2], [0.8]),
    ];
    expect(logMarginal(two, [0.1, 0.2], [0.6, 0.8])).toBeCloseTo(apart[0]! + apart[1]!, 9);
  });
});
