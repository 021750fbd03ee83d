import MiniSearch, { type SearchResult } from "minisearch";
import { searchWords } from "../format";

const MOST = 6;

/** Share of a word's letters that may be wrong. */
const FORGIVEN = 0.34;

/** A test with the names that it may be looked for by. */
export interface Named {
  id: string;
  name: string;
  shortName: string;
  usualName?: string | null;
  aliases: readonly string[];
  misspelt?: readonly string[];
  region?: string;
}

/** A name that several tests go by, each with how it differs. */
export interface Shared {
  name: string;
  meant: readonly { value: string; label: string }[];
}

/**
 * Finds tests by every name they go by, as one types, in any spelling: by the beginnings of words first, then by words that are
 * nearly right. Those of the region come before others that fit as well.
 *
 * @example new TestFinder(tests, "shoulder").find("hawkings")
 */
export class TestFinder<T extends Named> {
  readonly #tests = new Map<string, T>();
  readonly #index: MiniSearch;
  readonly #region: string | undefined;

  constructor(tests: readonly T[], region?: string) {
    this.#region = region;
    this.#index = new MiniSearch({
      fields: ["own", "aliases", "misspelt"],
      tokenize: searchWords,
      processTerm: (term) => term,
      searchOptions: { prefix: true, combineWith: "AND", boost: { own: 3, aliases: 2 } },
    });
    tests.forEach((test) => {
      this.#tests.set(test.id, test);
    });
    this.#index.addAll(
      [...this.#tests.values()].map((test) => ({
        id: test.id,
        own: [test.name, test.shortName, test.usualName ?? ""].join(" "),
        aliases: test.aliases.join(" "),
        misspelt: (test.misspelt ?? []).join(" "),
      })),
    );
  }

  /** The best first; nothing before two letters. */
  find(typed: string): T[] {
    const asked = searchWords(typed).join(" ");
    if (asked.length < 2) {
      return [];
    }
    const fuzzy = (term: string) => (term.length > 3 ? FORGIVEN : false);
    let hits: SearchResult[] = [];
    for (const options of [{}, { fuzzy }, { fuzzy, combineWith: "OR" as const }]) {
      hits = hits.length > 0 ? hits : this.#index.search(asked, options);
    }
    const wanted = bare(asked);
    const whole = (test: T | undefined) =>
      test !== undefined &&
      [test.name, test.shortName, test.usualName ?? "", ...test.aliases].some((name) => bare(name) === wanted);
    const score = (id: string, points: number) => {
      const test = this.#tests.get(id);
      const here = this.#region !== undefined && test?.region === this.#region ? 1.5 : 1;
      return points * here * (whole(test) ? 10 : 1);
    };
    return hits
      .sort((one, other) => score(String(other.id), other.score) - score(String(one.id), one.score))
      .slice(0, MOST)
      .flatMap((hit) => this.#tests.get(String(hit.id)) ?? []);
  }
}

/** A name without "test", "sign" and the ending of a possessive. */
function bare(name: string): string {
  return searchWords(name.replace(/['’]s\b/g, ""))
    .filter((word) => !["test", "sign"].includes(word))
    .join(" ");
}

/** The name that was typed where several tests go by it, or can be by the end of the word at hand. */
export function sharedName(names: readonly Shared[], typed: string): Shared | undefined {
  const asked = bare(typed);
  return asked.length < 3
    ? undefined
    : (names.find((shared) => bare(shared.name) === asked) ??
        (asked.length > 3 ? names.find((shared) => bare(shared.name).startsWith(asked)) : undefined));
}
