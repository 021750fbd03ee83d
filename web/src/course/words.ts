import type { Schemas } from "../shared/api/client";

type Response = Schemas["CourseResponseJson"];

const TURNS: Record<Response["turn"], string> = {
  TURNED_NEGATIVE: "Turned negative",
  TURNED_POSITIVE: "Turned positive",
  STILL_POSITIVE: "Positive still",
  STILL_NEGATIVE: "Negative still",
  NOT_TOLD: "Read once only",
};

const RESULTS: Record<Response["results"][number], string> = {
  POSITIVE: "positive",
  NEGATIVE: "negative",
  NOT_INTERPRETABLE: "not interpretable",
  NOT_DONE: "not done",
};

/** Which way a test has gone. */
export function turnWords(turn: Response["turn"]): string {
  return TURNS[turn];
}

/** How a test came out at a visit. */
export function resultWords(result: Response["results"][number]): string {
  return RESULTS[result];
}

/** A sentence in its first word and the rest: what is seen first, and what explains it. */
export function headed(says: string): { head: string; rest: string } {
  const stalled = /^(.*)\. Stalled: (.*)$/.exec(says);
  if (stalled) {
    return { head: "Stalled", rest: `${stalled[2] ?? ""}. ${stalled[1] ?? ""}` };
  }
  const colon = /^(Better|Worse): /.exec(says);
  return colon ? { head: colon[1] ?? "", rest: says.slice(colon[0].length) } : { head: "", rest: says };
}

/** Rows in which something has turned come first; otherwise in the order in which they came. */
export function turnedFirst(responses: readonly Response[]): Response[] {
  const turned = (response: Response) => response.turn.startsWith("TURNED");
  const positive = (response: Response) => response.turn === "STILL_POSITIVE";
  return [
    ...responses.filter(turned),
    ...responses.filter((each) => !turned(each) && positive(each)),
    ...responses.filter((each) => !turned(each) && !positive(each)),
  ];
}
