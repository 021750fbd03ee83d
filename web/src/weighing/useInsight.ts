import { keepPreviousData, useQuery } from "@tanstack/react-query";
import { api, dataOf, type Schemas } from "../shared/api/client";
import { keys } from "../shared/api/keys";

/** Correlations set by hand, by group. */
export type Dials = Record<string, number>;

/** One condition looked at closely. The dials change it at once; what came before stays until the answer is there. */
export function useInsight(
  examination: string,
  condition: string,
  number: number,
  dials: Dials,
): { insight: Schemas["InsightJson"] | undefined; busy: boolean } {
  const rho = Object.entries(dials).map(([group, value]) => `${group}:${String(value)}`);
  const query = useQuery({
    queryKey: keys.insight(examination, condition, number, rho.join()),
    queryFn: () =>
      dataOf(
        api.GET("/api/examinations/{id}/weighing/{conditionId}", {
          params: { path: { id: examination, conditionId: condition }, query: { rho } },
        }),
      ),
    placeholderData: keepPreviousData,
  });
  return { insight: query.data?.standing.conditionId === condition ? query.data : undefined, busy: query.isFetching };
}
