import type { Schemas } from "../shared/api/client";
import { listed, numbered } from "../shared/format";

export type PracticeCase = Schemas["PracticeCaseJson"];
export type Review = Schemas["PracticeReviewJson"];
type Group = Schemas["PracticeQuestionJson"]["group"];
type Kind = NonNullable<Schemas["PracticeBeginning"]["kind"]>;
type Missed = Schemas["PracticeMissedJson"];

export const GROUPS: [Group, string][] = [
  ["SAFETY", "Safety"],
  ["BEGINNING", "How it began"],
  ["PAIN", "The pain"],
  ["FEELS", "How it feels"],
  ["WHERE", "Where"],
  ["MORE", "Anything else"],
];

export const KINDS: [Kind, string, string][] = [
  ["PLAIN", "One thing", "One thing is wrong."],
  ["RIVAL", "A rival", "Something else answers the same tests."],
  ["TWO", "Two things", "Two things at once."],
  ["FLAG", "A red flag", "For whoever asks."],
  ["LOCK", "A lock", "Some tests must not be done."],
  ["NOTHING", "Nothing", "Nothing that these tests are about."],
];

/** A mean squared distance from the truth in words: 0 is perfect, 25 is a coin. */
export function distance(score: number): string {
  return (100 * score).toFixed(score < 0.1 ? 1 : 0);
}

/** Minutes as they are said: "4 min". */
export function minutes(value: number): string {
  return value < 1 ? "under 1 min" : `${String(Math.round(value))} min`;
}

/** What was missed, in a sentence. */
export function missedWords(missed: Missed): string {
  const tests = listed(missed.tests);
  switch (missed.kind) {
    case "FLAGS_NOT_ASKED":
      return "Hands on before the red flags were asked about.";
    case "FLAG_IGNORED":
      return "There was a red flag. Such a patient is sent on, and not examined further.";
    case "SENT_ON_FOR_NOTHING":
      return "Sent on without a red flag.";
    case "HURT":
      return `Hurt for nothing: ${tests}.`;
    case "WELL_SIDE":
      return `Without the well side first: ${tests}.`;
    case "NOT_TRIED_AGAIN":
      return `Guarded, and not tried again after a pause: ${tests}.`;
    case "OTHER_WAY":
      return `Done in a way that nobody has studied, so it says nothing: ${tests}.`;
  }
}

/** Below this a move is none, in decibans. */
const STILL = 0.5;
const NEAR = 1.5;

/** How one's own move went beside what the answer weighs, as what "you" did. */
export function moveWords(own: number, weighed: number): string {
  if (Math.abs(weighed) < STILL) {
    return Math.abs(own) < 2 * STILL ? "hardly moved, rightly" : "moved too far: the answer says next to nothing of it";
  }
  if (Math.abs(own) < STILL) {
    return "did not move";
  }
  if (Math.sign(own) !== Math.sign(weighed)) {
    return "moved the wrong way";
  }
  const ratio = own / weighed;
  if (ratio > NEAR) {
    return `moved too far, ${ratio.toFixed(1)} times as far as the answer goes`;
  }
  return ratio < 1 / NEAR
    ? `moved too little, ${String(Math.round(100 * ratio))} in 100 of the way`
    : "moved about right";
}

/** What a slope of one's own moves on those of the weighing says. */
export function reactionWords(reaction: { lower: number; upper: number } | null | undefined): string {
  if (!reaction) {
    return "";
  }
  if (reaction.lower > 1) {
    return "You go too far: an answer moves you more than it weighs.";
  }
  return reaction.upper < 1
    ? "You go too little: an answer moves you less than it weighs."
    : "You go about as far as answers weigh, as far as can be told.";
}

/** When one could have stopped. */
export function stopWords(review: Review): string {
  const done = review.turns.length;
  if (review.couldStop == null || done === 0) {
    return "";
  }
  if (review.couldStop >= done) {
    return "You stopped when nothing more was worth doing.";
  }
  return review.couldStop === 0
    ? "The story alone said as much as any test could."
    : `After ${numbered(review.couldStop, "test")} nothing more was worth doing; you did ${String(done)}.`;
}
