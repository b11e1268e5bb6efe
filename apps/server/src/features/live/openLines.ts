/** Whose line it is: a person, in one of their sessions. */
export interface LineOwner {
  personId: string;
  /** Name of the session, see `sessionName`. */
  session: string;
}

/** Streams and device lines that are open in this process, so that signing out ends them at once. */
export interface OpenLines {
  /** @returns to be called when the line has ended by itself */
  add(owner: LineOwner, end: () => void): () => void;
  /** Ends a person's lines: of one session, or of all of them but one. */
  end(which: { personId: string; session?: string; except?: string }): void;
  /** How many are open. */
  count(): number;
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
    count: () => [...people.values()].reduce((sum, { size }) => sum + size, 0),
    end({ personId, session, except }) {
      for (const line of [...(people.get(personId) ?? [])]) {
        if (session !== undefined && line.session !== session) continue;
        if (line.session !== except) line.end();
      }
    },
  };
}
