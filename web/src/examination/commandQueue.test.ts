import { beforeEach, describe, expect, it, vi } from "vitest";
import { Refused } from "../shared/api/client";
import { CommandQueue, Held, type Send } from "./commandQueue";
import type { Command } from "./history";
import { MemoryStorage } from "../shared/testing/MemoryStorage";

const command = (order: number): Command => ({
  id: `command-${String(order)}`, clientId: "tab", order, at: `2026-01-01T00:00:0${String(order)}Z`, kind: "MOVE", standAt: "sh-arc", attempts: [], answers: [],
});

let storage: Storage;
let onServer: string[];
let reachable: boolean;
let hold: Promise<void> | undefined;

const send: Send = async (commands) => {
  await hold;
  if (!reachable) {
    throw new TypeError("no connection");
  }
  if (commands.some((each) => each.id === "command-9")) {
    throw new Refused({ status: 400, title: "no", detail: "not allowed", errors: [] });
  }
  commands.filter((each) => !onServer.includes(each.id)).forEach((each) => onServer.push(each.id));
  return commands.map((each) => ({ id: each.id, number: onServer.indexOf(each.id) + 1 }));
};

const open = (client = "tab") => new CommandQueue("exam", client, storage, send, () => undefined);

beforeEach(() => {
  storage = new MemoryStorage();
  onServer = [];
  reachable = true;
  hold = undefined;
  vi.useFakeTimers();
});

describe("the queue", () => {
  it("keeps what the server cannot take for the time being, says why, and sends it once it can", async () => {
    let closed = true;
    const queue = new CommandQueue("exam", "tab", storage, async (commands) => {
      if (closed) {
        throw new Held("Signed by R. Dale.");
      }
      return send(commands);
    }, () => undefined);
    queue.add(command(1));
    await vi.advanceTimersByTimeAsync(100);
    expect(queue.state).toMatchObject({ status: "waiting", held: "Signed by R. Dale." });
    expect(queue.state.refused).toBeUndefined();
    queue.add(command(2));
    expect(queue.state.pending).toHaveLength(2);
    closed = false;
    await vi.runAllTimersAsync();
    expect(onServer).toEqual(["command-1", "command-2"]);
    expect(queue.state).toEqual({ pending: [], status: "saved", refused: undefined });
  });

  it("sends at once and forgets what the server has", async () => {
    const queue = open();
    queue.add(command(1));
    await vi.runAllTimersAsync();
    expect(onServer).toEqual(["command-1"]);
    expect(queue.state).toMatchObject({ pending: [], status: "saved" });
    expect(storage.length).toBe(0);
  });

  it("keeps the order of commands added while one is on its way", async () => {
    let release: () => void = () => undefined;
    hold = new Promise((resolve) => { release = resolve; });
    const queue = open();
    [1, 2, 3].forEach((order) => { queue.add(command(order)); });
    release();
    await vi.runAllTimersAsync();
    expect(onServer).toEqual(["command-1", "command-2", "command-3"]);
  });

  it("keeps commands through a lost connection and sends them in order when it is back", async () => {
    reachable = false;
    const queue = open();
    queue.add(command(1));
    queue.add(command(2));
    await vi.advanceTimersByTimeAsync(2000);
    expect(queue.state.status).toBe("waiting");
    expect(queue.state.pending).toHaveLength(2);
    reachable = true;
    await vi.advanceTimersByTimeAsync(20_000);
    expect(onServer).toEqual(["command-1", "command-2"]);
    expect(queue.state.status).toBe("saved");
  });

  it("survives a reload: the next page load takes over what was left", async () => {
    reachable = false;
    const before = open("first load");
    before.add(command(1));
    before.add(command(2));
    await vi.advanceTimersByTimeAsync(100);
    before.close();
    reachable = true;
    const after = open("second load");
    expect(after.state.pending.map((each) => each.order)).toEqual([1, 2]);
    await after.flush();
    expect(onServer).toEqual(["command-1", "command-2"]);
    expect(storage.length).toBe(0);
  });

  it("makes room for itself where the browser is full: copies go, entries stay", async () => {
    reachable = false;
    storage.setItem("lexicor.memory.examination.other", "a copy");
    const set = storage.setItem.bind(storage);
    let full = true;
    storage.setItem = (key: string, value: string) => {
      if (full && storage.getItem("lexicor.memory.examination.other") !== null) {
        throw new Error("full");
      }
      full = false;
      set(key, value);
    };
    const queue = open();
    queue.add(command(1));
    await vi.advanceTimersByTimeAsync(100);
    expect(storage.getItem("lexicor.memory.examination.other")).toBeNull();
    expect(storage.length).toBe(1);
    expect(open("second load").state.pending).toHaveLength(1);
  });

  it("sets aside only the command that is refused, and says so", async () => {
    const queue = open();
    hold = Promise.resolve();
    [1, 9, 2].forEach((order) => { queue.add(command(order)); });
    await vi.runAllTimersAsync();
    expect(onServer).toEqual(["command-1", "command-2"]);
    expect(queue.state.refused?.command.order).toBe(9);
    expect(queue.state.status).toBe("saved");
  });
});
