import type { Schemas } from "../shared/api/client";
import { ofThousand, sentence } from "../shared/format";

type Standing = Schemas["StandingJson"];

/** What a condition's weighing comes to, in three sentences for somebody who looks on. */
export function showWords(standing: Standing, testName: (id: string) => string): string[] {
  const name = sentence(standing.name);
  const began = `Of 1000 people who come like this, about ${String(ofThousand(standing.before))} have ${name}.`;
  if (!standing.informed) {
    return [began, "Nothing that was found speaks about it yet."];
  }
  const [low, high] = [ofThousand(standing.lower), ofThousand(standing.upper)];
  const now = `Of 1000 who also answered like this, about ${String(ofThousand(standing.now))} have it; by what is known of these tests it could be ${String(low)} to ${String(high)}.`;
  const loads = [...standing.loads].sort((a, b) => b.part - a.part);
  const most = loads[0] && loads[0].part > 0 ? loads[0] : undefined;
  const last = loads.at(-1);
  const least = last && last.part < 0 ? last : undefined;
  const said = (load: Standing["loads"][number]) =>
    load.testIds[0] === undefined ? load.phrase : `${sentence(testName(load.testIds[0]))} (${load.phrase})`;
  const why = [most && `most for it speaks ${said(most)}`, least && `most against it ${said(least)}`]
    .filter((each) => each !== undefined)
    .join("; ");
  return [began, now, ...(why === "" ? [] : [`${why.charAt(0).toUpperCase()}${why.slice(1)}.`])];
}
