/** Words and numbers as the page writes them, in one place. */

/** A chance as a whole number in 100 that promises no certainty: "38", "under 1", "over 99". */
export function inHundred(chance: number): string {
  if (chance < 0.01) {
    return "under 1";
  }
  return chance > 0.99 ? "over 99" : String(Math.round(100 * chance));
}

/** A share that was counted, as a whole number in 100: "0", "38", "100". */
export function countedInHundred(share: number): string {
  return String(Math.round(100 * share));
}

/** A range of chances: "22 to 57". */
export function rangeInHundred(lower: number, upper: number): string {
  return `${inHundred(lower)} to ${inHundred(upper)}`;
}

/** How many of 1000 people, rounded to tens and never none or all. */
export function ofThousand(chance: number): number {
  return Math.min(990, Math.max(10, 10 * Math.round(100 * chance)));
}

/** A share in tenths that promises no more than it holds: "7", "under 1", "9+". */
export function tenths(share: number): string {
  const rounded = Math.round(10 * share);
  return rounded < 1 ? "under 1" : rounded > 9 ? "9+" : String(rounded);
}

/** A likelihood ratio as a factor on the odds: "× 3.9" or "÷ 1.5". */
export function factor(ratio: number): string {
  const size = ratio >= 1 ? ratio : 1 / ratio;
  const digits = size < 9.95 ? size.toFixed(1) : size.toFixed(0);
  return `${ratio >= 1 ? "×" : "÷"} ${digits}`;
}

/** A likelihood ratio or another number with two or three meaningful digits: "0.33", "3.9", "17". */
export function decimal(value: number): string {
  return value < 1 ? value.toFixed(2) : value < 9.95 ? value.toFixed(1) : value.toFixed(0);
}

const day = new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "short" });
const clock = new Intl.DateTimeFormat("en-GB", { hour: "2-digit", minute: "2-digit" });

/** What stands for a time that no clock can show. */
const NO_TIME = "time unknown";

/** A time as "21 Nov, 14:05". */
export function when(iso: string): string {
  const date = new Date(iso);
  return isShown(date) ? `${day.format(date)}, ${clock.format(date)}` : NO_TIME;
}

/** A date that a calendar can show; others are shown in words, and never throw. */
function isShown(date: Date): boolean {
  return !Number.isNaN(date.getTime());
}

const fullDay = new Intl.DateTimeFormat("en-GB", { day: "numeric", month: "short", year: "numeric" });

/** A day as "21 Nov 2026". */
export function onDay(iso: string): string {
  const date = new Date(iso);
  return isShown(date) ? fullDay.format(date) : NO_TIME;
}

/** The regions as they are named, from the trunk outwards. */
export const REGIONS = ["shoulder", "elbow", "wrist", "hand"];

/** What is affected: "right shoulder", "both wrists, right is worse". */
export function affected(side: "LEFT" | "RIGHT", both: boolean, region: string): string {
  return both ? `both ${region}s, ${sideWord(side)} is worse` : `${sideWord(side)} ${region}`;
}

/** Where a complaint is: "left shoulder", "both wrists". */
export function complaintWords(side: "LEFT" | "RIGHT" | "BOTH", region: string): string {
  return side === "BOTH" ? `both ${region}s` : `${sideWord(side)} ${region}`;
}

/** A number with what it counts: "1 visit", "3 visits". */
export function numbered(count: number, word: string): string {
  return `${String(count)} ${word}${count === 1 ? "" : "s"}`;
}

/** Who somebody is, as far as it was said: "Sail mender, born 1974". */
export function whoIs(person: { birthYear?: number | null; occupation: string }): string {
  return [person.occupation, person.birthYear ? `born ${String(person.birthYear)}` : ""].filter(Boolean).join(", ");
}

export function sideWord(side: "LEFT" | "RIGHT"): string {
  return side === "LEFT" ? "left" : "right";
}

export function capital(word: string): string {
  return word.charAt(0).toUpperCase() + word.slice(1);
}

/** A name as it stands within a sentence: abbreviations such as AC keep their capitals. */
export function sentence(name: string): string {
  return /^[A-Z]{2}/.test(name) ? name : name.charAt(0).toLowerCase() + name.slice(1);
}

export function settingWords(setting: "FIRST_CONTACT" | "SPECIALIST"): string {
  return setting === "FIRST_CONTACT" ? "First-contact clinic" : "Specialist clinic";
}

/** One kilogram-force in newtons, by definition of standard gravity. */
export const KILOGRAM = 9.80665;

/** Newtons in the unit that is shown: whole newtons, or kilograms to a tenth. */
export function force(newtons: number, unit: "N" | "kg"): string {
  return unit === "N" ? `${String(Math.round(newtons))} N` : `${(newtons / KILOGRAM).toFixed(1)} kg`;
}

/** Names as they stand at the head of a sentence: "Range, grip and key pinch". */
export function listed(names: readonly string[]): string {
  const [first, ...rest] = names;
  const said = [first ?? "", ...rest.map(sentence)];
  return said.length < 2 ? (said[0] ?? "") : `${said.slice(0, -1).join(", ")} and ${said.at(-1) ?? ""}`;
}

/** Words without marks over letters and without apostrophes, in small letters. */
export function plainWords(text: string): string {
  return text
    .normalize("NFD")
    .replace(/[\u0300-\u036f'’]/g, "")
    .toLowerCase();
}

/** The words of a text, plain, for searching; degrees stay. */
export function searchWords(text: string): string[] {
  return plainWords(text)
    .split(/[^a-z0-9°]+/)
    .filter((word) => word !== "");
}

/** What else a test is called, beside its short name; empty where it has no other name. */
export function alsoCalled(test: { shortName: string; usualName?: string | null | undefined }): string {
  return test.usualName && test.usualName !== test.shortName ? capital(test.usualName) : "";
}
