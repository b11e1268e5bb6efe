import type { VisitDraft } from '@keen/contract';
import { describe, expect, it } from 'vitest';
import { byWheel } from '../engine/case/resolveCase.ts';
import { comebacks } from './comebacks.ts';
import type { FollowedVisit } from './comebacks.ts';

const WITHIN = 10_000;
const IN = byWheel(() => ({ camber: -0.5, toe: 0.05 }));
const OUT = byWheel(() => ({ camber: -0.5, toe: 0.5 }));
const READ = byWheel(() => ({ stations: [{ inner: 5, centre: 5, outer: 5 }] }));

let last = 0;
/** A visit so many kilometres on. */
function visit(
  odometer: number,
  decision: FollowedVisit['decision'] | null,
  draft: VisitDraft = {},
): FollowedVisit {
  return {
    id: `visit ${++last}`,
    number: last,
    arrivedAt: new Date(Date.UTC(2026, 0, 1) + odometer * 1_000_000).toISOString(),
    draft: { tires: READ, ...draft, visit: { odometer, ...draft.visit } },
    decision,
  };
}
type Decision = NonNullable<FollowedVisit['decision']>;
const said = (
  action: Decision['action'],
  answer: Decision['answer'] = 'yes',
  advised = action,
): Decision => ({ action, advised, answer, replace: [] });
const SET: VisitDraft = { angles: IN, play: { lf: 'none' }, visit: { setRight: { before: OUT } } };
const aligned = (draft: VisitDraft = SET) => visit(20_000, said('align'), draft);

describe('comebacks', () => {
  it('are what a rig finds out again, within the distance and not beyond', () => {
    const within = [aligned(), visit(27_000, said('checkAlignment'), { angles: OUT })];
    const beyond = [aligned(), visit(31_000, said('checkAlignment'), { angles: OUT })];
    const { rows, works } = comebacks([within, beyond], WITHIN);
    expect(rows).toHaveLength(1);
    expect(rows[0]).toMatchObject({ work: 'aligned', km: 7_000, how: 'measured' });
    expect(rows[0]!.back).toBe(within[1]);
    expect(works).toMatchObject([{ work: 'aligned', done: 2, seenAgain: 2, cameBack: 1 }]);
    // One of two undone by then; the other was still in order as far as it was followed.
    expect(works[0]!.held!.part).toBeCloseTo(0.5, 10);
    expect(works[0]!.isTooFew).toBe(true);
  });

  it('believe the rig over the tread', () => {
    const measured = visit(27_000, said('align', 'no'), { angles: IN });
    const unmeasured = visit(27_000, said('align', 'no'));
    expect(comebacks([[aligned(), measured]], WITHIN).rows).toHaveLength(0);
    expect(comebacks([[aligned(), unmeasured]], WITHIN).rows[0]?.how).toBe('tread');
  });

  it('tell of balancing and of pressures by what is advised again', () => {
    const again = (action: Decision['action']) =>
      comebacks([[visit(20_000, said(action)), visit(25_000, said(action, 'no'))]], WITHIN).rows;
    expect(again('balanceOrDampers')[0]?.how).toBe('bounce');
    expect(again('inflateAndWatch')[0]?.how).toBe('pressure');
    expect(
      comebacks([[visit(20_000, said('balanceOrDampers')), visit(25_000, said('align'))]], WITHIN)
        .rows,
    ).toHaveLength(0);
  });

  it('are not told of a car that was not seen again, or not looked at', () => {
    const { works, rows } = comebacks([[aligned()], [aligned(), visit(26_000, null)]], WITHIN);
    expect(rows).toHaveLength(0);
    expect(works).toMatchObject([{ done: 2, seenAgain: 0, held: null }]);
  });

  it('end with the next work: what comes back after that is of that', () => {
    const story = [
      aligned(),
      visit(24_000, said('inflateAndWatch')),
      visit(28_000, said('align', 'no')),
    ];
    expect(comebacks([story], WITHIN).rows).toHaveLength(0);
  });

  it('say as sure as cars were followed where nothing came undone', () => {
    const fine = Array.from({ length: 25 }, () => [aligned(), visit(32_000, said('fitOnly'))]);
    const [work] = comebacks(fine, WITHIN).works;
    expect(work!.held!.part).toBe(1);
    // Wilson's lower bound of 25 in 25.
    expect(work!.held!.low).toBeCloseTo(25 / (25 + 1.959964 ** 2), 6);
    expect(work!.isTooFew).toBe(false);
  });

  describe('name the visit that could have caught it', () => {
    const back = () => visit(28_000, said('align', 'no'));
    const caught = (...story: FollowedVisit[]) => comebacks([story], WITHIN).rows[0]?.caughtAt;

    it('the one of the work, when it left something', () => {
      const left = aligned({ ...SET, angles: OUT });
      expect(caught(left, back())).toEqual({ visit: left, why: 'leftOut' });
      const loose = aligned({ ...SET, play: { rf: 'some' } });
      expect(caught(loose, back())).toEqual({ visit: loose, why: 'playLeft' });
      const unmeasured = visit(20_000, said('align'));
      expect(caught(unmeasured, back())).toEqual({ visit: unmeasured, why: 'notMeasuredAfter' });
    });

    it('one between, when the car was here and nobody looked far enough', () => {
      const unread = visit(24_000, null, { tires: {} });
      expect(caught(aligned(), unread, back())).toEqual({ visit: unread, why: 'notRead' });
      const undecided = visit(24_000, null);
      expect(caught(aligned(), undecided, back())).toEqual({ visit: undecided, why: 'notDecided' });
      const unchecked = visit(24_000, said('checkAlignment', 'no'));
      expect(caught(aligned(), unchecked, back())).toEqual({
        visit: unchecked,
        why: 'checkNotMade',
      });
    });

    it('the one of the work where nobody shook the joints, if no other', () => {
      const unshaken = aligned({ angles: IN, visit: { setRight: { before: OUT } } });
      expect(caught(unshaken, back())).toEqual({ visit: unshaken, why: 'notShaken' });
    });

    it('none, where all that could be seen was seen', () => {
      expect(caught(aligned(), back())).toBeNull();
    });
  });
});
