import { useMutation, useQueryClient } from "@tanstack/react-query";
import { keys } from "./api/keys";
import { chooseForMe } from "./useSettings";

/** Says whether the person at the screen does a test; the plans of an examination are asked for anew. */
export function useMyHands(examination?: string) {
  const cache = useQueryClient();
  return useMutation({
    mutationFn: ({ test, mine }: { test: string; mine: boolean }) =>
      chooseForMe(`not-mine.${test}`, mine ? undefined : "yes"),
    onSuccess: (settings) => {
      cache.setQueryData(keys.settings, settings);
      return examination === undefined
        ? undefined
        : Promise.all(keys.plansOf(examination).map((queryKey) => cache.invalidateQueries({ queryKey })));
    },
  });
}
