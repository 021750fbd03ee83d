import { useMutation, useQueryClient } from "@tanstack/react-query";
import { api, dataOf } from "./api/client";
import { keys } from "./api/keys";

/** Says whether the person at the screen does a test; the plans of an examination are asked for anew. */
export function useMyHands(examination?: string) {
  const cache = useQueryClient();
  return useMutation({
    mutationFn: ({ test, mine }: { test: string; mine: boolean }) =>
      dataOf(
        api.PUT("/api/settings/own/{name}", {
          params: { path: { name: `not-mine.${test}` } },
          body: mine ? {} : { value: "yes" },
        }),
      ),
    onSuccess: (settings) => {
      cache.setQueryData(keys.settings, settings);
      return examination === undefined
        ? undefined
        : Promise.all(keys.plansOf(examination).map((queryKey) => cache.invalidateQueries({ queryKey })));
    },
  });
}
