import { closeQueues } from "../record";
import { api } from "../shared/api/client";
import { gate } from "../shared/api/gate";
import { forgetAll, forgetPicked } from "../shared/offline/memory";
import { closePageKey } from "../shared/offline/pageKey";

/** How the session of a browser changes for all its tabs at once. */
export type Turn = "locked" | "signed-out" | "signed-in";

const channel = typeof BroadcastChannel === "undefined" ? undefined : new BroadcastChannel("lexicor.session");

/** Covers this page, and sees to it that nothing of a patient can be read from the browser's storage. */
function cover(): void {
  gate.close();
  closePageKey();
  forgetPicked();
  void forgetAll();
}

/**
 * Ends the session, in all tabs of this browser. A page that is locked stays as it is behind its cover; after signing out, the
 * next person begins with a page of their own.
 */
export function leave(turn: "locked" | "signed-out"): void {
  cover();
  channel?.postMessage(turn);
  const ended = api.DELETE("/api/session").catch(() => undefined); // the cover stands either way
  if (turn === "signed-out") {
    closeQueues();
    void ended.finally(() => {
      window.location.assign("/");
    });
  }
}

/** Tells the other tabs that somebody has signed in here. */
export function tellSignedIn(): void {
  channel?.postMessage("signed-in" satisfies Turn);
}

/** Follows what happens in the other tabs. `onSignedIn` is told when somebody signed in there. */
export function followOtherTabs(onSignedIn: () => void): () => void {
  const follow = (event: MessageEvent<Turn>) => {
    if (event.data === "signed-in") {
      onSignedIn();
    } else {
      cover();
    }
  };
  channel?.addEventListener("message", follow);
  return () => {
    channel?.removeEventListener("message", follow);
  };
}
