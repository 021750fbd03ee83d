import type { ReactNode } from "react";
import { Refused } from "../api/client";
import { Message } from "./Message";

/** The page where what it shows could not be fetched: that it is not there, or that the server is silent, and the way back. */
export function Unfetched({ error, what, back }: { error: Error; what: string; back: ReactNode }) {
  const refused = error instanceof Refused;
  return (
    <Message page title={refused ? `This ${what} is not here` : "The server is not answering"} action={back}>
      {refused ? error.problem.detail : "Nothing was lost."}
    </Message>
  );
}
