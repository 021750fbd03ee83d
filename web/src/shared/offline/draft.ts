import { pageKey } from "./pageKey";

const PREFIX = "lexicor.draft.";

/**
 * What was typed or arranged and is not sent yet, sealed under a name; undefined where there is none.
 *
 * @param storage of the browser, or of the tab where each tab has a draft of its own
 */
export function keptDraft(name: string, storage: Storage = window.localStorage): unknown {
  try {
    const sealed = storage.getItem(PREFIX + name);
    const text = sealed === null ? undefined : pageKey()?.unseal(sealed);
    return text === undefined ? undefined : (JSON.parse(text) as unknown);
  } catch {
    return undefined;
  }
}

/** Keeps a draft; undefined takes it away. */
export function keepDraft(name: string, draft: unknown, storage: Storage = window.localStorage): void {
  try {
    const key = pageKey();
    if (draft === undefined || !key) {
      storage.removeItem(PREFIX + name);
    } else {
      storage.setItem(PREFIX + name, key.seal(JSON.stringify(draft)));
    }
  } catch {
    // a draft that cannot be kept is still on the page
  }
}
