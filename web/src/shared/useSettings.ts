import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, dataOf, type Schemas } from "./api/client";
import { remembering } from "./offline/memory";
import { keys } from "./api/keys";

/** The clinic's settings; undefined until they are here. */
export function useSettings(): Schemas["SettingsJson"] | undefined {
  return useQuery({
    queryKey: keys.settings,
    queryFn: () => remembering("settings", () => dataOf(api.GET("/api/settings"))),
    staleTime: 60_000,
  }).data;
}

/** The value of a listed setting for the person at the screen: their own where they decided, else the clinic's. */
export function settingOf(settings: Schemas["SettingsJson"] | undefined, name: string): string | undefined {
  const listed = settings?.listed.find((each) => each.name === name);
  return listed?.own ?? listed?.value;
}

/** Decides a setting for the person at the screen alone; without a value it is as if nothing had been decided. */
export function chooseForMe(name: string, value?: string) {
  return dataOf(
    api.PUT("/api/settings/own/{name}", { params: { path: { name } }, body: value === undefined ? {} : { value } }),
  );
}

/** Decides a listed setting for the person at the screen alone; without a value the clinic's holds again. */
export function useChooseForMe() {
  const cache = useQueryClient();
  return useMutation({
    mutationFn: ({ name, value }: { name: string; value?: string }) => chooseForMe(name, value),
    onSuccess: (settings) => {
      cache.setQueryData(keys.settings, settings);
    },
  });
}
