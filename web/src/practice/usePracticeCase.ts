import { useMutation, useQuery, useQueryClient } from "@tanstack/react-query";
import { useEffect, useState } from "react";
import { api, dataOf, Refused, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";
import { keepDraft, keptDraft } from "../shared/offline/draft";
import type { PracticeCase } from "./words";

type Step = Omit<Schemas["PracticeStepRequest"], "number">;
type Written = Schemas["PracticeWrittenPartsJson"];

/** How long until a step that did not reach the server is sent again, in milliseconds. */
const AGAIN = 2000;

export interface Practising {
  known: PracticeCase;
  /** Own chances as they stand on the page: those put down last, with what was dragged since. */
  chances: Record<string, number>;
  /** Whether anything was dragged since. */
  moved: boolean;
  drag: (condition: string, chance: number | undefined) => void;
  /** What was written down of the last answer to a test. */
  written: (test: string) => Written;
  /** Writes an answer down; it is kept on the page until the next step. */
  write: (test: string, answer: Written) => void;
  /** Takes a step; what was written down and chances that were dragged are put down before it. */
  take: (step: Step) => void;
  /** Puts down the chances as they stand. */
  putDown: () => void;
  /** Whether a step is on its way. */
  busy: boolean;
  /** Whether a step could not be sent yet. */
  waiting: boolean;
  fault: string | undefined;
}

/** Steps that are on their way, with the number of the first. */
interface Sent {
  first: number;
  steps: Step[];
}

/** A practice case: every step is kept by the server, and sent until it is. */
export function usePracticeCase(id: string) {
  return useQuery({
    queryKey: keys.practiceCase(id),
    queryFn: () => dataOf(api.GET("/api/practice/cases/{id}", { params: { path: { id } } })),
    retry: (times, fault) => times < 2 && !(fault instanceof Refused),
  });
}

/** What was dragged after chances were put down; null stands for a condition that is followed no longer. */
export function draggedSince(
  dragged: Record<string, number | null>,
  put: Record<string, number>,
): Record<string, number | null> {
  return Object.fromEntries(
    Object.entries(dragged).filter(([condition, chance]) => (put[condition] ?? null) !== chance),
  );
}

const UNWRITTEN: Written = { here: [], well: [] };

/** What is left of answers written down once some of them have arrived. */
export function unwritten(written: Record<string, Written>, arrived: Record<string, Written>): Record<string, Written> {
  return Object.fromEntries(
    Object.entries(written).filter(([test, answer]) => JSON.stringify(arrived[test]) !== JSON.stringify(answer)),
  );
}

/** Works on a case that is there. */
export function usePractising(known: PracticeCase): Practising {
  const cache = useQueryClient();
  const name = `practice.${known.id}`;
  const [dragged, setDragged] = useState<Record<string, number | null>>(
    () => (keptDraft(name) as Record<string, number | null> | undefined) ?? {},
  );
  const chances: Record<string, number> = {};
  for (const each of known.believed) {
    chances[each.conditionId] = each.chance;
  }
  for (const [condition, chance] of Object.entries(dragged)) {
    if (chance === null) {
      Reflect.deleteProperty(chances, condition);
    } else {
      chances[condition] = chance;
    }
  }
  const moved = Object.keys(dragged).length > 0;
  const change = (next: Record<string, number | null>) => {
    setDragged(next);
    keepDraft(name, Object.keys(next).length > 0 ? next : undefined);
  };
  const [written, setWritten] = useState<Record<string, Written>>(
    () => (keptDraft(`${name}.written`) as Record<string, Written> | undefined) ?? {},
  );
  const keepWritten = (next: Record<string, Written>) => {
    setWritten(next);
    keepDraft(`${name}.written`, Object.keys(next).length > 0 ? next : undefined);
  };
  const send = useMutation({
    mutationFn: async ({ first, steps }: Sent) => {
      let now = known;
      for (const [place, step] of steps.entries()) {
        now = await dataOf(
          api.POST("/api/practice/cases/{id}/steps", {
            params: { path: { id: known.id } },
            body: { ...step, number: first + place },
          }),
        );
      }
      return now;
    },
    retry: (_, fault) => !(fault instanceof Refused),
    retryDelay: AGAIN,
    networkMode: "always",
    onSuccess: (now, { steps }) => {
      cache.setQueryData(keys.practiceCase(known.id), now);
      const put = steps.find((step) => step.chances)?.chances;
      if (put) {
        change(draggedSince(dragged, put));
      }
      const writes = steps.flatMap(({ write }) => write ?? []);
      keepWritten(
        unwritten(written, Object.fromEntries(writes.map(({ testId, here, well }) => [testId, { here, well }]))),
      );
      if (now.ended) {
        void cache.invalidateQueries({ queryKey: keys.practiceCases });
        void cache.invalidateQueries({ queryKey: keys.practiceProgress });
        void cache.invalidateQueries({ queryKey: keys.practiceClasses });
      }
    },
    onError: () => cache.invalidateQueries({ queryKey: keys.practiceCase(known.id) }),
    onSettled: () => {
      keepDraft(`${name}.step`, undefined);
    },
  });
  const { mutate } = send;
  useEffect(() => {
    const unsent = keptDraft(`${name}.step`) as Sent | undefined;
    if (unsent) {
      mutate(unsent); // the page was loaded anew before it had arrived
    }
  }, [name, mutate]);
  const sendAll = (steps: Step[]) => {
    const sent = { first: known.steps, steps };
    keepDraft(`${name}.step`, sent);
    mutate(sent);
  };
  return {
    known,
    chances,
    moved,
    drag: (condition, chance) => {
      change({ ...dragged, [condition]: chance ?? null });
    },
    written: (test) => written[test] ?? known.tests.findLast((each) => each.testId === test)?.written ?? UNWRITTEN,
    write: (test, answer) => {
      keepWritten({ ...written, [test]: answer });
    },
    take: (step) => {
      sendAll([
        ...Object.entries(written).map(([testId, answer]) => ({ write: { testId, ...answer } })),
        ...(moved ? [{ chances }] : []),
        step,
      ]);
    },
    putDown: () => {
      sendAll([{ chances }]);
    },
    busy: send.isPending,
    waiting: send.isPending && send.failureCount > 0,
    fault: send.error instanceof Refused ? send.error.message : undefined,
  };
}
