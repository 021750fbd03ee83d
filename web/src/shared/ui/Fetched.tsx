import type { UseQueryResult } from "@tanstack/react-query";
import type { ReactNode } from "react";
import { Refused } from "../api/client";
import { Message, Waiting } from "./Message";

/** What a query gave, or that it is on its way, or why it is not there. */
export function Fetched<T>({
  query,
  what,
  children,
}: {
  query: UseQueryResult<T>;
  what: string;
  children: (data: T) => ReactNode;
}) {
  if (query.data !== undefined) {
    return children(query.data);
  }
  if (query.isError) {
    const refused = query.error instanceof Refused;
    return (
      <Message title={refused ? `${what} cannot be shown` : "The server is not answering"}>
        {refused ? query.error.message : "Nothing was lost."}
      </Message>
    );
  }
  return <Waiting what={what.toLowerCase()} />;
}
