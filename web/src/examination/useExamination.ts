import { useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useMemo, useState, useSyncExternalStore } from "react";
import { usePerson } from "../session/session";
import { api, dataOf, Refused, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { remember, remembering } from "../shared/offline/memory";
import { CommandQueue, Held, type QueueState } from "./commandQueue";
import { CLIENT } from "./commands";
import { inForce, type Command, type InForce } from "./history";

type Examination = Schemas["ExaminationJson"];

/** An examination as the page sees it: what the server has, and what is on its way there. */
export interface LiveExamination {
  examination: Examination;
  region: Schemas["RegionJson"];
  state: InForce;
  queue: QueueState;
  /** Where it stands, as far as the server knows; undefined until first heard. */
  weighing: Schemas["WeighingJson"] | undefined;
  /** Whether the weighing includes everything recorded. */
  upToDate: boolean;
  /** Signed: it can be walked through, and nothing can be added. */
  readOnly: boolean;
  /** Takes over what the server says of its signing. */
  signed: (signing: Schemas["SigningJson"]) => void;
  /** Asks the server for it anew. */
  refresh: () => void;
  add: (command: Command) => void;
  retry: () => void;
}

function useQueue(id: string): CommandQueue {
  const cache = useQueryClient();
  const person = usePerson();
  const queue = useMemo(
    () =>
      new CommandQueue(`${person.name}.${id}`, CLIENT, window.localStorage,
        (commands) => held(dataOf(api.POST("/api/examinations/{id}/commands", { params: { path: { id } }, body: { commands } })), () => void cache.invalidateQueries({ queryKey: keys.examination(id), exact: true })),
        (commands, numbers) => {
          const next = cache.setQueryData<Examination>(keys.examination(id), (known) => known && { ...known, commands: merged(known.commands, commands, numbers) });
          if (next) {
            remember(`examination.${id}`, next);
          }
        }),
    [id, cache, person.name],
  );
  useEffect(() => {
    const flush = () => void queue.flush();
    window.addEventListener("online", flush);
    flush();
    return () => {
      window.removeEventListener("online", flush);
    };
  }, [queue]);
  return queue;
}

/** A refusal of the person or of the moment says nothing about the commands: they are kept and sent again. */
async function held<T>(answer: Promise<T>, onSigned: () => void): Promise<T> {
  try {
    return await answer;
  } catch (fault) {
    if (fault instanceof Refused && fault.problem.status === SIGNED) {
      onSigned();
    }
    throw fault instanceof Refused && [403, 429, SIGNED].includes(fault.problem.status) ? new Held(fault.message) : fault;
  }
}

/** What the server answers where an examination is signed. */
const SIGNED = 423;

/** The server's commands with newly acknowledged ones at their numbers. */
export function merged(known: Command[], sent: Command[], numbers: Map<string, number>): Command[] {
  const ids = new Set(known.map((command) => command.id));
  const added = sent.filter((command) => !ids.has(command.id) && numbers.has(command.id)).map((command) => ({ ...command, number: numbers.get(command.id) }));
  return [...known, ...added].sort((a, b) => (a.number ?? 0) - (b.number ?? 0));
}

/**
 * What was fetched, with what the page knew already: the record only grows, and an answer that set out before the last
 * commands were acknowledged must not take them off the screen.
 */
export function grown(before: Examination | undefined, fetched: Examination): Examination {
  const numbers = new Map(before?.commands.map((command) => [command.id, command.number ?? 0]));
  return before ? { ...fetched, commands: merged(fetched.commands, before.commands, numbers) } : fetched;
}

/** Follows an examination. Returns the fault where there is one, undefined while it is being fetched. */
export function useExamination(id: string): { live: LiveExamination | undefined; fault: Error | null } {
  const queue = useQueue(id);
  const cache = useQueryClient();
  const queued = useSyncExternalStore(queue.subscribe, () => queue.state);
  const examination = useQuery({
    queryKey: keys.examination(id),
    queryFn: async () => grown(cache.getQueryData<Examination>(keys.examination(id)), await remembering(`examination.${id}`, () => dataOf(api.GET("/api/examinations/{id}", { params: { path: { id } } })))),
    retry: (times, fault) => times < 2 && !(fault instanceof Refused),
    refetchOnReconnect: true,
  });
  const regionName = examination.data?.region ?? "";
  const region = useQuery({
    queryKey: keys.region(regionName),
    queryFn: () => remembering(`region.${regionName}`, () => dataOf(api.GET("/api/library/regions/{region}", { params: { path: { region: regionName } } }))),
    enabled: regionName !== "",
    staleTime: Infinity,
  });
  const known = examination.data?.commands;
  const number = known?.at(-1)?.number ?? 0;
  const weighing = useQuery({
    queryKey: keys.weighing(id, number),
    queryFn: () => remembering(`weighing.${id}`, () => dataOf(api.GET("/api/examinations/{id}/weighing", { params: { path: { id } } }))),
    refetchOnReconnect: true,
    enabled: examination.data !== undefined,
    placeholderData: (previous) => previous,
    retry: true,
    retryDelay: (times) => Math.min(3000, 500 * 2 ** times),
  });
  const readOnly = examination.data?.signing.closed ?? false;
  const [walked, setWalked] = useState<Command>();
  const state = useMemo(() => {
    const ids = new Set(known?.map((command) => command.id));
    return inForce([...(known ?? []), ...queued.pending.filter((command) => !ids.has(command.id)), ...(readOnly && walked ? [walked] : [])]);
  }, [known, queued.pending, readOnly, walked]);
  const fault = examination.error ?? region.error;
  if (!examination.data || !region.data) {
    return { live: undefined, fault };
  }
  return {
    fault: null,
    live: {
      examination: examination.data, region: region.data, state, queue: queued, weighing: weighing.data,
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
      refresh: () => void cache.invalidateQueries({ queryKey: keys.examination(id), exact: true }),
      retry: () => void queue.flush(),
    },
  };
}
