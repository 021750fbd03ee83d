import { xchacha20poly1305 } from "@noble/ciphers/chacha.js";
import { managedNonce } from "@noble/ciphers/utils.js";

/**
 * The key by which this page seals what it keeps in the browser. The server gives it to the person who signed in, always the
 * same to the same person. It lives in the storage of the tab alone: it survives a reload, and is gone once the tab is closed,
 * somebody signs out, or the page locks itself. What is sealed then cannot be read by anybody until the same person signs in.
 */
export interface PageKey {
  /** Sign-in name of the person whose key it is. */
  readonly person: string;
  seal: (text: string) => string;
  /** Undefined where the text was sealed by another key, or damaged. */
  unseal: (sealed: string) => string | undefined;
}

const KEPT = "lexicor.page-key";
const ASKED = "lexicor.page-key";
/** So long a tab waits for another one to hand over its key. */
const PATIENCE_MS = 250;

const encode = new TextEncoder();
const decode = new TextDecoder();

function toBase64(bytes: Uint8Array): string {
  let binary = "";
  for (const byte of bytes) {
    binary += String.fromCharCode(byte);
  }
  return btoa(binary);
}

function fromBase64(text: string): Uint8Array {
  return Uint8Array.from(atob(text), (sign) => sign.charCodeAt(0));
}

/** A key of 32 bytes in Base64, as a person's. */
export function keyOf(person: string, base64: string): PageKey {
  const cipher = managedNonce(xchacha20poly1305)(fromBase64(base64));
  return {
    person,
    seal: (text) => toBase64(cipher.encrypt(encode.encode(text))),
    unseal: (sealed) => {
      try {
        return decode.decode(cipher.decrypt(fromBase64(sealed)));
      } catch {
        return undefined;
      }
    },
  };
}

let open: PageKey | undefined;
let raw: string | undefined;

/** The key in force; undefined while nobody is signed in. */
export function pageKey(): PageKey | undefined {
  return open;
}

/** Somebody has signed in: from now on this is the key. */
export function openPageKey(person: string, base64: string): PageKey {
  open = keyOf(person, base64);
  raw = base64;
  try {
    window.sessionStorage.setItem(KEPT, JSON.stringify([person, base64]));
  } catch {
    // without the tab's storage a reload has to ask the server for it
  }
  return open;
}

/** Nobody is here any more: what is sealed stays sealed. */
export function closePageKey(): void {
  open = undefined;
  raw = undefined;
  try {
    window.sessionStorage.removeItem(KEPT);
  } catch {
    // then it was never kept
  }
}

/** The key that this tab had before it was reloaded, or that another open tab has. Undefined where there is none. */
export async function regainPageKey(): Promise<PageKey | undefined> {
  if (open) {
    return open;
  }
  const kept = keptByTab() ?? (await askOtherTabs());
  return kept && openPageKey(...kept);
}

function keptByTab(): [string, string] | undefined {
  try {
    return (JSON.parse(window.sessionStorage.getItem(KEPT) ?? "null") as [string, string] | null) ?? undefined;
  } catch {
    return undefined;
  }
}

function askOtherTabs(): Promise<[string, string] | undefined> {
  if (typeof BroadcastChannel === "undefined") {
    return Promise.resolve(undefined);
  }
  const channel = new BroadcastChannel(ASKED);
  return new Promise((resolve) => {
    const done = (key?: [string, string]) => {
      channel.close();
      resolve(key);
    };
    const timer = setTimeout(done, PATIENCE_MS);
    channel.onmessage = (event: MessageEvent<{ key?: [string, string] }>) => {
      if (event.data.key) {
        clearTimeout(timer);
        done(event.data.key);
      }
    };
    channel.postMessage({ asks: true });
  });
}

/** Hands the key to tabs of the same browser that ask for it, as long as it is open here. */
export function answerOtherTabs(): void {
  if (typeof BroadcastChannel === "undefined") {
    return;
  }
  const channel = new BroadcastChannel(ASKED);
  channel.onmessage = (event: MessageEvent<{ asks?: boolean }>) => {
    if (event.data.asks && open && raw) {
      channel.postMessage({ key: [open.person, raw] });
    }
  };
}
