import { keepPreviousData, useQuery } from "@tanstack/react-query";
import type { LiveExamination } from "../examination";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";

export type Again = Schemas["AgainJson"];
export type Change = Schemas["ChangeJson"];
export type Positive = Schemas["PositiveJson"];

/** Measures of this visit beside the one before; undefined where there was none, or before it is first heard. */
export function useAgain(live: LiveExamination): Again | undefined {
  const { id, follows, commands } = live.examination;
  const found = useQuery({
    queryKey: keys.again(id, commands.at(-1)?.number ?? 0),
    queryFn: () => dataOf(api.GET("/api/examinations/{id}/again", { params: { path: { id } } })),
    enabled: follows != null,
    placeholderData: keepPreviousData,
  });
  return found.data?.again ?? undefined;
}
