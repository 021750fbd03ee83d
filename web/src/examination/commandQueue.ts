import { Refused, type Problem } from "../shared/api/client";
import { forgetAll } from "../shared/offline/memory";
import type { Command } from "./history";

/** Sends commands in order and returns the number of each. */
export type Send = (commands: Command[]) => Promise<{ id: string; number: number }[]>;

/** The server was reached and cannot take the commands for the time being: they are kept, and sent again. */
export class Held extends Error {}

/** What the queue holds and how it is doing. */
export interface QueueState {
  /** Not yet acknowledged, oldest first. */
  pending: readonly Command[];
  /** saved: all is on the server. saving: on its way. waiting: the server is not reached or cannot take them, commands are kept here. */
  status: "saved" | "saving" | "waiting";
  /** Why the server cannot take them; absent where it is not reached. */
  held?: string;
  /** The last refusal, with the command it concerns; nothing of it was lost, it is shown to the therapist. */
  refused: { command: Command; problem: Problem } | undefined;
}

const RETRY_FIRST_MS = 500;
const RETRY_MOST_MS = 3000;

/**
 * Keeps commands until the server has them. Each is written to the browser's storage before it is sent, so that reload,
 * lost connection and killed server lose nothing; the server counts a command sent twice once.
 */
export class CommandQueue {
  readonly #prefix: string;
  readonly #key: string;
  readonly #storage: Storage;
  readonly #send: Send;
  readonly #saved: (commands: Command[], numbers: Map<string, number>) => void;
  readonly #listeners = new Set<() => void>();
  #state: QueueState;
  #sending = false;
  #delay = RETRY_FIRST_MS;
  #timer: ReturnType<typeof setTimeout> | undefined;

  /**
   * @param examination whose commands these are, and the person who gives them
   * @param client      this page load; what earlier loads left behind is taken over
   * @param saved       told of commands that the server has acknowledged
   */
  constructor(examination: string, client: string, storage: Storage, send: Send, saved: (commands: Command[], numbers: Map<string, number>) => void) {
    this.#prefix = `lexicor.queue.${examination}.`;
    this.#key = this.#prefix + client;
    this.#storage = storage;
    this.#send = send;
    this.#saved = saved;
    const left = this.#takeOver();
    this.#state = { pending: left, status: left.length > 0 ? "saving" : "saved", refused: undefined };
    this.#persist();
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
    this.#change({ pending: [...this.#state.pending, command], status: this.#state.status === "waiting" ? "waiting" : "saving", refused: undefined, ...(this.#state.held ? { held: this.#state.held } : {}) });
    void this.flush();
  }

  /** Sends what is kept, now. */
  async flush(): Promise<void> {
    if (this.#sending || this.#state.pending.length === 0) {
      return;
    }
    this.#sending = true;
    clearTimeout(this.#timer);
    const batch = [...this.#state.pending];
    try {
      const receipts = await this.#send(batch);
      this.#delay = RETRY_FIRST_MS;
      this.#settle(batch, receipts);
    } catch (fault) {
      if (fault instanceof Refused) {
        await this.#refuse(batch, fault.problem);
      } else {
        this.#wait(fault);
      }
    } finally {
      this.#sending = false;
    }
    if (this.#state.status === "saving" && this.#state.pending.length > 0) {
      await this.flush();
    }
  }

  /** Stops trying; what is kept stays kept. */
  close(): void {
    clearTimeout(this.#timer);
    this.#listeners.clear();
  }

  /** The server is not reached: what is kept is tried again, less and less often. */
  #wait(fault: unknown): void {
    const { pending, refused } = this.#state;
    this.#change({ pending, refused, status: "waiting", ...(fault instanceof Held ? { held: fault.message } : {}) });
    this.#timer = setTimeout(() => void this.flush(), this.#delay);
    this.#delay = Math.min(RETRY_MOST_MS, this.#delay * 2);
  }

  #settle(batch: Command[], receipts: { id: string; number: number }[]): void {
    const numbers = new Map(receipts.map((receipt) => [receipt.id, receipt.number]));
    this.#saved(batch, numbers);
    const pending = this.#state.pending.filter((command) => !numbers.has(command.id));
    this.#change({ pending, refused: this.#state.refused, status: pending.length > 0 ? "saving" : "saved" });
  }

  /** A batch was refused as a whole: its commands are tried one by one, and only the one at fault is set aside. */
  async #refuse(batch: Command[], problem: Problem): Promise<void> {
    const [first, ...rest] = batch;
    if (first && rest.length > 0) {
      try {
        const receipts = await this.#send([first]);
        this.#settle([first], receipts);
        return;
      } catch (fault) {
        if (!(fault instanceof Refused)) {
          this.#wait(fault);
          return;
        }
        problem = fault.problem;
      }
    }
    if (first) {
      const pending = this.#state.pending.filter((command) => command.id !== first.id);
      this.#change({ pending, status: pending.length > 0 ? "saving" : "saved", refused: { command: first, problem } });
    }
  }

  #change(state: QueueState): void {
    this.#state = state;
    this.#persist();
    this.#listeners.forEach((listener) => { listener(); });
  }

  #persist(): void {
    if (this.#state.pending.length > 0) {
      const text = JSON.stringify(this.#state.pending);
      try {
        this.#storage.setItem(this.#key, text);
      } catch {
        forgetAll(this.#storage); // the browser is full: copies make room for what is on record nowhere else
        this.#storage.setItem(this.#key, text);
      }
    } else {
      this.#storage.removeItem(this.#key);
    }
  }

  /** What other page loads of this browser left behind, oldest first. */
  #takeOver(): Command[] {
    const left: Command[] = [];
    const found = Array.from({ length: this.#storage.length }, (_, index) => this.#storage.key(index)).filter((key) => key?.startsWith(this.#prefix));
    for (const key of found) {
      if (key) {
        left.push(...(JSON.parse(this.#storage.getItem(key) ?? "[]") as Command[]));
        this.#storage.removeItem(key);
      }
    }
    return left.sort((a, b) => a.at.localeCompare(b.at) || a.order - b.order);
  }
}
