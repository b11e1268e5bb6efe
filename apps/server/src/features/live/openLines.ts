import type { SessionOwner } from '../../db/notifyLive.ts';

/** Whose line it is: a person, in one of their sessions. */
export interface LineOwner {
  accountId: string;
  personId: string;
  /** Name of the session, see `sessionName`. */
  session: string;
}

/** Whose lines end: of a person, or of an account in all its shops; of one session, or of all but one. */
export type EndedLines = SessionOwner & { session?: string; except?: string };

/** Streams and device lines that are open in this process, so that signing out ends them at once. */
export interface OpenLines {
  /** @returns to be called when the line has ended by itself */
  add(owner: LineOwner, end: () => void): () => void;
  end(which: EndedLines): void;
  /** How many are open. */
  count(): number;
}

export function createOpenLines(): OpenLines {
  const lines = new Set<LineOwner & { end: () => void }>();
  return {
    add(owner, end) {
      const line = { ...owner, end };
      lines.add(line);
      return () => void lines.delete(line);
    },
    count: () => lines.size,
    end({ session, except, ...whose }) {
      const isTheirs = (line: LineOwner) =>
        'personId' in whose ? line.personId === whose.personId : line.accountId === whose.accountId;
      for (const line of [...lines].filter(isTheirs)) {
        if (session !== undefined && line.session !== session) continue;
        if (line.session !== except) line.end();
      }
    },
  };
}
