import { describe, expect, it } from "vitest";
import type { Schemas } from "../shared/api/client";
import { movedBy, NOT_PLANNED, plannedMinutes, rowOf, sections } from "./order";
import { stopMet, stoppedHere } from "./stops";
import { inForce } from "../record";

const test = (id: string, rest: Partial<Schemas["TestJson"]> = {}): Schemas["TestJson"] => ({
  id,
  name: id,
  shortName: id,
  aliases: [],
  misspelt: [],
  region: "shoulder",
  stage: "special",
  position: "",
  seconds: 30,
  provocation: 1,
  review: "DRAFTED",
  card: { patient: "", you: "", movement: "", ask: "", watch: [], stop: "" },
  parts: [],
  wellSideParts: ["pain"],
  nothing: [],
  usual: [],
  follows: false,
  ways: [],
  stops: [],
  angles: [],
  equipment: [],
  ...rest,
});
const region: Schemas["RegionJson"] = {
  region: "shoulder",
  revision: "1",
  changeSeconds: 60,
  sharedNames: [],
  conditions: [],
  first: [],
  pathways: [],
  steps: [
    {
      name: "Standing",
      position: "Standing",
      testIds: ["look", "wall", "arc"],
      together: [{ name: "Look", testIds: ["look", "wall"] }],
    },
    { name: "Supine", position: "Supine", testIds: ["fear", "relocate"], together: [] },
  ],
  tests: [
    test("look"),
    test("wall"),
    test("arc"),
    test("fear", {
      shortName: "Fear",
      stops: [{ part: "apprehension", values: ["yes"], because: "that is the answer", closes: ["jerk"] }],
    }),
    test("relocate", { follows: true }),
    test("jerk"),
  ],
};
const none = { own: [], added: [], hidden: new Set<string>() };

describe("the order", () => {
  it("gathers tests by position and sheets under one name", () => {
    const order = sections(region, none);
    expect(order.map((section) => section.items.map((item) => item.name))).toEqual([
      ["Look", "arc"],
      ["Fear", "relocate"],
    ]);
    expect(rowOf(order, "wall")).toMatchObject({ id: "look", sheet: true });
  });

  it("leaves out what makes no sense yet, and puts added tests at the end", () => {
    const order = sections(region, { ...none, added: ["jerk"], hidden: new Set(["relocate"]) });
    expect(order.map((section) => section.position)).toEqual(["Standing", "Supine", "Added"]);
    expect(rowOf(order, "relocate")).toBeUndefined();
  });

  it("puts a plan first, tests beyond the routine in their places, and the rest under a name of its own", () => {
    const withJerk = {
      ...region,
      tests: region.tests.map((each) => (each.id === "jerk" ? { ...each, position: "Supine" } : each)),
    };
    const own = ["arc", "jerk"];
    const order = sections(withJerk, { ...none, own, plan: new Set(own), hidden: new Set(["relocate"]) });
    expect(order.map((section) => [section.name, section.items.map((item) => item.id)])).toEqual([
      ["Standing", ["arc"]],
      ["Supine", ["jerk"]],
      [NOT_PLANNED, ["look", "fear"]],
    ]);
    expect(plannedMinutes(withJerk, order)).toBeCloseTo((2 * 60 + 60) / 60, 10);
    const arc = rowOf(order, "arc");
    expect(arc && movedBy(order, arc, 1)).toEqual(["jerk", "arc"]);
  });

  it("calls the sections of a plan by the position in which its tests are done", () => {
    const named = { ...region, steps: region.steps.map((step) => ({ ...step, name: `${step.position}, by name` })) };
    expect(sections(named, none).map((section) => section.name)).toEqual(["Standing, by name", "Supine, by name"]);
    const planned = sections(named, {
      ...none,
      own: ["arc", "fear"],
      plan: new Set(["arc", "fear"]),
      positions: new Map([["fear", "Standing"]]),
    });
    expect(planned.map((section) => [section.name, section.items.map((item) => item.id)])).toEqual([
      ["Standing", ["arc", "fear"]],
      [NOT_PLANNED, ["look", "relocate"]],
    ]);
  });

  it("leaves nothing in a plan of which everything is settled", () => {
    expect(sections(region, { ...none, own: ["arc"], plan: new Set() }).map((section) => section.name)).toEqual([
      NOT_PLANNED,
    ]);
  });

  it("keeps what was done, or follows on a finding, beside a plan", () => {
    const order = sections(region, {
      ...none,
      own: ["arc"],
      plan: new Set(["arc"]),
      kept: new Set(["relocate", "look"]),
    });
    expect(order.map((section) => [section.name, section.items.map((item) => item.id)])).toEqual([
      ["Standing", ["arc", "look"]],
      ["Supine", ["relocate"]],
      [NOT_PLANNED, ["wall", "fear"]],
    ]);
    expect(rowOf(order, "look")).toMatchObject({ testIds: ["look"], sheet: false });
  });

  it("follows an order of one's own, changing position as often as it asks for", () => {
    const usual = sections(region, none);
    const arc = rowOf(usual, "arc");
    const own = arc ? movedBy(usual, arc, 1) : [];
    expect(own).toEqual(["look", "wall", "fear", "arc", "relocate"]);
    expect(sections(region, { ...none, own }).map((section) => section.position)).toEqual([
      "Standing",
      "Supine",
      "Standing",
      "Supine",
    ]);
  });

  it("moves nothing beyond its ends", () => {
    const usual = sections(region, none);
    const first = rowOf(usual, "look");
    expect(first && movedBy(usual, first, -1)).toEqual(["look", "wall", "arc", "fear", "relocate"]);
  });

  it("plans both sides and the changes of position", () => {
    expect(plannedMinutes(region, sections(region, none))).toBeCloseTo((5 * 60 + 60) / 60, 10);
  });
});

describe("stops", () => {
  const answered = (choice: string, side: "LEFT" | "RIGHT" = "RIGHT") =>
    inForce([
      {
        id: "c",
        clientId: "t",
        order: 1,
        at: "2026-01-01T00:00:00Z",
        kind: "RECORD",
        standAt: "fear",
        answers: [],
        attempts: [
          {
            id: "a",
            testId: "fear",
            variant: "usual",
            side,
            tryNumber: 1,
            supersedes: [],
            parts: [{ key: "apprehension", choice }],
          },
        ],
      },
    ]);

  it("close before the server has spoken, on the side in question only", () => {
    expect(stoppedHere(region, answered("yes"), "RIGHT").get("jerk")).toBe("Closed by fear: that is the answer");
    expect(stoppedHere(region, answered("none"), "RIGHT").size).toBe(0);
    expect(stoppedHere(region, answered("yes", "LEFT"), "RIGHT").size).toBe(0);
  });

  it("are met by the answer that stops the hands", () => {
    const fear = region.tests.find((each) => each.id === "fear");
    expect(fear && stopMet(fear, answered("yes").attempts[0])?.because).toBe("that is the answer");
    expect(fear && stopMet(fear, answered("none").attempts[0])).toBeUndefined();
  });
});
