import type { Entry, Session } from '@keen/contract';
import { createSlice } from '@reduxjs/toolkit';
import type { PayloadAction } from '@reduxjs/toolkit';

/** Whose entry it is: what one person typed is never sent in another's name. */
export interface Owner {
  personId: string;
  shopId: string;
}

/** An entry on its way to the server. */
export interface Pending {
  visitId: string;
  entry: Entry;
  /** Absent only before the session is known. */
  owner?: Owner | undefined;
}

/** An entry that the server would not take: set aside where its author sees it. */
export interface Aside extends Pending {
  reason: string;
}

/** A change of one's own that can be taken back. */
export interface Change {
  visitId: string;
  path: string;
  before: unknown;
  after: unknown;
  /** Changes of one act bear one name, and are taken back together. */
  act?: string | undefined;
}

export interface OutboxState {
  /** Who is signed in here. */
  owner: Owner | null;
  /** Of whoever is signed in, in the order entered; gone once the server has them. */
  pending: Pending[];
  /** What the server would not take of it. */
  aside: Aside[];
  /** What others typed at this tablet, waiting for them to sign in again. */
  ofOthers: (Pending | Aside)[];
  /** Own changes of this session, latest last, and those taken back. */
  done: Change[];
  undone: Change[];
  /** Why sending waits, when it does. */
  waiting: string | null;
}

const MOST_CHANGES = 200;

export const initialOutbox: OutboxState = {
  owner: null,
  pending: [],
  aside: [],
  ofOthers: [],
  done: [],
  undone: [],
  waiting: null,
};

const isAside = (one: Pending | Aside): one is Aside => 'reason' in one;

/** Entries from before owners were written down belong to whoever comes first. */
const isOwn = (one: Pending, owner: Owner) =>
  one.owner === undefined ||
  (one.owner.personId === owner.personId && one.owner.shopId === owner.shopId);

/** Everything typed goes through here first, so that no lost connection loses it. */
export const outboxSlice = createSlice({
  name: 'outbox',
  initialState: initialOutbox,
  reducers: {
    /** Somebody is signed in: theirs is sent, the rest waits. */
    signedIn(state, { payload }: PayloadAction<Session>) {
      const owner = { personId: payload.person.id, shopId: payload.shop.id };
      if (state.owner?.personId === owner.personId && state.owner.shopId === owner.shopId) return;
      const all = [...state.ofOthers, ...state.pending, ...state.aside];
      state.owner = owner;
      state.pending = [];
      state.aside = [];
      for (const one of all.filter((each) => isOwn(each, owner))) {
        if (isAside(one)) state.aside.push({ ...one, owner });
        else state.pending.push({ ...one, owner });
      }
      state.ofOthers = all.filter((one) => !isOwn(one, owner));
      state.done = [];
      state.undone = [];
      state.waiting = null;
    },
    /** Nobody is signed in: what was not sent waits for its author, and undo ends. */
    signedOut(state) {
      state.ofOthers = [...state.ofOthers, ...state.pending, ...state.aside];
      state.owner = null;
      state.pending = [];
      state.aside = [];
      state.done = [];
      state.undone = [];
      state.waiting = null;
    },
    entered(
      state,
      { payload }: PayloadAction<{ pending: Pending; before: unknown; act?: string | undefined }>,
    ) {
      const { pending, before, act } = payload;
      const { visitId, entry } = pending;
      state.pending.push({ ...pending, owner: state.owner ?? undefined });
      state.done.push({ visitId, path: entry.path, before, after: entry.value, act });
      if (state.done.length > MOST_CHANGES) state.done.shift();
      state.undone = [];
    },
    undid(state, { payload }: PayloadAction<Pending>) {
      const change = state.done.pop();
      if (change) state.undone.push(change);
      state.pending.push({ ...payload, owner: state.owner ?? undefined });
    },
    redid(state, { payload }: PayloadAction<Pending>) {
      const change = state.undone.pop();
      if (change) state.done.push(change);
      state.pending.push({ ...payload, owner: state.owner ?? undefined });
    },
    sent(state, { payload }: PayloadAction<string[]>) {
      const ids = new Set(payload);
      state.pending = state.pending.filter(({ entry }) => !ids.has(entry.id));
      state.waiting = null;
    },
    /** The server would not take these; they stay until their author has dealt with them. */
    setAside(state, { payload }: PayloadAction<{ ids: string[]; reason: string }>) {
      const ids = new Set(payload.ids);
      for (const one of state.pending) {
        if (ids.has(one.entry.id)) state.aside.push({ ...one, reason: payload.reason });
      }
      state.pending = state.pending.filter(({ entry }) => !ids.has(entry.id));
    },
    /** Tried once more as it is. */
    triedAgain(state, { payload: id }: PayloadAction<string>) {
      const one = state.aside.find(({ entry }) => entry.id === id);
      if (!one) return;
      state.aside = state.aside.filter(({ entry }) => entry.id !== id);
      const { visitId, entry, owner } = one;
      state.pending.push({ visitId, entry, owner });
    },
    /** Its author does not want it any more. */
    dismissed(state, { payload: id }: PayloadAction<string>) {
      state.aside = state.aside.filter(({ entry }) => entry.id !== id);
    },
    waits(state, { payload }: PayloadAction<string>) {
      state.waiting = payload;
    },
  },
});

export const outbox = outboxSlice.actions;
