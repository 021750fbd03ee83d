import { Refused } from "../api/client";
import { database } from "./database";
import { pageKey } from "./pageKey";

const TOUCH = "lexicor.touch";
const IDLE = "lexicor.idle-minutes";

/** So many copies are kept, the latest ones: three or four examinations beside what all of them share. */
const COPIES = 12;

/** Largest number of characters kept under one name. */
const MOST = 1_500_000;

/**
 * Fetches, and keeps a sealed copy in this browser; without a connection the copy serves. A refusal is an answer: it is passed
 * on, and the copy goes.
 */
export async function remembering<T>(name: string, fetching: () => Promise<T>): Promise<T> {
  try {
    const fresh = await fetching();
    void remember(name, fresh);
    return fresh;
  } catch (fault) {
    if (fault instanceof Refused) {
      void forget(name);
      throw fault;
    }
    const kept = await recall<T>(name);
    if (kept === undefined) {
      throw fault;
    }
    return kept;
  }
}

/** Keeps a sealed copy. Where there is no room, no key or no storage it is left out: it is a convenience, never the record. */
export async function remember(name: string, value: unknown): Promise<void> {
  const key = pageKey();
  const text = JSON.stringify(value);
  if (!key || text.length > MOST) {
    return;
  }
  try {
    const kept = await database();
    if (pageKey() !== key) {
      return; // somebody left meanwhile
    }
    await kept.put("copies", { name, at: Date.now(), sealed: key.seal(text) });
    const names = await kept.getAllKeysFromIndex("copies", "at");
    await Promise.all(names.slice(0, -COPIES).map((old) => kept.delete("copies", old)));
  } catch {
    await forget(name);
  }
}

/** The copy kept under a name; undefined where there is none that can be read. */
export async function recall<T>(name: string): Promise<T | undefined> {
  try {
    const row = await (await database()).get("copies", name);
    const text = row && pageKey()?.unseal(row.sealed);
    return text === undefined ? undefined : (JSON.parse(text) as T);
  } catch {
    return undefined;
  }
}

async function forget(name: string): Promise<void> {
  await database()
    .then((kept) => kept.delete("copies", name))
    .catch(() => undefined);
}

/** Forgets every copy: somebody signed out, the page was locked, or room is needed. What waits to be sent stays, sealed. */
export async function forgetAll(): Promise<void> {
  await database()
    .then((kept) => kept.clear("copies"))
    .catch(() => undefined);
}

const PICKED = "lexicor.picked.";

/** What was chosen in this tab before anything of it is recorded. */
export function picked(name: string): Record<string, string> {
  try {
    return JSON.parse(window.sessionStorage.getItem(PICKED + name) ?? "{}") as Record<string, string>;
  } catch {
    return {};
  }
}

export function keepPicked(name: string, values: Record<string, string>): void {
  try {
    window.sessionStorage.setItem(PICKED + name, JSON.stringify(values));
  } catch {
    // a browser that keeps nothing forgets it on reload
  }
}

/** Forgets what was chosen in this tab: somebody signed out, or the page was locked. */
export function forgetPicked(): void {
  try {
    Object.keys(window.sessionStorage)
      .filter((key) => key.startsWith(PICKED))
      .forEach((key) => {
        window.sessionStorage.removeItem(key);
      });
  } catch {
    // nothing was kept
  }
}

/** Notes that somebody is at the page, in whichever tab. */
export function touch(now = Date.now(), storage: Storage = window.localStorage): void {
  try {
    storage.setItem(TOUCH, String(now));
  } catch {
    // a browser that keeps nothing counts each tab by itself
  }
}

/** When somebody was last at the page, in any tab; 0 where nobody knows. */
export function lastTouch(storage: Storage = window.localStorage): number {
  try {
    return Number(storage.getItem(TOUCH) ?? 0);
  } catch {
    return 0;
  }
}

/** Whether somebody was at the page within so many minutes. */
export function touchedWithin(minutes: number, now = Date.now(), storage: Storage = window.localStorage): boolean {
  return now - lastTouch(storage) <= minutes * 60_000;
}

/** The clinic's idle time, as last heard. */
export function idleMinutes(storage: Storage = window.localStorage): number {
  try {
    return Number(storage.getItem(IDLE) ?? 10);
  } catch {
    return 10;
  }
}

export function keepIdleMinutes(minutes: number, storage: Storage = window.localStorage): void {
  try {
    storage.setItem(IDLE, String(minutes));
  } catch {
    // then the usual time holds without a connection
  }
}
