import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { type Answer, tell } from "../record";
import type { LiveExamination } from "../examination";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";

/** The intake of an examination: what is asked, what was answered, what follows. */
export interface Intake {
  form: Schemas["IntakeFormJson"] | undefined;
  /** What follows from the answers, as far as the server knows; undefined until first heard. */
  state: Schemas["IntakeStateJson"] | undefined;
  /** The options that hold for a question. */
  values: (question: string) => readonly string[];
  answer: (question: string) => Answer | undefined;
  /** Keeps answers to one or several questions. */
  tell: (...answers: Answer[]) => void;
  /** What is wrong with the answer to a question. */
  fault: (question: string) => string | undefined;
}

/** An answer by options; without any the question is open again. */
export function options(question: string, values: readonly string[]): Answer {
  return { question, values: [...values] };
}

export function useIntake(live: LiveExamination): Intake {
  const { id, region, commands } = live.examination;
  const number = commands.at(-1)?.number ?? 0;
  const form = useQuery({
    queryKey: keys.intakeForm(region),
    queryFn: () => dataOf(api.GET("/api/library/regions/{region}/intake", { params: { path: { region } } })),
    staleTime: Infinity,
  });
  const state = useQuery({
    queryKey: keys.intake(id, number),
    queryFn: () => dataOf(api.GET("/api/examinations/{id}/intake", { params: { path: { id } } })),
    placeholderData: keepPreviousData,
    retry: true,
    retryDelay: (times) => Math.min(3000, 500 * 2 ** times),
  });
  const standAt = live.state.standAt ?? live.region.steps[0]?.testIds[0] ?? "";
  return {
    form: form.data,
    state: state.data,
    values: (question) => live.state.answers.get(question)?.values ?? [],
    answer: (question) => live.state.answers.get(question),
    tell: (...answers) => {
      live.add(tell(answers, standAt));
    },
    fault: (question) => state.data?.faults.find((each) => each.question === question)?.message,
  };
}
