import { describe, expect, it } from "vitest";
import { choices, inForce, latestAttempt, type Attempt, type Command } from "./history";

let counter = 0;
const id = () => `id-${String(++counter)}`;

function attempt(pain: string, supersedes: string[] = []): Attempt {
  return {
    id: id(),
    testId: "sh-neer",
    variant: "usual",
    side: "RIGHT",
    tryNumber: 1,
    supersedes,
    parts: [{ key: "pain", choice: pain }],
  };
}

function command(kind: Command["kind"], rest: Partial<Command> = {}): Command {
  return {
    id: id(),
    clientId: "tab",
    order: counter,
    at: "2026-01-01T00:00:00Z",
    kind,
    standAt: "sh-neer",
    attempts: [],
    answers: [],
    ...rest,
  };
}

describe("what counts", () => {
  it("a correction stands in place of what it corrects", () => {
    const first = attempt("none");
    const state = inForce([
      command("RECORD", { attempts: [first] }),
      command("RECORD", { attempts: [attempt("familiar", [first.id])] }),
    ]);
    expect(state.attempts).toHaveLength(1);
    expect(choices(latestAttempt(state, "sh-neer", "RIGHT"), "pain")).toEqual(["familiar"]);
  });

  it("undo restores what was corrected, and undoing the undo takes it away again", () => {
    const first = attempt("none");
    const one = command("RECORD", { attempts: [first] });
    const two = command("RECORD", { attempts: [attempt("familiar", [first.id])] });
    const undo = command("UNDO", { undoes: two.id });
    expect(choices(latestAttempt(inForce([one, two, undo]), "sh-neer", "RIGHT"), "pain")).toEqual(["none"]);
    expect(
      choices(
        latestAttempt(inForce([one, two, undo, command("UNDO", { undoes: undo.id })]), "sh-neer", "RIGHT"),
        "pain",
      ),
    ).toEqual(["familiar"]);
  });

  it("the recording to take back is the latest that still counts", () => {
    const one = command("RECORD", { attempts: [attempt("none")] });
    const two = command("RECORD", { attempts: [attempt("other")] });
    expect(inForce([one, two, command("MOVE")]).lastRecording?.id).toBe(two.id);
    expect(inForce([one, two, command("UNDO", { undoes: two.id })]).lastRecording?.id).toBe(one.id);
    expect(inForce([]).lastRecording).toBeUndefined();
  });

  it("stands where the last command left it", () => {
    expect(inForce([command("MOVE", { standAt: "sh-arc" })]).standAt).toBe("sh-arc");
    expect(inForce([]).standAt).toBeUndefined();
  });
});

describe("a correction of a correction", () => {
  it("leaves one attempt, and taking it back brings the one before", () => {
    const first = attempt("none");
    const second = attempt("familiar", [first.id]);
    const third = attempt("other", [second.id]);
    const commands = [first, second, third].map((each) => command("RECORD", { attempts: [each] }));
    expect(inForce(commands).attempts.map((each) => each.id)).toEqual([third.id]);
    expect(
      inForce([...commands, command("UNDO", { undoes: commands[2]?.id ?? "" })]).attempts.map((each) => each.id),
    ).toEqual([second.id]);
  });
});

describe("what can be brought back", () => {
  it("is the latest undo, as long as nothing was recorded since", () => {
    const first = command("RECORD", { attempts: [attempt("none")] });
    const second = command("RECORD", { attempts: [attempt("familiar")] });
    const undoSecond = command("UNDO", { undoes: second.id });
    const undoFirst = command("UNDO", { undoes: first.id });
    expect(inForce([first]).lastUndo).toBeUndefined();
    expect(inForce([first, second, undoSecond]).lastUndo?.id).toBe(undoSecond.id);
    expect(inForce([first, second, undoSecond, undoFirst]).lastUndo?.id).toBe(undoFirst.id);
    const redoFirst = command("UNDO", { undoes: undoFirst.id });
    expect(inForce([first, second, undoSecond, undoFirst, redoFirst]).lastUndo?.id).toBe(undoSecond.id);
    expect(inForce([first, second, undoSecond, undoFirst, redoFirst]).attempts).toHaveLength(1);
    expect(inForce([first, undoFirst, command("RECORD", { attempts: [attempt("other")] })]).lastUndo).toBeUndefined();
  });
});
