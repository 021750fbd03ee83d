import { api, dataOf, Refused, type Schemas } from "../shared/api/client";
import { cache } from "../shared/api/cache";
import { keys } from "../shared/api/keys";
import { remember } from "../shared/offline/memory";
import { pageKey } from "../shared/offline/pageKey";
import { CommandQueue, Held, type Receipt } from "./commandQueue";
import { EntryStore, waitingExaminations } from "./entryStore";
import type { Command } from "./history";

type Examination = Schemas["ExaminationJson"];

/** What the server answers where an examination is signed. */
const SIGNED = 423;
/** … where it is a colleague's, and has to be taken over first. */
const FORBIDDEN = 403;
const TOO_OFTEN = 429;

const queues = new Map<string, CommandQueue>();
const listeners = new Set<() => void>();
const channel = typeof BroadcastChannel === "undefined" ? undefined : new BroadcastChannel("lexicor.entries");

channel?.addEventListener("message", (event: MessageEvent<string>) => {
  const queue = queues.get(event.data);
  if (queue) {
    // what another tab has sent is looked up before it leaves the list of what waits, so that it never leaves the screen
    void cache
      .refetchQueries({ queryKey: keys.examination(event.data), exact: true })
      .catch(() => undefined)
      .finally(() => {
        void queue.look();
      });
  }
});

function storage(): Storage | undefined {
  try {
    return window.sessionStorage;
  } catch {
    return undefined;
  }
}

/** The queue of the person who is here for an examination: one, whatever view is open, and whether or not one is. */
export function queueOf(examination: string): CommandQueue {
  const known = queues.get(examination);
  if (known) {
    return known;
  }
  const key = pageKey();
  const queue = new CommandQueue({
    store: key && new EntryStore(examination, key, storage()),
    send: (commands) => send(examination, commands),
    saved: (commands, receipts) => {
      const next = cache.setQueryData<Examination>(
        keys.examination(examination),
        (before) => before && { ...before, commands: merged(before.commands, commands, receipts) },
      );
      if (next) {
        void remember(`examination.${examination}`, next);
      }
    },
    kept: () => {
      channel?.postMessage(examination);
    },
  });
  queue.subscribe(() => {
    listeners.forEach((listener) => {
      listener();
    });
  });
  queues.set(examination, queue);
  return queue;
}

async function send(examination: string, commands: Command[]): Promise<Receipt[]> {
  try {
    return await dataOf(
      api.POST("/api/examinations/{id}/commands", {
        params: { path: { id: examination } },
        body: { commands, sentAt: new Date().toISOString() },
      }),
    );
  } catch (fault) {
    if (!(fault instanceof Refused) || ![FORBIDDEN, TOO_OFTEN, SIGNED].includes(fault.problem.status)) {
      throw fault;
    }
    if (fault.problem.status === SIGNED) {
      void cache.invalidateQueries({ queryKey: keys.examination(examination), exact: true });
    }
    throw new Held(fault.message, fault.problem.status === FORBIDDEN ? "take-over" : "wait");
  }
}

/** The server's commands with newly acknowledged ones at their numbers. */
export function merged(
  known: Command[],
  sent: Command[],
  receipts: ReadonlyMap<string, Pick<Receipt, "number"> & Partial<Receipt>>,
): Command[] {
  const ids = new Set(known.map((command) => command.id));
  const added = sent
    .filter((command) => !ids.has(command.id) && receipts.has(command.id))
    .map((command) => {
      const receipt = receipts.get(command.id);
      return { ...command, number: receipt?.number, at: receipt?.at ?? command.at };
    });
  return [...known, ...added].sort((a, b) => (a.number ?? 0) - (b.number ?? 0));
}

/** Sends whatever this browser still keeps of the person who has just come in, of any examination. */
export async function resumeQueues(): Promise<void> {
  const key = pageKey();
  if (key) {
    (await waitingExaminations(key.person)).forEach((examination) => {
      queueOf(examination);
    });
  }
}

/** Somebody left: nothing more is sent in the person's name. What waits stays in the browser, sealed. */
export function closeQueues(): void {
  queues.forEach((queue) => {
    queue.close();
  });
  queues.clear();
}

/** How many commands wait on this page, of all examinations. */
export function waitingCount(): number {
  return [...queues.values()].reduce((sum, queue) => sum + queue.state.pending.length, 0);
}

/** Told whenever any queue has changed. */
export function onQueues(listener: () => void): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

function flushAll(): void {
  queues.forEach((queue) => void queue.flush());
}

/** Asks before the page is left while something is on it that is kept nowhere else. */
function guard(event: BeforeUnloadEvent): void {
  if ([...queues.values()].some((queue) => queue.state.unkept > 0)) {
    event.preventDefault();
  }
}

/** Sends as soon as the connection is back. Called once, when the page begins. */
export function watchConnection(): void {
  window.addEventListener("online", flushAll);
  window.addEventListener("beforeunload", guard);
}
