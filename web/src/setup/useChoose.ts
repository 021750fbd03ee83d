import { useMutation, useQueryClient } from "@tanstack/react-query";
import { api, dataOf } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { usePerson } from "../session";

/** Decides a setting; without a value it is again as it ships. */
export function useChoose() {
  const cache = useQueryClient();
  return useMutation({
    mutationFn: ({ name, value }: { name: string; value?: string }) =>
      dataOf(
        api.PUT("/api/settings/{name}", { params: { path: { name } }, body: value === undefined ? {} : { value } }),
      ),
    onSuccess: (settings) => {
      cache.setQueryData(keys.settings, settings);
      void cache.invalidateQueries({ queryKey: keys.settingHistory });
    },
  });
}

/** Whether the person may change settings. */
export function useMayChange(): boolean {
  return usePerson().roles.includes("STEWARD");
}
