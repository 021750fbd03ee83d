import { Failed, Refused, type Problem } from "../shared/api/client";
import type { Entry, EntryStore } from "./entryStore";
import type { Command } from "./history";

/** What the server has of a command: its number, and its time by the server's clock. */
export interface Receipt {
  id: string;
  number: number;
  at: string;
}

/** Sends commands in order and returns what the server has of each. */
export type Send = (commands: Command[]) => Promise<Receipt[]>;

/** The server was reached and cannot take the commands for the time being: they are kept, and sent again. */
export class Held extends Error {
  /** What the person can do about it. */
  readonly remedy: "take-over" | "wait";

  constructor(message: string, remedy: "take-over" | "wait" = "wait") {
    super(message);
    this.remedy = remedy;
  }
}

/** What the queue holds and how it is doing. */
export interface QueueState {
  /** Not yet acknowledged, oldest first. */
  pending: readonly Command[];
  /** opening: what was left is being read. saved: all is on the server. saving: on its way. waiting: not reached or not taken for now. */
  status: "opening" | "saved" | "saving" | "waiting";
  /** Commands of `pending` that are nowhere but on this page: the browser has no room for them, or lets the page keep nothing. */
  unkept: number;
  /** Why the server cannot take them for now, and what can be done; absent where it is not reached. */
  held?: { why: string; remedy: Held["remedy"] };
  /** Commands that the server does not take; nothing of them is lost. */
  aside: readonly Required<Entry>[];
}

const RETRY_FIRST_MS = 500;
const RETRY_MOST_MS = 3000;
/** A command on which the server failed so often in a row is set aside, so that it holds up no other. */
const MOST_FAILURES = 4;
/** The server says so of itself, not of the command. */
const OF_THE_SERVER = [502, 503, 504, 507];

interface QueueParts {
  store: EntryStore | undefined;
  send: Send;
  /** Told of commands that the server has acknowledged, before they leave the queue. */
  saved: (commands: Command[], receipts: ReadonlyMap<string, Receipt>) => void;
  /** Told when what is kept in the browser has changed, so that other tabs look again. */
  kept?: () => void;
}

/**
 * Keeps commands until the server has them. Each is written to the browser's storage before it is sent, so that reload,
 * lost connection and killed server lose nothing; the server counts a command sent twice once. There is one queue for each
 * person and examination on a page, whatever view is open.
 */
export class CommandQueue {
  readonly #parts: QueueParts;
  readonly #listeners = new Set<() => void>();
  readonly #places = new Map<string, number>();
  /** Commands that have not yet reached the browser's database. */
  readonly #onPage = new Set<string>();
  /** Those of them that a reload would lose, or the closing of the tab. */
  readonly #unkept = new Set<string>();
  /** Resolved once what earlier loads and other tabs left behind is taken over. */
  readonly ready: Promise<void>;
  #state: QueueState = { pending: [], status: "opening", unkept: 0, aside: [] };
  #sending: Promise<void> | undefined;
  #failures = 0;
  #delay = RETRY_FIRST_MS;
  #timer: ReturnType<typeof setTimeout> | undefined;
  #closed = false;

  constructor(parts: QueueParts) {
    this.#parts = parts;
    this.ready = this.look();
    void this.flush();
  }

  get state(): QueueState {
    return this.#state;
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  /** Keeps a command and sends it as soon as may be. */
  add(command: Command): void {
    const keeping = this.#parts.store?.add(command) ?? {
      place: this.#places.size,
      kept: false,
      stored: Promise.reject(new Error("this page may keep nothing")),
    };
    this.#places.set(command.id, keeping.place);
    this.#onPage.add(command.id);
    if (!keeping.kept) {
      this.#unkept.add(command.id);
    }
    this.#change({
      pending: [...this.#state.pending, command],
      status: this.#state.status === "waiting" ? "waiting" : "saving",
    });
    void this.#keep(command, keeping.stored);
  }

  /** Reads again what is kept in the browser: another tab has added to it, or taken from it. */
  async look(): Promise<void> {
    const opening = this.#state.status === "opening";
    const entries = (await this.#parts.store?.all()) ?? [];
    const waiting = entries.filter((entry) => !entry.aside).map((entry) => entry.command);
    const ids = new Set(entries.map((entry) => entry.command.id));
    const own = this.#state.pending.filter((command) => this.#onPage.has(command.id) && !ids.has(command.id));
    entries.forEach((entry) => this.#places.set(entry.command.id, entry.place));
    const pending = [...waiting, ...own].sort((a, b) => this.#place(a) - this.#place(b));
    const aside = entries.filter((entry): entry is Required<Entry> => entry.aside !== undefined);
    const idle = this.#state.status === "opening" || this.#state.status === "saved";
    this.#change({ pending, aside, status: pending.length === 0 ? "saved" : idle ? "saving" : this.#state.status });
    if (idle && pending.length > 0 && !opening) {
      void this.flush();
    }
  }

  /** Sends what is kept, now. */
  async flush(): Promise<void> {
    await this.ready; // what was left behind goes first
    if (this.#closed) {
      return;
    }
    this.#sending ??= this.#sendAll().finally(() => {
      this.#sending = undefined;
    });
    await this.#sending;
  }

  /** Sends a command that was set aside once more. */
  async again(id: string): Promise<void> {
    const entry = this.#state.aside.find((each) => each.command.id === id);
    if (entry) {
      await this.#parts.store?.setAside(entry.command, entry.place, undefined);
      this.#change({
        aside: this.#state.aside.filter((each) => each !== entry),
        pending: [...this.#state.pending, entry.command],
        status: "saving",
      });
      await this.flush();
    }
  }

  /** Gives up a command that was set aside, or the first one that is held. */
  async giveUp(id: string): Promise<void> {
    await this.#parts.store?.remove([id]).catch(() => undefined);
    this.#forget(id);
    this.#change({
      aside: this.#state.aside.filter((each) => each.command.id !== id),
      pending: this.#state.pending.filter((each) => each.id !== id),
    });
    this.#parts.kept?.();
    void this.flush();
  }

  /** Stops trying; what is kept stays kept. */
  close(): void {
    this.#closed = true;
    clearTimeout(this.#timer);
    this.#listeners.clear();
  }

  async #keep(command: Command, stored: Promise<void>): Promise<void> {
    try {
      await stored;
      this.#onPage.delete(command.id);
      this.#unkept.delete(command.id);
      this.#change({});
      this.#parts.kept?.();
    } catch {
      if (this.#onPage.has(command.id)) {
        this.#unkept.add(command.id); // it stays on the page and is sent all the same; the state says that it is kept nowhere
        this.#change({});
      }
    }
    await this.flush();
  }

  async #sendAll(): Promise<void> {
    clearTimeout(this.#timer);
    while (!this.#closed && this.#state.pending.length > 0) {
      const batch = this.#failures === 0 ? [...this.#state.pending] : this.#state.pending.slice(0, 1);
      try {
        await this.#settle(batch, await this.#parts.send(batch));
      } catch (fault) {
        if (!(await this.#cope(batch, fault))) {
          return;
        }
      }
    }
  }

  /** What to do about a fault. Returns whether to go on at once. */
  async #cope(batch: Command[], fault: unknown): Promise<boolean> {
    const [first, ...rest] = batch;
    if (fault instanceof Refused && first) {
      if (rest.length > 0) {
        this.#failures = Math.max(1, this.#failures); // one of them is at fault: they go one by one
        return true;
      }
      await this.#setAside(first, fault.problem);
      return true;
    }
    const ofCommand = fault instanceof Failed && !OF_THE_SERVER.includes(fault.status);
    this.#failures = ofCommand ? this.#failures + 1 : this.#failures;
    if (ofCommand && first && rest.length === 0 && this.#failures >= MOST_FAILURES) {
      await this.#setAside(first, {
        status: 500,
        title: "The server fails on it",
        detail: `The server failed on this entry ${String(this.#failures)} times: ${fault.message}`,
        errors: [],
      });
      return true;
    }
    this.#wait(fault);
    return false;
  }

  /** The server is not reached, or cannot take it for now: what is kept is tried again, less and less often. */
  #wait(fault: unknown): void {
    const held =
      fault instanceof Held
        ? { why: fault.message, remedy: fault.remedy }
        : fault instanceof Failed
          ? { why: fault.message, remedy: "wait" as const }
          : undefined;
    this.#change({ status: "waiting", held });
    this.#timer = setTimeout(() => void this.flush(), this.#delay);
    this.#delay = Math.min(RETRY_MOST_MS, this.#delay * 2);
  }

  async #settle(batch: Command[], receipts: Receipt[]): Promise<void> {
    this.#delay = RETRY_FIRST_MS;
    this.#failures = 0;
    const numbers = new Map(receipts.map((receipt) => [receipt.id, receipt]));
    this.#parts.saved(batch, numbers);
    numbers.forEach((_, id) => {
      this.#forget(id);
    });
    const pending = this.#state.pending.filter((command) => !numbers.has(command.id));
    this.#change({ pending, status: pending.length > 0 ? "saving" : "saved", held: undefined });
    await this.#parts.store?.remove([...numbers.keys()]).catch(() => undefined); // sent once more, it counts once
    this.#parts.kept?.();
  }

  async #setAside(command: Command, problem: Problem): Promise<void> {
    this.#failures = 0;
    await this.#parts.store?.setAside(command, this.#place(command), problem).catch(() => undefined);
    this.#forget(command.id);
    const pending = this.#state.pending.filter((each) => each.id !== command.id);
    this.#change({
      pending,
      aside: [...this.#state.aside, { command, place: this.#place(command), aside: problem }],
      status: pending.length > 0 ? "saving" : "saved",
      held: undefined,
    });
    this.#parts.kept?.();
  }

  #place(command: Command): number {
    return this.#places.get(command.id) ?? 0;
  }

  #forget(id: string): void {
    this.#onPage.delete(id);
    this.#unkept.delete(id);
  }

  #change(part: Omit<Partial<QueueState>, "held"> & { held?: QueueState["held"] | undefined }): void {
    const { held, ...rest } = { ...this.#state, ...part };
    this.#state = {
      ...rest,
      unkept: rest.pending.filter((command) => this.#unkept.has(command.id)).length,
      ...(held ? { held } : {}),
    };
    this.#listeners.forEach((listener) => {
      listener();
    });
  }
}
