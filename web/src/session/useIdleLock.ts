import { useEffect } from "react";
import { lastTouch, touch } from "../shared/offline/memory";
import { leave } from "./leaving";

const SIGNS_OF_LIFE = ["pointerdown", "keydown", "wheel"] as const;
/** Signs of life that follow each other more closely count as one. */
const ONE_SIGN_MS = 1000;

/**
 * Covers the page and ends the session after some minutes without a touch, in whichever tab. While the server is out of reach
 * it does not: nobody could sign in again.
 */
export function useIdleLock(minutes: number): void {
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    let noted = 0;
    const wait = (ms: number) => {
      clearTimeout(timer);
      timer = setTimeout(look, ms);
    };
    const look = () => {
      const idle = Date.now() - Math.max(noted, lastTouch());
      if (idle < minutes * 60_000) {
        wait(minutes * 60_000 - idle); // somebody was there since, here or in another tab
      } else if (navigator.onLine) {
        leave("locked");
      } else {
        wait(minutes * 60_000);
      }
    };
    const note = () => {
      if (Date.now() - noted >= ONE_SIGN_MS) {
        noted = Date.now();
        touch(noted);
      }
    };
    note();
    wait(minutes * 60_000);
    SIGNS_OF_LIFE.forEach((sign) => {
      window.addEventListener(sign, note, { passive: true });
    });
    return () => {
      clearTimeout(timer);
      SIGNS_OF_LIFE.forEach((sign) => {
        window.removeEventListener(sign, note);
      });
    };
  }, [minutes]);
}
