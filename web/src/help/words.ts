/** A word of the product, as it is explained to whoever uses it. */
export interface Word {
  word: string;
  says: string;
}

/** The words that stand on the screens, from A to Z. */
export const WORDS: readonly Word[] = [
  {
    word: "Against",
    says: "An answer that makes a condition less likely. How much less is its weight; it rarely rules anything out alone.",
  },
  {
    word: "By picture",
    says: "No accuracy study of this condition can be used. It is told by how many of its typical findings are there, and gets no chance.",
  },
  {
    word: "Chance, in 100",
    says: "Of 100 people with this story who answered like this, so many would have the condition. Two conditions can be there at once, so chances need not add up to 100.",
  },
  {
    word: "Could be",
    says: "The range in which the chance lies in 95 of 100 readings of the evidence: studies are few, clinics differ, and starts are estimates.",
  },
  {
    word: "Decided",
    says: "No answer of the tests that are left in a set could change its level any more.",
  },
  {
    word: "Image or refer",
    says: "A serious condition is likely enough to be looked for by other means. Your local pathway says how and how soon.",
  },
  {
    word: "Left out",
    says: "A test that was not done, with the reason. It counts for nothing and is told in the note.",
  },
  {
    word: "Locked",
    says: "Something that was told, or an answer, makes this test unsafe or useless now. A written reason opens it.",
  },
  {
    word: "Next best",
    says: "The open test that promises most for the time it takes, given all that is known. None is named where none would change much.",
  },
  {
    word: "Not interpretable",
    says: "The answer says neither yes nor no: guarded, not reached, or pain where strength was asked. It is told and not weighed.",
  },
  {
    word: "Not measured",
    says: "Nobody has studied this finding for this condition. It weighs a little, like an average test, and is drawn dotted.",
  },
  {
    word: "Not yet known",
    says: "Nobody has said. It is never taken for “none”.",
  },
  {
    word: "Odds × or ÷",
    says: "By how much an answer moves the odds beside all the others: × 2 turns 1 in 3 into 1 in 2.",
  },
  {
    word: "Red flag",
    says: "A sign of something that hands should not test. Testing waits until somebody has looked into it and says so.",
  },
  {
    word: "Set",
    says: "Several tests that a study counted together. Its level by count is shown beside the weighing.",
  },
  {
    word: "Set aside",
    says: "Below the chance from which this clinic goes on looking. It stays in the list and can come back.",
  },
  {
    word: "Start",
    says: "Where a condition stands before hands: a working estimate for your kind of clinic, moved by what was told. You can set it.",
  },
  {
    word: "Within noise",
    says: "A difference between two visits that measuring alone can make.",
  },
];

/** How an examination goes, a line a step: for the pocket. */
export const QUICK_CARD: readonly Word[] = [
  {
    word: "Begin",
    says: "New patient, then tap where it hurts. Everything is kept from the first tap, also without a connection.",
  },
  { word: "Ask", says: "Only what you know. Red flags have one “none of these”." },
  { word: "Plan", says: "Say how many minutes there are. Change the order if you like." },
  { word: "Nothing found", says: "“Nothing, both sides”, or key 0." },
  { word: "Something found", says: "Well side first, then the involved side: the usual answers are one tap." },
  { word: "Done otherwise", says: "Tap the way beside “Done”: it says what that does to the answer." },
  { word: "Cannot be done", says: "“Leave out”, with the reason." },
  { word: "Wrong tap", says: "Undo, as often as you like." },
  {
    word: "Look",
    says: "The number is the chance in 100, the band what it could be. “Image or refer” comes before everything.",
  },
  { word: "Stop", says: "When nothing left is worth doing, it says so." },
  { word: "End", says: "You conclude. Lexicor only sets beside it what was found, and you sign." },
];
