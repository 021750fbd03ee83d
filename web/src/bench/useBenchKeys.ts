import type { Schemas } from "../shared/api/client";
import { capital, sideWord } from "../shared/format";
import { answerKeys, QUALITY_KEYS, USUAL_KEYS, USUAL_NAMES, type BenchKey } from "./benchKeys";
import { REASONS } from "./LeaveOut";
import { wellAnswers } from "./ResponsePanels";
import type { Bench } from "./useBench";

interface Acts {
  forward: () => void;
  toggle: (part: string, value: string) => void;
  quality: Schemas["OptionJson"][];
  leaving: boolean;
  startLeaving: () => void;
  stopLeaving: () => void;
  keysOpen: () => void;
  long: () => void;
}

/** Every key that acts on what is at hand, in the order in which the sheet of keys lists them. */
export function useBenchKeys(bench: Bench, acts: Acts): BenchKey[] {
  const always: BenchKey[] = [
    {
      key: "PageDown",
      name: "Page Down",
      what: "Next (a foot pedal sends this)",
      act: bench.beat ? bench.ready : acts.forward,
    },
    { key: "PageUp", name: "Page Up", what: "Back (the other pedal)", act: bench.back },
    { key: "Backspace", what: "Undo the last entry; also Ctrl+Z", act: bench.takeBack },
    { key: "Ctrl+y", name: "Ctrl+Y", what: "Redo; also Ctrl+Shift+Z", act: bench.bringBack },
    { key: "?", what: "This sheet", act: acts.keysOpen },
  ];
  const silent: BenchKey[] = [
    { key: "Ctrl+z", what: "", act: bench.takeBack },
    { key: "Ctrl+shift+z", what: "", act: bench.bringBack },
  ];
  if (acts.leaving) {
    return [
      ...REASONS.map((reason, index) => ({
        key: String(index + 1),
        what: `Left out: ${reason.toLowerCase()}`,
        act: () => {
          bench.leaveOut(reason.toLowerCase());
        },
      })),
      {
        key: "0",
        what: "Left out, no reason",
        act: () => {
          bench.leaveOut();
        },
      },
      { key: "Escape", what: "Keep the test", act: acts.stopLeaving },
      ...always,
      ...silent,
    ];
  }
  if (bench.beat) {
    return [...always, ...silent];
  }
  const card: BenchKey[] = [
    { key: "i", what: "The whole card, or the short one", act: acts.long },
    {
      key: "Ctrl+ArrowUp",
      name: "Ctrl+↑",
      what: "This test earlier in the order",
      act: () => {
        bench.moveRow(bench.row, -1);
      },
    },
    {
      key: "Ctrl+ArrowDown",
      name: "Ctrl+↓",
      what: "This test later in the order",
      act: () => {
        bench.moveRow(bench.row, 1);
      },
    },
  ];
  return [...(bench.closed ? [] : answers(bench, acts)), ...card, ...always, ...silent];
}

function answers(bench: Bench, acts: Acts): BenchKey[] {
  const { test, sheet, involved, well, there } = bench;
  const leave: BenchKey = { key: "L", name: "Shift+L", what: "Leave out, with a reason", act: acts.startLeaving };
  if (sheet.length > 0) {
    return [{ key: "0", what: "All else normal, both sides, and on", act: bench.nothingBoth }, leave];
  }
  const found: BenchKey[] = [];
  if (test.nothing.length > 0) {
    found.push({ key: "0", what: "Nothing, both sides, and on", act: bench.nothingBoth });
  }
  if (bench.asBefore) {
    found.push({ key: "=", name: "Equals", what: `As before: ${bench.asBefore.phrase}`, act: bench.asBefore.act });
  }
  wellAnswers(test, there).forEach((answer, index) => {
    found.push({
      key: String(index + 1),
      what: `${capital(sideWord(well))}: ${answer.label.toLowerCase()}`,
      act: () => {
        bench.record(well, answer.parts);
      },
    });
  });
  test.usual.forEach((answer, index) => {
    const key = USUAL_KEYS[index];
    if (key) {
      found.push({
        key,
        name: USUAL_NAMES[index],
        what: `${capital(sideWord(involved))}: ${answer.label.toLowerCase()}`,
        act: () => {
          bench.recordWhole(answer.parts);
        },
      });
    }
  });
  const keys = answerKeys(test);
  test.parts.forEach((part) => {
    part.options.forEach((option, index) => {
      const key = keys[part.key]?.[index];
      if (key) {
        found.push({
          key,
          what: `${part.label}: ${option.label.toLowerCase()}`,
          act: () => {
            acts.toggle(part.key, option.value);
          },
        });
      }
    });
  });
  acts.quality.forEach((option, index) => {
    const key = QUALITY_KEYS[index];
    if (key) {
      found.push({
        key,
        what: `Seen: ${option.label.toLowerCase()}`,
        act: () => {
          acts.toggle("quality", option.value);
        },
      });
    }
  });
  if (test.parts.some((part) => ["held-for", "refill"].includes(part.key))) {
    found.push({
      key: " ",
      name: "Space",
      what: "Start the time; it begins",
      act: () => document.getElementById("hold-main")?.click(),
    });
  }
  ["j", "k", "l"].forEach((key, index) => {
    if (test.parts.some((part) => part.key === "angle-start")) {
      found.push({
        key,
        what: `Arc: ${["starts", "worst", "gone"][index] ?? ""}, then the arrow keys`,
        act: () => document.getElementById(`arc-${key}`)?.focus(),
      });
    }
  });
  return [...found, leave];
}
