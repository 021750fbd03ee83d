import type { Schemas } from "./api/client";

/** Whether nothing weighed speaks about a condition, so that only its picture can. */
export function byPictureAlone(standing: Schemas["StandingJson"]): boolean {
  return standing.shelf === "UNMEASURED" || standing.shelf === "WAITING";
}
