import { beforeEach, describe, expect, it } from "vitest";
import { Refused } from "../api/client";
import { forgetAll, remembering, touch, touchedWithin } from "./memory";
import { MemoryStorage } from "../testing/MemoryStorage";

let storage: MemoryStorage;
beforeEach(() => { storage = new MemoryStorage(2000); });

const away = () => Promise.reject(new TypeError("no connection"));
const refused = () => Promise.reject(new Refused({ status: 404, title: "", detail: "not here", errors: [] }));

describe("what the page keeps", () => {
  it("serves the last answer while the server is away", async () => {
    await remembering("a", () => Promise.resolve({ one: 1 }), storage);
    await expect(remembering("a", away, storage)).resolves.toEqual({ one: 1 });
  });

  it("makes nothing up: without a copy the fault is passed on", async () => {
    await expect(remembering("a", away, storage)).rejects.toThrow("no connection");
  });

  it("takes a refusal for an answer and drops the copy", async () => {
    await remembering("a", () => Promise.resolve(1), storage);
    await expect(remembering("a", refused, storage)).rejects.toThrow("not here");
    await expect(remembering("a", away, storage)).rejects.toThrow("no connection");
  });

  it("still answers where the browser has no room", async () => {
    await expect(remembering("a", () => Promise.resolve("x".repeat(3000)), storage)).resolves.toHaveLength(3000);
  });

  it("keeps the latest copies and lets the oldest go", async () => {
    for (let index = 0; index < 14; index++) {
      await remembering(`examination.${String(index)}`, () => Promise.resolve(index), storage);
    }
    await expect(remembering("examination.13", away, storage)).resolves.toBe(13);
    await expect(remembering("examination.0", away, storage)).rejects.toThrow();
  });

  it("is forgotten at once, and what waits to be sent is not", async () => {
    storage.setItem("lexicor.queue.x", "[]");
    await remembering("a", () => Promise.resolve(1), storage);
    forgetAll(storage);
    await expect(remembering("a", away, storage)).rejects.toThrow();
    expect(storage.getItem("lexicor.queue.x")).toBe("[]");
  });

  it("knows whether somebody was there lately", () => {
    expect(touchedWithin(10, 1_000_000_000, storage)).toBe(false);
    touch(1_000_000_000, storage);
    expect(touchedWithin(10, 1_000_000_000 + 599_000, storage)).toBe(true);
    expect(touchedWithin(10, 1_000_000_000 + 601_000, storage)).toBe(false);
  });
});
