import { expect, test } from "vitest";
import { draftOf, emptyDraft, toSend, unreadable } from "./studyDraft";

const counts = {
  ...emptyDraft("sh-neer", "subacromial-pain"),
  criterion: "pain",
  positiveMeant: "pain at the top",
  citation: "Nobody AB, 2026",
  tp: "20",
  fp: "10",
  fn: "5",
  tn: " 30 ",
};

test("four counts are sent as counts and nothing else is", () => {
  expect(unreadable(counts)).toEqual({});
  expect(toSend({ ...counts, sensitivity: "0.3" })).toMatchObject({
    counts: { tp: 20, fp: 10, fn: 5, tn: 30 },
    sensitivity: null,
    with: null,
  });
});

test("what has to be chosen or written is named all at once", () => {
  expect(Object.keys(unreadable(emptyDraft("", "")))).toEqual([
    "test",
    "condition",
    "positiveMeant",
    "citation",
    "tp",
    "fp",
    "fn",
    "tn",
  ]);
});

test("a count that is missing or no whole number is named", () => {
  expect(Object.keys(unreadable({ ...counts, fp: "", fn: "5.5" }))).toEqual(["fp", "fn"]);
});

test("a proportion may be written with a comma, and what is not published stays away", () => {
  const typed = { ...counts, entry: "proportions" as const, sensitivity: "0,84", specificity: ".7", with: "" };
  expect(unreadable(typed)).toEqual({});
  expect(toSend(typed)).toMatchObject({ counts: null, sensitivity: 0.84, specificity: 0.7, with: null });
  expect(Object.keys(unreadable({ ...typed, specificity: "70 %", with: "12.5" }))).toEqual(["specificity", "with"]);
});

test("only ratios are sent where a study published no more", () => {
  expect(toSend({ ...counts, entry: "ratios", lrPositive: "3", lrNegative: "0.4", sensitivity: "0.9" })).toMatchObject({
    lrPositive: 3,
    lrNegative: 0.4,
    sensitivity: null,
    counts: null,
  });
});

test("a record that is read into the form and sent again says the same", () => {
  const said = toSend({ ...counts, entry: "proportions", sensitivity: "0.84", originator: "yes", criterion: "pain" });
  expect(toSend(draftOf(said))).toEqual(said);
});

test("what is kept and not used needs a reason", () => {
  expect(unreadable({ ...counts, used: "no", unused: " " })).toEqual({ unused: "Say why it is kept and not used." });
  expect(toSend({ ...counts, used: "yes", unused: "left over" }).unused).toBe("");
});
