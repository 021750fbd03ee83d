import "fake-indexeddb/auto";
import { IDBFactory } from "fake-indexeddb";
import { vi } from "vitest";
import { closeDatabase } from "../offline/database";
import { closePageKey, openPageKey, type PageKey } from "../offline/pageKey";
import { MemoryStorage } from "./MemoryStorage";

/** A browser with empty storages and nobody signed in. Returns the storage of its one tab. */
export async function freshBrowser(): Promise<MemoryStorage> {
  await closeDatabase();
  vi.stubGlobal("indexedDB", new IDBFactory());
  const tab = new MemoryStorage();
  vi.stubGlobal("window", { localStorage: new MemoryStorage(), sessionStorage: tab });
  closePageKey();
  return tab;
}

/** Somebody signs in. */
export function signIn(person = "dale", seed = 1): PageKey {
  return openPageKey(person, btoa(String.fromCharCode(...new Uint8Array(32).fill(seed))));
}
