import { createHash } from 'node:crypto';

/** Whose line it is: a person, in one of their sessions. */
export interface LineOwner {
  personId: string;
  /** Name of the session, see {@link sessionName}. */
  session: string;
}

/** Streams and device lines that are open in this process, so that signing out ends them at once. */
export interface OpenLines {
  /** @returns to be called when the line has ended by itself */
  add(owner: LineOwner, end: () => void): () => void;
  /** Ends a person's lines: of one session, or of all of them but one. */
  end(which: { personId: string; session?: string; except?: string }): void;
}

/** A session as it may be named outside: nobody can sign in with it. */
export function sessionName(sessionId: string): string {
  return createHash('sha256').update(sessionId).digest('hex').slice(0, 32);
}

export function createOpenLines(): OpenLines {
  const people = new Map<string, Set<{ session: string; end: () => void }>>();
  return {
    add({ personId, session }, end) {
      const lines = people.get(personId) ?? new Set();
      const line = { session, end };
      people.set(personId, lines.add(line));
      return () => {
        lines.delete(line);
        if (lines.size === 0 && people.get(personId) === lines) people.delete(personId);
      };
    },
    end({ personId, session, except }) {
      for (const line of [...(people.get(personId) ?? [])]) {
        if (session !== undefined && line.session !== session) continue;
        if (line.session !== except) line.end();
      }
    },
  };
}
