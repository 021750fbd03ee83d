import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { usePerson } from "../session";

export type Change = Schemas["LedgerRequest"];
export type RecordSheet = Schemas["RecordSheetJson"];

/** Whether the person may change the ledger. */
export function useKeepsLedger(): boolean {
  return usePerson().roles.includes("STEWARD");
}

/** A record with how it stands here. */
export function useRecord(id: string) {
  return useQuery({
    queryKey: keys.ledgerRecord(id),
    queryFn: () => dataOf(api.GET("/api/library/records/{id}", { params: { path: { id } } })),
    staleTime: 0,
  });
}

/** What waits for a second person. */
export function useWaiting() {
  return useQuery({
    queryKey: keys.ledgerWaiting,
    queryFn: () => dataOf(api.GET("/api/ledger/waiting")),
    staleTime: 0,
  });
}

/** What something would do to the weights; asked for anew whenever it is another. */
export function useEffectOf(asked: string, ask: () => Promise<Schemas["PreviewJson"]>, enabled = true) {
  return useQuery({
    queryKey: keys.ledgerPreview(asked),
    queryFn: ask,
    enabled,
    staleTime: 0,
    gcTime: 0,
    retry: false,
  });
}

/** What a change would do. */
export function usePreview(change: Change | undefined) {
  return useEffectOf(
    JSON.stringify({ ...change, id: "" }),
    () => dataOf(api.POST("/api/ledger/preview", { body: change as Change })),
    change !== undefined,
  );
}

/** Makes a change. Whatever hangs on the ledger is fetched anew afterwards. */
export function useChange(onMade: (record: string) => void) {
  const cache = useQueryClient();
  return useMutation({
    mutationFn: (change: Change) => dataOf(api.POST("/api/ledger/changes", { body: change })),
    onSuccess: ({ record }) => {
      void cache.invalidateQueries();
      onMade(record);
    },
  });
}

/** A change with an id of its own, so that it is made once however often it is sent. */
export function changeOf(what: Change["what"], parts: Partial<Change>): Change {
  return { id: crypto.randomUUID(), what, record: null, knows: 0, draft: null, review: null, why: "", ...parts };
}
