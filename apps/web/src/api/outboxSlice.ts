import type { Entry } from '@keen/contract';
import { createSlice } from '@reduxjs/toolkit';
import type { PayloadAction } from '@reduxjs/toolkit';

/** An entry on its way to the server. */
export interface Pending {
  visitId: string;
  entry: Entry;
}

/** A change of one's own that can be taken back. */
export interface Change {
  visitId: string;
  path: string;
  before: unknown;
  after: unknown;
}

export interface OutboxState {
  /** In the order entered; gone once the server has them. */
  pending: Pending[];
  /** Own changes of this session, latest last, and those taken back. */
  done: Change[];
  undone: Change[];
  /** What the server would not keep, for the person to see. */
  refused: string | null;
  /** Why sending waits, when it does. */
  waiting: string | null;
}

const MOST_CHANGES = 200;

export const initialOutbox: OutboxState = {
  pending: [],
  done: [],
  undone: [],
  refused: null,
  waiting: null,
};

/** Everything typed goes through here first, so that no lost connection loses it. */
export const outboxSlice = createSlice({
  name: 'outbox',
  initialState: initialOutbox,
  reducers: {
    entered(state, { payload }: PayloadAction<{ pending: Pending; before: unknown }>) {
      const { visitId, entry } = payload.pending;
      state.pending.push(payload.pending);
      state.done.push({ visitId, path: entry.path, before: payload.before, after: entry.value });
      if (state.done.length > MOST_CHANGES) state.done.shift();
      state.undone = [];
    },
    undid(state, { payload }: PayloadAction<Pending>) {
      const change = state.done.pop();
      if (change) state.undone.push(change);
      state.pending.push(payload);
    },
    redid(state, { payload }: PayloadAction<Pending>) {
      const change = state.undone.pop();
      if (change) state.done.push(change);
      state.pending.push(payload);
    },
    sent(state, { payload }: PayloadAction<string[]>) {
      const ids = new Set(payload);
      state.pending = state.pending.filter(({ entry }) => !ids.has(entry.id));
      state.waiting = null;
    },
    refused(state, { payload }: PayloadAction<{ ids: string[]; text: string }>) {
      const ids = new Set(payload.ids);
      state.pending = state.pending.filter(({ entry }) => !ids.has(entry.id));
      state.refused = payload.text;
    },
    waits(state, { payload }: PayloadAction<string>) {
      state.waiting = payload;
    },
    refusalSeen(state) {
      state.refused = null;
    },
  },
});

export const outbox = outboxSlice.actions;
