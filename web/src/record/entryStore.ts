import { database, type EntryRow } from "../shared/offline/database";
import { forgetAll } from "../shared/offline/memory";
import type { PageKey } from "../shared/offline/pageKey";
import type { Problem } from "../shared/api/client";
import type { Command } from "./history";

/** A command that is not on the server, and why it was set aside where it was. */
export interface Entry {
  command: Command;
  /** Orders entries: by time, and those of one page by the order in which they were made, whatever its clock does. */
  place: number;
  aside?: Problem;
}

/** What became of keeping a command. */
export interface Keeping {
  place: number;
  /** Whether it is in the tab's storage already, so that a reload cannot lose it. */
  kept: boolean;
  /** When it is in the browser's database. Rejects where the browser has no room, or lets the page keep nothing. */
  stored: Promise<void>;
}

const JOURNAL = "lexicor.entry.";

/**
 * Keeps the commands of one person and examination in this browser until the server has them: one row per command, added and
 * taken away singly, so that no tab can overwrite what another has kept. A row is first written to the tab's own storage, which
 * is done before the tap is over, and from there to the browser's database, which outlives the tab.
 */
export class EntryStore {
  readonly #scope: string;
  readonly #key: PageKey;
  readonly #journal: Storage | undefined;
  #last = 0;

  constructor(examination: string, key: PageKey, journal: Storage | undefined) {
    this.#scope = `${key.person}.${examination}`;
    this.#key = key;
    this.#journal = journal;
  }

  /** Everything that is kept, oldest first; also what a reload left on its way to the database. */
  async all(): Promise<Entry[]> {
    const left = this.#left();
    const rows = new Map(left.map((row) => [row.id, row]));
    try {
      const kept = await database();
      for (const row of await kept.getAllFromIndex("entries", "scope", this.#scope)) {
        rows.set(row.id, row);
      }
      await Promise.all(left.map((row) => this.#settle(row).catch(() => undefined)));
    } catch {
      // a browser without a database has the tab's storage alone
    }
    return [...rows.values()].sort((a, b) => a.place - b.place).flatMap((row) => this.#read(row) ?? []);
  }

  /** Keeps a command. */
  add(command: Command): Keeping {
    this.#last = Math.max(Date.parse(command.at) * 1000, this.#last + 1);
    const row: EntryRow = {
      id: command.id,
      scope: this.#scope,
      place: this.#last,
      sealed: this.#key.seal(JSON.stringify(command)),
    };
    return { place: row.place, kept: this.#note(row), stored: this.#settle(row) };
  }

  #note(row: EntryRow): boolean {
    try {
      this.#journal?.setItem(JOURNAL + row.id, JSON.stringify(row));
      return this.#journal !== undefined;
    } catch {
      return false; // the tab's storage is full or closed: the database has to do
    }
  }

  /** Takes commands away: the server has them. */
  async remove(ids: readonly string[]): Promise<void> {
    ids.forEach((id) => {
      this.#journal?.removeItem(JOURNAL + id);
    });
    const kept = await database();
    const change = kept.transaction("entries", "readwrite");
    await Promise.all([...ids.map((id) => change.store.delete(id)), change.done]);
  }

  /** The server does not take this command: it stays, with the reason, and waits no longer. Without a reason it waits again. */
  async setAside(command: Command, place: number, problem: Problem | undefined): Promise<void> {
    const row: EntryRow = {
      id: command.id,
      scope: this.#scope,
      place,
      sealed: this.#key.seal(JSON.stringify(command)),
      ...(problem ? { aside: this.#key.seal(JSON.stringify(problem)) } : {}),
    };
    await (await database()).put("entries", row);
  }

  async #settle(row: EntryRow): Promise<void> {
    const kept = await database();
    try {
      await kept.put("entries", row);
    } catch {
      await forgetAll(); // no room: copies make way for what is on record nowhere else
      await kept.put("entries", row);
    }
    this.#journal?.removeItem(JOURNAL + row.id);
  }

  /** Rows of this scope that an earlier load of this tab did not get as far as the database. */
  #left(): EntryRow[] {
    const journal = this.#journal;
    if (!journal) {
      return [];
    }
    const names = Array.from({ length: journal.length }, (_, index) => journal.key(index)).filter((name) =>
      name?.startsWith(JOURNAL),
    );
    return names.flatMap((name) => {
      const row = JSON.parse(journal.getItem(name ?? "") ?? "null") as EntryRow | null;
      return row?.scope === this.#scope ? [row] : [];
    });
  }

  #read(row: EntryRow): Entry | undefined {
    const text = this.#key.unseal(row.sealed);
    const why = row.aside === undefined ? undefined : this.#key.unseal(row.aside);
    return text === undefined
      ? undefined
      : {
          command: JSON.parse(text) as Command,
          place: row.place,
          ...(why === undefined ? {} : { aside: JSON.parse(why) as Problem }),
        };
  }
}

/** Examinations of which this browser keeps commands of a person that the server does not have. */
export async function waitingExaminations(person: string): Promise<string[]> {
  try {
    const rows = await (await database()).getAll("entries");
    const scopes = rows
      .filter((row) => row.scope.startsWith(`${person}.`))
      .map((row) => row.scope.slice(person.length + 1));
    return [...new Set(scopes)];
  } catch {
    return [];
  }
}
