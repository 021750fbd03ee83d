import type { Schemas } from "../shared/api/client";
import { sentence, sideWord } from "../shared/format";
import type { Command, Part } from "./history";

/** What a command would have done, in a few words: "Painful arc, right: pain familiar". */
export function entryWords(command: Command, region: Pick<Schemas["RegionJson"], "tests">): string {
  const name = (id: string) => region.tests.find((test) => test.id === id)?.shortName ?? id;
  const [attempt] = command.attempts;
  const [answer] = command.answers;
  switch (command.kind) {
    case "RECORD":
      return attempt
        ? `${name(attempt.testId)}, ${sideWord(attempt.side)}: ${attempt.parts.map(partWords).join(", ") || "nothing"}`
        : "An entry";
    case "TELL":
      return answer
        ? `What was told of “${answer.question.replace(/[-:]/g, " ")}”: ${[...answer.values, answer.number ?? "", answer.words ?? ""].filter((each) => each !== "").join(", ") || "taken back"}`
        : "What was told";
    case "UNDO":
      return `An undo at ${sentence(name(command.standAt))}`;
    case "MOVE":
      return `Going to ${sentence(name(command.standAt))}`;
  }
}

function partWords(part: Part): string {
  const value =
    part.choice ?? part.text ?? (part.measure == null ? "" : `${String(part.measure)} ${part.unit ?? ""}`.trim());
  return `${part.key.replace(/-/g, " ")} ${value}`;
}
