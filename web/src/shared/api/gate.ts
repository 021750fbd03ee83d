/** What the page knows of the session. */
export interface GateState {
  /** Whether the page is covered until somebody signs in again. */
  closed: boolean;
}

/**
 * Stands between page and server. It closes when the session has ended or the page was idle; requests wait behind it and
 * go on once it is opened. What is on the page stays there meanwhile.
 */
class Gate {
  readonly #listeners = new Set<() => void>();
  #state: GateState = { closed: false };
  #waiting: (() => void)[] = [];

  get state(): GateState {
    return this.#state;
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  /** Covers the page. */
  close(): void {
    this.#change({ closed: true });
  }

  /** Lets everything that waits go on. */
  open(): void {
    const waiting = this.#waiting;
    this.#waiting = [];
    this.#change({ closed: false });
    waiting.forEach((go) => {
      go();
    });
  }

  /** Closes and waits until somebody has signed in. */
  signedIn(): Promise<void> {
    this.close();
    return new Promise((resolve) => this.#waiting.push(resolve));
  }

  #change(next: GateState): void {
    if (next.closed !== this.#state.closed) {
      this.#state = next;
      this.#listeners.forEach((listener) => {
        listener();
      });
    }
  }
}

export const gate = new Gate();
