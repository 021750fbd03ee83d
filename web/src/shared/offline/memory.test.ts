import { beforeEach, describe, expect, it } from "vitest";
import { Refused } from "../api/client";
import { freshBrowser, signIn } from "../testing/browser";
import { MemoryStorage } from "../testing/MemoryStorage";
import { database } from "./database";
import { forgetAll, remember, remembering, touch, touchedWithin } from "./memory";
import { closePageKey } from "./pageKey";

beforeEach(async () => {
  await freshBrowser();
  signIn();
});

const away = () => Promise.reject(new TypeError("no connection"));
const refused = () => Promise.reject(new Refused({ status: 404, title: "", detail: "not here", errors: [] }));

async function kept(name: string, value: unknown): Promise<void> {
  await remembering(name, () => Promise.resolve(value));
  await remember(name, value); // the copy is made beside the answer: this one is waited for
}

describe("what the page keeps", () => {
  it("serves the last answer while the server is away", async () => {
    await kept("a", { one: 1 });
    await expect(remembering("a", away)).resolves.toEqual({ one: 1 });
  });

  it("makes nothing up: without a copy the fault is passed on", async () => {
    await expect(remembering("a", away)).rejects.toThrow("no connection");
  });

  it("takes a refusal for an answer and drops the copy", async () => {
    await kept("a", 1);
    await expect(remembering("a", refused)).rejects.toThrow("not here");
    await expect.poll(() => remembering("a", away).catch(() => "gone")).toBe("gone");
  });

  it("still answers where the browser lets the page keep nothing", async () => {
    Object.defineProperty(globalThis, "indexedDB", {
      configurable: true,
      get: () => {
        throw new DOMException("denied", "SecurityError");
      },
    });
    await expect(remembering("a", () => Promise.resolve(1))).resolves.toBe(1);
  });

  it("keeps the latest copies and lets the oldest go", async () => {
    for (let index = 0; index < 14; index++) {
      await kept(`examination.${String(index)}`, index);
      await new Promise((resolve) => {
        setTimeout(resolve, 2);
      }); // copies are told apart by milliseconds
    }
    await expect(remembering("examination.13", away)).resolves.toBe(13);
    await expect(remembering("examination.0", away)).rejects.toThrow();
  });

  it("is forgotten at once", async () => {
    await kept("a", 1);
    await forgetAll();
    await expect(remembering("a", away)).rejects.toThrow();
  });

  it("cannot be read from the browser, nor by anybody else", async () => {
    await kept("examination.1", { occupation: "Sail mender" });
    const rows = await (await database()).getAll("copies");
    expect(rows).toHaveLength(1);
    expect(JSON.stringify(rows)).not.toContain("Sail");
    closePageKey();
    await expect(remembering("examination.1", away)).rejects.toThrow("no connection");
    signIn("brook", 2);
    await expect(remembering("examination.1", away)).rejects.toThrow("no connection");
    signIn("dale", 1);
    await expect(remembering("examination.1", away)).resolves.toEqual({ occupation: "Sail mender" });
  });

  it("knows whether somebody was there lately", () => {
    const storage = new MemoryStorage();
    expect(touchedWithin(10, 1_000_000_000, storage)).toBe(false);
    touch(1_000_000_000, storage);
    expect(touchedWithin(10, 1_000_000_000 + 599_000, storage)).toBe(true);
    expect(touchedWithin(10, 1_000_000_000 + 601_000, storage)).toBe(false);
  });
});
