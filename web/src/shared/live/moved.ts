/** What the server tells of an examination that is not as it was; `number` is that of its last command. */
export interface Moved {
  examination: string;
  caseFile: string;
  number: number;
  what: "BEGUN" | "ENTERED" | "SIGNED" | "AMENDED" | "TAKEN_OVER" | "WEIGHED_ANEW";
}

type Listener = (moved: Moved | "reconnected") => void;

const LOCK = "lexicor.events";
/** A stream that the server refused is tried again after as long. */
const AGAIN_MS = 5000;

const listeners = new Set<Listener>();
const channel = typeof BroadcastChannel === "undefined" ? undefined : new BroadcastChannel(LOCK);
let begun = false;
/** Whether somebody is signed in who may be told. */
let wanted = false;

function tell(moved: Moved | "reconnected"): void {
  listeners.forEach((listener) => {
    listener(moved);
  });
}

channel?.addEventListener("message", (event: MessageEvent<Moved | "reconnected">) => {
  tell(event.data);
});

/** Told whatever anybody enters, signs or takes over, and that the line was down, so that something may have been missed. */
export function onMoved(listener: Listener): () => void {
  listeners.add(listener);
  return () => listeners.delete(listener);
}

/**
 * Listens to the server until the answer is called; for those who may see examinations, as the server refuses others.
 * Of all tabs of this browser one holds the line and tells the others, for a browser opens only a few lines to one server;
 * when that tab is closed, another takes it up.
 */
export function listen(): () => void {
  wanted = true;
  begin();
  return () => {
    wanted = false;
  };
}

function begin(): void {
  if (begun || typeof EventSource === "undefined") {
    return;
  }
  begun = true;
  if ("locks" in navigator) {
    void navigator.locks.request(LOCK, () => new Promise<never>(hold)).catch(hold);
  } else {
    hold();
  }
}

function hold(): void {
  if (!wanted) {
    setTimeout(hold, AGAIN_MS);
    return;
  }
  const source = new EventSource("/api/events");
  const pass = (moved: Moved | "reconnected") => {
    tell(moved);
    channel?.postMessage(moved);
  };
  source.addEventListener("moved", (event: MessageEvent<string>) => {
    pass(JSON.parse(event.data) as Moved);
  });
  source.addEventListener("open", () => {
    pass("reconnected");
  });
  source.addEventListener("error", () => {
    if (source.readyState === EventSource.CLOSED) {
      // signed out, or the server is another: the browser does not try again by itself
      setTimeout(hold, AGAIN_MS);
    }
  });
}
