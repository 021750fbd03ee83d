import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { type Answer, tell } from "../record";
import type { LiveExamination } from "../examination";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";

/** The therapist's conclusion as the record has it, and what stands beside it. */
export interface ConclusionState {
  values: (question: string) => readonly string[];
  number: (question: string) => number | undefined;
  words: (question: string) => string;
  day: (question: string) => string;
  tell: (answer: Answer) => void;
  /** Adds a value to a question's answer, or takes it out. */
  toggle: (question: string, value: string) => void;
  /** Undefined until first heard. */
  beside: Schemas["ConclusionJson"] | undefined;
}

/** Adds a value at the end, or takes it out. */
export function toggled(values: readonly string[], value: string): string[] {
  return values.includes(value) ? values.filter((each) => each !== value) : [...values, value];
}

export function useConclusion(live: LiveExamination): ConclusionState {
  const { id, commands } = live.examination;
  const number = commands.at(-1)?.number ?? 0;
  const standAt = live.state.standAt ?? live.region.steps[0]?.testIds[0] ?? "";
  const beside = useQuery({
    queryKey: keys.conclusion(id, number),
    queryFn: () => dataOf(api.GET("/api/examinations/{id}/conclusion", { params: { path: { id } } })),
    placeholderData: keepPreviousData,
  });
  const answer = (question: string) => live.state.answers.get(question);
  const say = (told: Answer) => {
    live.add(tell([told], standAt));
  };
  return {
    values: (question) => answer(question)?.values ?? [],
    number: (question) => answer(question)?.number ?? undefined,
    words: (question) => answer(question)?.words ?? "",
    day: (question) => answer(question)?.on ?? "",
    tell: say,
    toggle: (question, value) => {
      say({ question, values: toggled(answer(question)?.values ?? [], value) });
    },
    beside: beside.data,
  };
}
