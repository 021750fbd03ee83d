import { describe, expect, it } from "vitest";
import type { Schemas } from "../shared/api/client";
import type { Command } from "../record";
import { grown } from "./useExamination";

const command = (number: number): Command => ({
  id: `command-${String(number)}`,
  clientId: "tab",
  order: number,
  number,
  at: "2026-01-01T00:00:00Z",
  kind: "MOVE",
  standAt: `test-${String(number)}`,
  attempts: [],
  answers: [],
});
const examination = (...commands: Command[]) =>
  ({ id: "exam", state: "OPEN", commands }) as unknown as Schemas["ExaminationJson"];
const numbers = (of: Schemas["ExaminationJson"]) => of.commands.map((each) => each.number);

describe("an answer that set out before the last commands were acknowledged", () => {
  it("does not take them off the screen", () => {
    expect(numbers(grown(examination(command(1), command(2), command(3)), examination(command(1))))).toEqual([1, 2, 3]);
  });
  it("brings what another device has entered, in the record's order", () => {
    expect(numbers(grown(examination(command(1), command(3)), examination(command(1), command(2))))).toEqual([1, 2, 3]);
  });
  it("is taken as it is where nothing was known", () => {
    expect(numbers(grown(undefined, examination(command(1))))).toEqual([1]);
  });
});
