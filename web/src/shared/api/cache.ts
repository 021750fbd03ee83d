import { QueryClient } from "@tanstack/react-query";
import { Refused } from "./client";

/** What the page knows from the server. */
export const cache = new QueryClient({
  defaultOptions: {
    queries: {
      refetchOnWindowFocus: true,
      retry: (failures, error) => !(error instanceof Refused) && failures < 3,
      networkMode: "always",
    },
  },
});
