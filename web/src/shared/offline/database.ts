import { openDB, type DBSchema, type IDBPDatabase } from "idb";

/** What waits to be sent, one row per command; nothing of what it says can be read without the person's key. */
export interface EntryRow {
  /** Of the command. */
  id: string;
  /** Whose, and of which examination. */
  scope: string;
  /** Orders the rows of a scope. */
  place: number;
  /** The command, sealed. */
  sealed: string;
  /** Why the server did not take it, sealed; absent while it waits to be sent. */
  aside?: string;
}

/** A copy of what the server last said, sealed. */
export interface CopyRow {
  name: string;
  at: number;
  sealed: string;
}

interface Kept extends DBSchema {
  entries: { key: string; value: EntryRow; indexes: { scope: string } };
  copies: { key: string; value: CopyRow; indexes: { at: number } };
}

export type Database = IDBPDatabase<Kept>;

const NAME = "lexicor";

let opened: Promise<Database> | undefined;

/** The browser's own database; rejects where the browser does not let this page have one. */
export function database(): Promise<Database> {
  opened ??= open().catch((fault: unknown) => {
    opened = undefined; // a browser that refuses now may allow it later
    throw fault;
  });
  return opened;
}

/** Some browsers refuse by throwing at once, others by rejecting: both become a rejection. */
async function open(): Promise<Database> {
  return await openDB<Kept>(NAME, 1, {
    upgrade: (fresh) => {
      fresh.createObjectStore("entries", { keyPath: "id" }).createIndex("scope", "scope");
      fresh.createObjectStore("copies", { keyPath: "name" }).createIndex("at", "at");
    },
    terminated: () => {
      opened = undefined;
    },
  });
}

/** For tests: the next use opens it anew. */
export async function closeDatabase(): Promise<void> {
  const had = opened;
  opened = undefined;
  (await had?.catch(() => undefined))?.close();
}
