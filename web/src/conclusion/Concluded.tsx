import { inHundred, onDay, sentence } from "../shared/format";
import { Facts } from "../shared/ui/Facts";
import type { ConclusionState } from "./useConclusion";

interface ConcludedProps {
  conclusion: ConclusionState;
  /** Names of conditions. */
  named: ReadonlyMap<string, string>;
  testName: (id: string) => string;
}

/** A conclusion that was signed, to be read. */
export function Concluded({ conclusion, named, testName }: ConcludedProps) {
  const { beside } = conclusion;
  const name = (id: string) => named.get(id) ?? id;
  const [working = "open"] = conclusion.values("working");
  const sure = conclusion.number("confidence");
  const steps =
    beside?.toSettle
      .filter((step) => conclusion.values("next-steps").includes(step.conditionId))
      .map((step) => `${step.by} (${step.name}, ${step.soon})`) ?? [];
  const next = [...steps, conclusion.words("own-steps")].filter(Boolean).join("; ");
  const again = conclusion
    .values("markers")
    .map((id) => sentence(testName(id)))
    .join(", ");
  const day = conclusion.day("again-on");
  const lines: [string, string][] = [
    [
      "Working diagnosis",
      [
        working === "open" && conclusion.words("diagnosis-in-words") !== ""
          ? ""
          : working === "open"
            ? "still open"
            : name(working),
        conclusion.words("diagnosis-in-words"),
      ]
        .filter(Boolean)
        .join(": "),
    ],
    [
      "It could also be",
      conclusion
        .values("rivals")
        .filter((id) => id !== working)
        .map(name)
        .join("; "),
    ],
    ["How sure", sure === undefined ? "" : `${beside?.sureness ?? ""}, ${inHundred(sure)} in 100`],
    ["Why otherwise", conclusion.words("why-different")],
    ["Next", next],
    ["Advice", conclusion.words("advice")],
    ["Test again", [again, day && `on ${onDay(day)}`].filter(Boolean).join(", ")],
  ];
  return (
    <Facts
      lines={lines.filter(([, words]) => words !== "")}
      className="max-w-3xl grid-cols-[9rem_1fr] gap-x-4 gap-y-1 text-read"
    />
  );
}
