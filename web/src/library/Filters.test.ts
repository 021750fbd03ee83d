import { describe, expect, it } from "vitest";
import type { Schemas } from "../shared/api/client";
import { fits, type Filter } from "./Filters";
import type { Hit } from "./librarySearch";

const library: Schemas["LibraryJson"] = {
  revision: "r",
  stages: ["Move", "Special tests"],
  tests: [
    {
      id: "arc",
      name: "Painful arc",
      shortName: "Painful arc",
      aliases: [],
      misspelt: [],
      region: "shoulder",
      stage: "Move",
      positions: ["Standing"],
      structures: [],
      seconds: 20,
      provocation: 1,
      review: "DRAFTED",
      conditions: ["sub"],
      weighedFor: ["sub"],
    },
    {
      id: "reach",
      name: "Reach",
      shortName: "Reach",
      aliases: [],
      misspelt: [],
      region: "shoulder",
      stage: "Move",
      positions: ["Standing"],
      structures: [],
      seconds: 20,
      provocation: 1,
      review: "DRAFTED",
      conditions: [],
      weighedFor: [],
    },
    {
      id: "bend",
      name: "Neck bend",
      shortName: "Neck bend",
      aliases: [],
      misspelt: [],
      region: "neck",
      stage: "Special tests",
      positions: ["Sitting"],
      structures: [],
      seconds: 20,
      provocation: 1,
      review: "DRAFTED",
      conditions: ["root"],
      weighedFor: ["root"],
    },
  ],
  conditions: [
    {
      id: "sub",
      name: "Subacromial pain",
      shortName: "Subacromial pain",
      region: "shoulder",
      scope: "",
      start: {},
      serious: null,
      tests: 2,
      weighed: 1,
    },
    {
      id: "stiff",
      name: "Frozen shoulder",
      shortName: "Frozen shoulder",
      region: "shoulder",
      scope: "",
      start: {},
      serious: null,
      tests: 1,
      weighed: 0,
    },
    {
      id: "root",
      name: "Cervical root",
      shortName: "Cervical root",
      region: "neck",
      scope: "",
      start: {},
      serious: null,
      tests: 1,
      weighed: 1,
    },
  ],
  clusters: [{ id: "four", name: "Neck set", conditionId: "root", conditionName: "Cervical root", components: [] }],
  sharedNames: [],
};
const everything: Hit[] = [
  ...library.tests.map((test): Hit => ({ kind: "test", id: test.id, by: [] })),
  ...library.conditions.map((condition): Hit => ({ kind: "condition", id: condition.id, by: [] })),
  { kind: "set", id: "four", by: [] },
];
const open: Filter = { kind: "", region: "", stage: "", weighed: false };
const passing = (filter: Partial<Filter>) =>
  everything.filter((hit) => fits(hit, { ...open, ...filter }, library)).map((hit) => hit.id);

describe("narrowing the list", () => {
  it("lets everything through when nothing is asked", () => {
    expect(passing({})).toHaveLength(everything.length);
  });

  it.each([
    ["by kind", { kind: "condition" }, ["sub", "stiff", "root"]],
    ["by region, a set by the region of its condition", { region: "neck" }, ["bend", "root", "four"]],
    ["by part of the examination, which only tests have", { stage: "Move" }, ["arc", "reach"]],
    ["by figures", { weighed: true }, ["arc", "bend", "sub", "root", "four"]],
    ["by several at once", { region: "shoulder", weighed: true, kind: "test" }, ["arc"]],
  ])("%s", (_, filter, ids) => {
    expect(passing(filter)).toEqual(ids);
  });
});
