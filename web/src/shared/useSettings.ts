import { useQuery } from "@tanstack/react-query";
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
