import { useEffect } from "react";
import { api } from "../shared/api/client";
import { gate } from "../shared/api/gate";
import { forgetAll, touch } from "../shared/offline/memory";

const SIGNS_OF_LIFE = ["pointerdown", "keydown", "wheel"] as const;

/**
 * Covers the page and ends the session after some minutes without a touch. While the server is out of reach it does not:
 * nobody could sign in again.
 */
export function useIdleLock(minutes: number): void {
  useEffect(() => {
    let timer: ReturnType<typeof setTimeout> | undefined;
    const lock = () => {
      if (!navigator.onLine) {
        start();
        return;
      }
      gate.close();
      forgetAll();
      api.DELETE("/api/session").catch(() => undefined); // the cover stands either way
    };
    const start = () => {
      clearTimeout(timer);
      timer = setTimeout(lock, minutes * 60_000);
      touch();
    };
    start();
    SIGNS_OF_LIFE.forEach((sign) => { window.addEventListener(sign, start, { passive: true }); });
    return () => {
      clearTimeout(timer);
      SIGNS_OF_LIFE.forEach((sign) => { window.removeEventListener(sign, start); });
    };
  }, [minutes]);
}
