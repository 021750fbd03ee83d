import fc from "fast-check";
import { beforeEach, describe, expect, it, vi } from "vitest";
import { Failed, Refused } from "../shared/api/client";
import { database } from "../shared/offline/database";
import type { PageKey } from "../shared/offline/pageKey";
import { freshBrowser, signIn } from "../shared/testing/browser";
import { MemoryStorage } from "../shared/testing/MemoryStorage";
import { CommandQueue, Held, type Receipt } from "./commandQueue";
import { EntryStore, waitingExaminations } from "./entryStore";
import type { Command } from "./history";

const AT = "2026-01-01T00:00:00Z";

const command = (order: number, client = "tab"): Command => ({
  id: `${client}-${String(order)}`,
  clientId: client,
  order,
  at: new Date(Date.parse(AT) + order * 1000).toISOString(),
  kind: "MOVE",
  standAt: "sh-arc",
  attempts: [],
  answers: [],
});

/** A server that keeps what it takes, in order, once. */
class Server {
  readonly taken: string[] = [];
  reachable = true;
  /** What it answers in place of taking a command. */
  fault: (command: Command) => Error | undefined = () => undefined;

  readonly take = (commands: Command[]): Promise<Receipt[]> => {
    if (!this.reachable) {
      return Promise.reject(new TypeError("no connection"));
    }
    const fault = commands.map(this.fault).find((each) => each !== undefined);
    if (fault) {
      return Promise.reject(fault);
    }
    commands.filter((each) => !this.taken.includes(each.id)).forEach((each) => this.taken.push(each.id));
    return Promise.resolve(
      commands.map((each) => ({ id: each.id, number: this.taken.indexOf(each.id) + 1, at: each.at })),
    );
  };
}

const refusal = (detail = "not allowed") => new Refused({ status: 400, title: "no", detail, errors: [] });

let server: Server;
let key: PageKey;
let tab: MemoryStorage;

const open = (journal: Storage | undefined = tab) =>
  new CommandQueue({ store: new EntryStore("exam", key, journal), send: server.take, saved: () => undefined });
const rows = async () => (await database()).getAll("entries");
const ids = (commands: readonly Command[]) => commands.map((each) => each.id);

beforeEach(async () => {
  tab = await freshBrowser();
  key = signIn();
  server = new Server();
});

describe("the queue", () => {
  it("sends at once and forgets what the server has", async () => {
    const queue = open();
    queue.add(command(1));
    await expect.poll(() => queue.state.status).toBe("saved");
    expect(server.taken).toEqual(["tab-1"]);
    await expect.poll(rows).toEqual([]);
    expect(tab.length).toBe(1); // the key alone
  });

  it("keeps the order of commands added while one is on its way", async () => {
    const queue = open();
    [1, 2, 3].forEach((order) => {
      queue.add(command(order));
    });
    await expect.poll(() => server.taken).toEqual(["tab-1", "tab-2", "tab-3"]);
  });

  it("keeps commands through a lost connection and sends them in order when it is back", async () => {
    server.reachable = false;
    const queue = open();
    queue.add(command(1));
    queue.add(command(2));
    await expect.poll(() => queue.state.status).toBe("waiting");
    expect(ids(queue.state.pending)).toEqual(["tab-1", "tab-2"]);
    server.reachable = true;
    await queue.flush();
    expect(server.taken).toEqual(["tab-1", "tab-2"]);
    expect(queue.state.status).toBe("saved");
  });

  it("survives a reload in the very moment of the tap", async () => {
    server.reachable = false;
    const before = open();
    await before.ready;
    before.add(command(1));
    before.close(); // nothing was waited for
    const after = open();
    await after.ready;
    expect(ids(after.state.pending)).toEqual(["tab-1"]);
    await expect.poll(() => after.state.status).toBe("waiting");
    server.reachable = true;
    await after.flush();
    expect(server.taken).toEqual(["tab-1"]);
  });

  it("is one list for two tabs: neither overwrites what the other keeps, and both see it", async () => {
    server.reachable = false;
    const one = open();
    const other = open(new MemoryStorage());
    await Promise.all([one.ready, other.ready]);
    one.add(command(1, "one"));
    other.add(command(2, "other"));
    one.add(command(3, "one"));
    await expect.poll(async () => (await rows()).length).toBe(3);
    await one.look();
    expect(ids(one.state.pending)).toEqual(["one-1", "other-2", "one-3"]);
    server.reachable = true;
    await other.look();
    await Promise.all([one.flush(), other.flush()]);
    expect([...server.taken].sort()).toEqual(["one-1", "one-3", "other-2"]);
    await expect.poll(rows).toEqual([]);
  });

  it("keeps nothing of a patient that can be read from the browser", async () => {
    server.reachable = false;
    open().add({
      ...command(1),
      kind: "TELL",
      answers: [{ question: "advice", values: [], words: "Rest the left shoulder" }],
    });
    await expect.poll(async () => (await rows()).length).toBe(1);
    expect(
      JSON.stringify(await rows()) +
        JSON.stringify([...Array(tab.length).keys()].map((index) => tab.getItem(tab.key(index) ?? ""))),
    ).not.toMatch(/Rest|advice|TELL/);
    expect(await waitingExaminations("dale")).toEqual(["exam"]);
    expect(await waitingExaminations("brook")).toEqual([]);
    key = signIn("brook", 2);
    const stranger = open(undefined);
    await stranger.ready;
    expect(stranger.state.pending).toEqual([]);
  });

  it("keeps what the server cannot take for the time being, says why, and sends it once it can", async () => {
    server.fault = () => new Held("Signed by R. Dale.");
    const queue = open();
    queue.add(command(1));
    await expect.poll(() => queue.state.held?.why).toBe("Signed by R. Dale.");
    expect(queue.state.aside).toEqual([]);
    server.fault = () => undefined;
    await queue.flush();
    expect(server.taken).toEqual(["tab-1"]);
    expect(queue.state.held).toBeUndefined();
  });

  it("sets aside only the command that is refused, keeps it over a reload, and sends it again when asked", async () => {
    server.fault = (each) => (each.order === 2 ? refusal() : undefined);
    const queue = open();
    [1, 2, 3].forEach((order) => {
      queue.add(command(order));
    });
    await expect.poll(() => server.taken).toEqual(["tab-1", "tab-3"]);
    expect(queue.state.aside.map((each) => [each.command.id, each.aside.detail])).toEqual([["tab-2", "not allowed"]]);
    queue.close();
    const after = open();
    await after.ready;
    expect(after.state.status).toBe("saved");
    expect(after.state.aside.map((each) => each.command.id)).toEqual(["tab-2"]);
    server.fault = () => undefined;
    await after.again("tab-2");
    expect(server.taken).toEqual(["tab-1", "tab-3", "tab-2"]);
    expect(after.state.aside).toEqual([]);
  });

  it("is not held up for ever by a command on which the server fails", async () => {
    server.fault = (each) => (each.order === 1 ? new Failed(500, "Something went wrong on the server.") : undefined);
    const queue = open();
    queue.add(command(1));
    queue.add(command(2));
    for (let i = 0; i < 5; i++) {
      await queue.flush();
    }
    expect(server.taken).toEqual(["tab-2"]);
    expect(queue.state.aside.map((each) => each.command.id)).toEqual(["tab-1"]);
    expect(queue.state.aside[0]?.aside.detail).toContain("failed on this entry 4 times");
  });

  it("waits where the server has no room, and says so in its words", async () => {
    server.fault = () => new Failed(507, "The disk of the server is full.");
    const queue = open();
    queue.add(command(1));
    await expect.poll(() => queue.state.held?.why).toBe("The disk of the server is full.");
    for (let i = 0; i < 6; i++) {
      await queue.flush();
    }
    expect(queue.state.aside).toEqual([]);
    server.fault = () => undefined;
    await queue.flush();
    expect(server.taken).toEqual(["tab-1"]);
  });

  it("makes room for itself where the browser is full: copies go, entries stay", async () => {
    const kept = await database();
    await kept.put("copies", { name: "a", at: 1, sealed: "x" });
    const put = kept.put.bind(kept);
    vi.spyOn(kept, "put").mockImplementation(async (...call) => {
      if ((await kept.count("copies")) > 0) {
        throw new DOMException("full", "QuotaExceededError");
      }
      return put(...call);
    });
    server.reachable = false;
    const queue = open(undefined);
    queue.add(command(1));
    await expect.poll(async () => (await rows()).length).toBe(1);
    expect(await kept.count("copies")).toBe(0);
    expect(queue.state.unkept).toBe(0);
  });

  it("says so where the browser keeps nothing, and still sends", async () => {
    vi.spyOn(await database(), "put").mockRejectedValue(new DOMException("denied", "QuotaExceededError"));
    server.reachable = false;
    const queue = open(undefined);
    queue.add(command(1));
    await expect.poll(() => queue.state.status).toBe("waiting");
    expect(queue.state.unkept).toBe(1);
    server.reachable = true;
    await queue.flush();
    expect(server.taken).toEqual(["tab-1"]);
    expect(queue.state.unkept).toBe(0);
  });
});

type Step = { kind: "tap" | "reload" | "leave" | "return" | "lose" | "regain" | "look" | "fail" | "mend"; tab: number };

const step: fc.Arbitrary<Step> = fc.record({
  kind: fc.constantFrom("tap", "tap", "tap", "reload", "leave", "return", "lose", "regain", "look", "fail", "mend"),
  tab: fc.integer({ min: 0, max: 1 }),
});

/** Two tabs of one browser, in each of which somebody taps, leaves, comes back and reloads, with and without a connection. */
async function live(steps: readonly Step[]): Promise<{ tapped: string[]; kept: string[] }> {
  await freshBrowser();
  key = signIn();
  server = new Server();
  const journals = [new MemoryStorage(), new MemoryStorage()];
  const queues: (CommandQueue | undefined)[] = [undefined, undefined];
  const tapped: string[] = [];
  let count = 0;
  for (const { kind, tab: at } of steps) {
    switch (kind) {
      case "tap": {
        queues[at] ??= open(journals[at]);
        count += 1;
        const made = command(count, `tab${String(at)}`);
        tapped.push(made.id);
        queues[at].add(made);
        break;
      }
      case "reload":
        queues[at]?.close();
        queues[at] = open(journals[at]);
        break;
      case "leave": // the view is gone, the queue goes on
        break;
      case "return":
        queues[at] ??= open(journals[at]);
        await queues[at].ready;
        break;
      case "lose":
        server.reachable = false;
        break;
      case "regain":
        server.reachable = true;
        void queues[at]?.flush();
        break;
      case "look":
        await queues[at]?.look();
        break;
      case "fail":
        server.fault = () => new Failed(503, "busy");
        break;
      case "mend":
        server.fault = () => undefined;
        break;
    }
  }
  server.reachable = true;
  server.fault = () => undefined;
  const last = journals.map((journal, index) => {
    queues[index]?.close();
    return open(journal);
  });
  for (const queue of last) {
    await queue.ready;
    await queue.look();
    await queue.flush();
  }
  const kept = (await rows()).map((row) => row.id);
  last.forEach((queue) => {
    queue.close();
  });
  return { tapped, kept };
}

describe("whatever is done, at whatever moment", () => {
  it("every entry is on the server once, and nothing is left behind", async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(step, { maxLength: 40 }), async (steps) => {
        const { tapped, kept } = await live(steps);
        expect([...server.taken].sort()).toEqual([...tapped].sort());
        expect(new Set(server.taken).size).toBe(server.taken.length);
        expect(kept).toEqual([]);
        for (const client of ["tab0", "tab1"]) {
          const orders = server.taken.filter((id) => id.startsWith(client)).map((id) => Number(id.split("-")[1]));
          expect(orders).toEqual([...orders].sort((a, b) => a - b));
        }
      }),
      { numRuns: 200, seed: 20261129 },
    );
  }, 60_000);
});
