import { describe, expect, it } from 'vitest';
import type { ValidationIssue, Session } from '@keen/contract';
import { SESSION } from '../../tests/visitBench.tsx';
import { afterFailure } from './outboxSender.ts';
import type { Failure } from './problem.ts';
import { initialOutbox, outbox, outboxSlice } from './outboxSlice.ts';
import type { Owner, Pending } from './outboxSlice.ts';

const VISIT = '5a6d4f0e-8b1c-4f7a-9c3e-2d1b0a9f8e7d';
let last = 0;
function pending(value: unknown): Pending {
  const id = `5a6d4f0e-8b1c-4f7a-9c3e-${String(++last).padStart(12, '0')}`;
  return {
    visitId: VISIT,
    entry: { id, path: 'tires.lf.newDepth', value, at: '2026-03-01T10:00:00.000Z' },
  };
}
const reduce = outboxSlice.reducer;

const MIRA: Owner = {
  personId: '11111111-1111-4111-8111-111111111111',
  shopId: '22222222-2222-4222-8222-222222222222',
};
const JOSS: Owner = { ...MIRA, personId: '33333333-3333-4333-8333-333333333333' };
const sessionOf = ({ personId, shopId }: Owner): Session => ({
  ...SESSION,
  person: { ...SESSION.person, id: personId },
  shop: { ...SESSION.shop, id: shopId },
});
const signedIn = reduce(initialOutbox, outbox.signedIn(sessionOf(MIRA)));

describe('outbox', () => {
  it('keeps what was entered in order until the server has it', () => {
    const [first, second] = [pending(8), pending(9)];
    let state = reduce(initialOutbox, outbox.entered({ pending: first, before: null }));
    state = reduce(state, outbox.entered({ pending: second, before: 8 }));
    state = reduce(state, outbox.sent([first.entry.id]));
    expect(state.pending).toEqual([second]);
  });

  it('undoes with one more entry and can redo it', () => {
    let state = reduce(initialOutbox, outbox.entered({ pending: pending(8), before: null }));
    state = reduce(state, outbox.undid(pending(null)));
    expect(state.pending).toHaveLength(2);
    expect(state.done).toEqual([]);
    expect(state.undone).toMatchObject([{ before: null, after: 8 }]);
    state = reduce(state, outbox.redid(pending(8)));
    expect(state.done).toMatchObject([{ after: 8 }]);
  });

  it('forgets what was undone once something new is entered', () => {
    let state = reduce(initialOutbox, outbox.entered({ pending: pending(8), before: null }));
    state = reduce(state, outbox.undid(pending(null)));
    state = reduce(state, outbox.entered({ pending: pending(7), before: null }));
    expect(state.undone).toEqual([]);
  });

  it('sets aside what the server would not take, to be tried again or dismissed by its author', () => {
    const [wrong, other] = [pending(-1), pending(-2)];
    let state = reduce(signedIn, outbox.entered({ pending: wrong, before: null }));
    state = reduce(state, outbox.entered({ pending: other, before: null }));
    const ids = [wrong.entry.id, other.entry.id];
    state = reduce(state, outbox.setAside({ ids, reason: 'at least 0' }));
    expect(state.pending).toEqual([]);
    expect(state.aside.map(({ entry, reason }) => [entry.id, reason])).toEqual(
      ids.map((id) => [id, 'at least 0']),
    );
    state = reduce(state, outbox.triedAgain(wrong.entry.id));
    expect(state.pending).toEqual([{ ...wrong, owner: MIRA }]);
    state = reduce(state, outbox.dismissed(other.entry.id));
    expect(state.aside).toEqual([]);
  });
});

describe('an outbox of several people at one tablet', () => {
  it('keeps what one typed for that one, and ends undo with the session', () => {
    const own = pending(8);
    let state = reduce(signedIn, outbox.entered({ pending: own, before: null }));
    state = reduce(state, outbox.signedOut());
    expect(state).toMatchObject({ owner: null, pending: [], done: [] });
    state = reduce(state, outbox.signedIn(sessionOf(JOSS)));
    expect(state).toMatchObject({ owner: JOSS, pending: [], done: [], undone: [] });
    state = reduce(state, outbox.entered({ pending: pending(9), before: null }));
    state = reduce(state, outbox.signedIn(sessionOf(MIRA)));
    expect(state.pending).toEqual([{ ...own, owner: MIRA }]);
    expect(state.ofOthers).toHaveLength(1);
  });

  it('does not take one shop’s entries for the other, even of one person', () => {
    let state = reduce(signedIn, outbox.entered({ pending: pending(8), before: null }));
    const elsewhere = { ...MIRA, shopId: '99999999-9999-4999-8999-999999999999' };
    state = reduce(state, outbox.signedIn(sessionOf(elsewhere)));
    expect(state.pending).toEqual([]);
    expect(state.ofOthers).toHaveLength(1);
  });

  it('gives entries from before owners were written down to whoever signs in first', () => {
    const stored = pending(8);
    const state = reduce(
      { ...initialOutbox, ofOthers: [stored] },
      outbox.signedIn(sessionOf(MIRA)),
    );
    expect(state.pending).toEqual([{ ...stored, owner: MIRA }]);
  });
});

describe('afterFailure', () => {
  const entries = [pending(1), pending(2), pending(3)].map(({ entry }) => entry);
  const ids = entries.map(({ id }) => id);
  const failure = (status: number | null, refusals: ValidationIssue[] = []): Failure => ({
    text: 'No',
    refusals,
    isPassing: status === null || status >= 500 || status === 429,
    status,
  });
  const after = (one: Failure, list = entries, isReady = true, failures = 0) =>
    afterFailure(one, list, { failures }, isReady);

  it('sets aside just the entries that were named', () => {
    const refusals = [{ path: 'entries.1.value', expected: 'at most 60' }];
    expect(after(failure(400, refusals))).toEqual({
      kind: 'aside',
      ids: [ids[1]],
      reason: 'No: expected at most 60',
    });
  });

  it.each([400, 403, 409, 413, 422])(
    'halves a batch refused whole with %s, down to one',
    (status) => {
      expect(after(failure(status))).toEqual({ kind: 'smaller' });
      expect(after(failure(status), entries.slice(0, 1))).toMatchObject({
        kind: 'aside',
        ids: [ids[0]],
      });
    },
  );

  it('sets all aside where the visit is not there', () => {
    expect(after(failure(404))).toEqual({ kind: 'aside', ids, reason: 'No' });
  });

  it('finds the one that makes the server fail, tries it some more, and then lets the others go on', () => {
    expect(after(failure(500))).toEqual({ kind: 'smaller' });
    const one = entries.slice(0, 1);
    expect(after(failure(500), one)).toEqual({ kind: 'visitWaits' });
    expect(after(failure(500), one, true, 4)).toMatchObject({ kind: 'aside', ids: [ids[0]] });
  });

  it.each([null, 429, 502, 503])(
    'waits with everything while the server is away or busy (%s)',
    (status) => {
      expect(after(failure(status))).toEqual({ kind: 'allWait' });
    },
  );

  it('waits with everything when the server fails and is not ready', () => {
    expect(after(failure(500), entries.slice(0, 1), false, 9)).toEqual({ kind: 'allWait' });
  });

  it('waits for the next sign-in when nobody is signed in', () => {
    expect(after(failure(401))).toEqual({ kind: 'signIn' });
  });
});
