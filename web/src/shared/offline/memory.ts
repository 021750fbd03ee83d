import { Refused } from "../api/client";

const PREFIX = "lexicor.memory.";
const TOUCH = "lexicor.touch";
const IDLE = "lexicor.idle-minutes";

const ORDER = "lexicor.memory-order";

/** So many copies are kept, the latest ones: three or four examinations beside what all of them share. */
const COPIES = 12;

/** Largest number of characters kept under one name. */
const MOST = 1_500_000;

/**
 * Fetches, and keeps a copy in this browser; without a connection the copy serves. A refusal is an answer: it is passed on,
 * and the copy goes.
 */
export async function remembering<T>(name: string, fetching: () => Promise<T>, storage: Storage = window.localStorage): Promise<T> {
  try {
    const fresh = await fetching();
    remember(name, fresh, storage);
    return fresh;
  } catch (fault) {
    if (fault instanceof Refused) {
      storage.removeItem(PREFIX + name);
      throw fault;
    }
    const kept = storage.getItem(PREFIX + name);
    if (kept === null) {
      throw fault;
    }
    return JSON.parse(kept) as T;
  }
}

/** Keeps a copy. Where the browser has no more room the copy is left out: it is a convenience, never the record. */
export function remember(name: string, value: unknown, storage: Storage = window.localStorage): void {
  try {
    const text = JSON.stringify(value);
    if (text.length <= MOST) {
      storage.setItem(PREFIX + name, text);
      keepLatest(name, storage);
    }
  } catch {
    storage.removeItem(PREFIX + name);
  }
}

function keepLatest(name: string, storage: Storage): void {
  const names = [name, ...(JSON.parse(storage.getItem(ORDER) ?? "[]") as string[]).filter((each) => each !== name)];
  names.slice(COPIES).forEach((old) => { storage.removeItem(PREFIX + old); });
  storage.setItem(ORDER, JSON.stringify(names.slice(0, COPIES)));
}

/** Forgets every copy: somebody signed out, or the page was locked. What waits to be sent is kept elsewhere and stays. */
export function forgetAll(storage: Storage = window.localStorage): void {
  Array.from({ length: storage.length }, (_, index) => storage.key(index)).forEach((key) => {
    if (key?.startsWith(PREFIX)) {
      storage.removeItem(key);
    }
  });
}

/** Notes that somebody is at the page. */
export function touch(now = Date.now(), storage: Storage = window.localStorage): void {
  storage.setItem(TOUCH, String(now));
}

/** Whether somebody was at the page within so many minutes. */
export function touchedWithin(minutes: number, now = Date.now(), storage: Storage = window.localStorage): boolean {
  const at = Number(storage.getItem(TOUCH) ?? 0);
  return now - at <= minutes * 60_000;
}

/** The clinic's idle time, as last heard. */
export function idleMinutes(storage: Storage = window.localStorage): number {
  return Number(storage.getItem(IDLE) ?? 10);
}

export function keepIdleMinutes(minutes: number, storage: Storage = window.localStorage): void {
  storage.setItem(IDLE, String(minutes));
}
