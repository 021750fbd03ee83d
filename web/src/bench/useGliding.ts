import { useLayoutEffect, useRef, type RefObject } from "react";

const MILLISECONDS = 260;

/** Rows (marked with data-glide) glide from where they were to where they are whenever their order changes. */
export function useGliding<T extends HTMLElement>(order: string): RefObject<T | null> {
  const list = useRef<T>(null);
  const tops = useRef(new Map<string, number>());
  useLayoutEffect(() => {
    const still = window.matchMedia("(prefers-reduced-motion: reduce)").matches;
    const now = new Map<string, number>();
    list.current?.querySelectorAll<HTMLElement>("[data-glide]").forEach((row) => {
      const id = row.dataset.glide ?? "";
      now.set(id, row.offsetTop);
      const from = tops.current.get(id);
      if (!still && from !== undefined && from !== row.offsetTop) {
        row.animate([{ transform: `translateY(${String(from - row.offsetTop)}px)` }, { transform: "none" }], {
          duration: MILLISECONDS,
          easing: "ease-out",
        });
      }
    });
    tops.current = now;
  }, [order]);
  return list;
}
