import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useMemo, useState, useSyncExternalStore } from "react";
import { usePerson } from "../session";
import { api, dataOf, Refused, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { capital } from "../shared/format";
import { onMoved } from "../shared/live/moved";
import { remembering } from "../shared/offline/memory";
import { settingOf, useSettings } from "../shared/useSettings";
import { type Command, type CommandQueue, inForce, type InForce, merged, queueOf, type QueueState } from "../record";

type Examination = Schemas["ExaminationJson"];

/** An examination as the page sees it: what the server has, and what is on its way there. */
export interface LiveExamination {
  examination: Examination;
  region: Schemas["RegionJson"];
  state: InForce;
  queue: QueueState;
  /** The queue itself: to send again or give up what was set aside. */
  entries: CommandQueue;
  /** Whether the person here is responsible for it; a colleague looks on, and may add findings. */
  mine: boolean;
  /** Where it stands, as far as the server knows; undefined until first heard. */
  weighing: Schemas["WeighingJson"] | undefined;
  /** Whether the weighing includes everything recorded. */
  upToDate: boolean;
  /** Signed: it can be walked through, and nothing can be added. */
  readOnly: boolean;
  /** Takes over what the server says of its signing. */
  signed: (signing: Schemas["SigningJson"]) => void;
  /** Takes over what the server says after somebody took it over. */
  takenOver: (examination: Examination) => void;
  /** Asks the server for it anew. */
  refresh: () => void;
  add: (command: Command) => void;
  retry: () => void;
}

/**
 * What was fetched, with what the page knew already: the record only grows, and an answer that set out before the last
 * commands were acknowledged must not take them off the screen.
 */
export function grown(before: Examination | undefined, fetched: Examination): Examination {
  const numbers = new Map(before?.commands.map((command) => [command.id, { number: command.number ?? 0 }]));
  return before ? { ...fetched, commands: merged(fetched.commands, before.commands, numbers) } : fetched;
}

/** A test called by what the field calls it, its descriptive name beside. */
export function usualNameFirst(test: Schemas["TestJson"]): Schemas["TestJson"] {
  return test.usualName
    ? { ...test, name: capital(test.usualName), shortName: capital(test.usualName), usualName: test.name }
    : test;
}

/** Follows an examination. Returns the fault where there is one, undefined while it is being fetched. */
export function useExamination(id: string): { live: LiveExamination | undefined; fault: Error | null } {
  const queue = useMemo(() => queueOf(id), [id]);
  const cache = useQueryClient();
  const person = usePerson();
  const queued = useSyncExternalStore(queue.subscribe, () => queue.state);
  const examination = useQuery({
    queryKey: keys.examination(id),
    queryFn: async () =>
      grown(
        cache.getQueryData<Examination>(keys.examination(id)),
        await remembering(`examination.${id}`, () =>
          dataOf(api.GET("/api/examinations/{id}", { params: { path: { id } } })),
        ),
      ),
    retry: (times, fault) => times < 2 && !(fault instanceof Refused),
    refetchOnReconnect: true,
  });
  const regionName = examination.data?.region ?? "";
  const region = useQuery({
    queryKey: keys.region(regionName),
    queryFn: () =>
      remembering(`region.${regionName}`, () =>
        dataOf(api.GET("/api/library/regions/{region}", { params: { path: { region: regionName } } })),
      ),
    enabled: regionName !== "",
    staleTime: Infinity,
  });
  const usualFirst = settingOf(useSettings(), "test-names") === "the usual name";
  const named = useMemo(
    () => (usualFirst && region.data ? { ...region.data, tests: region.data.tests.map(usualNameFirst) } : region.data),
    [usualFirst, region.data],
  );
  const known = examination.data?.commands;
  const number = known?.at(-1)?.number ?? 0;
  const weighing = useQuery({
    queryKey: keys.weighing(id, number),
    queryFn: () =>
      remembering(`weighing.${id}`, () =>
        dataOf(api.GET("/api/examinations/{id}/weighing", { params: { path: { id } } })),
      ),
    refetchOnReconnect: true,
    enabled: examination.data !== undefined,
    placeholderData: (previous) => previous,
    retry: true,
    retryDelay: (times) => Math.min(3000, 500 * 2 ** times),
  });
  useEffect(
    () =>
      onMoved((moved) => {
        if (moved === "reconnected" || moved.examination === id) {
          void cache.invalidateQueries({ queryKey: keys.examination(id), exact: true });
        }
        if (moved !== "reconnected" && moved.examination === id && moved.what === "WEIGHED_ANEW") {
          void cache.invalidateQueries(); // nothing was entered, and yet every chance may be another
        }
      }),
    [id, cache],
  );
  const readOnly = examination.data?.signing.closed ?? false;
  const [walked, setWalked] = useState<Command>();
  const state = useMemo(() => {
    const ids = new Set(known?.map((command) => command.id));
    return inForce([
      ...(known ?? []),
      ...queued.pending.filter((command) => !ids.has(command.id)),
      ...(readOnly && walked ? [walked] : []),
    ]);
  }, [known, queued.pending, readOnly, walked]);
  const fault = examination.error ?? region.error;
  if (!examination.data || !named || queued.status === "opening") {
    return { live: undefined, fault };
  }
  return {
    fault: null,
    live: {
      examination: examination.data,
      region: named,
      state,
      queue: queued,
      entries: queue,
      weighing: weighing.data,
      mine: examination.data.responsible.name === person.name,
      upToDate: queued.pending.length === 0 && (weighing.data?.knows ?? -1) >= number,
      readOnly,
      add: (command) => {
        if (!readOnly) {
          queue.add(command);
        } else if (command.kind === "MOVE") {
          setWalked(command);
        }
      },
      signed: (signing) => {
        cache.setQueryData<Examination>(keys.examination(id), (before) => before && { ...before, signing });
        void cache.invalidateQueries({ queryKey: keys.allCases });
        void queue.flush();
      },
      takenOver: (taken) => {
        cache.setQueryData<Examination>(keys.examination(id), (before) => grown(before, taken));
        void queue.flush();
      },
      refresh: () => void cache.invalidateQueries({ queryKey: keys.examination(id), exact: true }),
      retry: () => void queue.flush(),
    },
  };
}
