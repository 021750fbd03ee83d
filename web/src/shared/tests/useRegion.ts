import { useQuery } from "@tanstack/react-query";
import { api, dataOf } from "../api/client";
import { keys } from "../api/keys";

/** A region's order of work and the cards of all tests, those of the region first. */
export function useRegion(region: string) {
  return useQuery({
    queryKey: keys.region(region),
    queryFn: () => dataOf(api.GET("/api/library/regions/{region}", { params: { path: { region } } })),
    staleTime: Infinity,
  });
}
