import MiniSearch from "minisearch";
import type { Schemas } from "../shared/api/client";
import { plainWords, searchWords } from "../shared/format";

type Library = Schemas["LibraryJson"];

/** What was found: a sheet to open, and by which of its words. */
export interface Hit {
  kind: "test" | "condition" | "set";
  id: string;
  /** Other names that the searched words hit; empty where the name itself did. */
  by: string[];
}

interface Entry {
  id: string;
  name: string;
  aliases: string;
  about: string;
}

/**
 * Finds sheets by name, other names, structures and conditions, as one types, forgiving misspellings.
 *
 * @example new LibrarySearch(library).find("obrian")
 */
export class LibrarySearch {
  readonly #index: MiniSearch<Entry>;
  readonly #aliases = new Map<string, string[]>();
  readonly #sharedNames: Library["sharedNames"];

  constructor(library: Library) {
    this.#sharedNames = library.sharedNames;
    this.#index = new MiniSearch<Entry>({
      fields: ["name", "aliases", "about"],
      processTerm: (term) => term,
      tokenize: searchWords,
      searchOptions: {
        boost: { name: 3, aliases: 2.5 },
        prefix: true,
        fuzzy: (term) => (term.length > 3 ? 0.25 : false),
        combineWith: "AND",
      },
    });
    const conditionNames = new Map(library.conditions.map((condition) => [condition.id, condition.name]));
    this.#index.addAll([
      ...library.tests.map((test) =>
        this.#entry(
          `test ${test.id}`,
          [test.name, test.shortName, test.usualName ?? ""],
          [...test.aliases, ...test.misspelt],
          [...test.structures, ...test.conditions.map((id) => conditionNames.get(id) ?? ""), test.stage],
        ),
      ),
      ...library.conditions.map((condition) =>
        this.#entry(`condition ${condition.id}`, [condition.name, condition.shortName], [], [condition.scope]),
      ),
      ...library.clusters.map((cluster) =>
        this.#entry(`set ${cluster.id}`, [cluster.name], [], [cluster.conditionName, ...cluster.components]),
      ),
    ]);
  }

  #entry(id: string, names: string[], aliases: string[], about: string[]): Entry {
    this.#aliases.set(id, aliases);
    return { id, name: names.join(" "), aliases: aliases.join(" · "), about: about.join(" ") };
  }

  /** The best first; nothing for an empty search. */
  find(words: string): Hit[] {
    return this.#index.search(words).map((found) => {
      const [kind, id] = String(found.id).split(" ") as [Hit["kind"], string];
      const matched = Object.entries(found.match)
        .filter(([, fields]) => fields.includes("aliases"))
        .map(([term]) => term);
      const byName = Object.values(found.match).some((fields) => fields.includes("name"));
      const by = byName
        ? []
        : (this.#aliases.get(String(found.id)) ?? []).filter((alias) =>
            matched.some((term) => plainWords(alias).includes(term)),
          );
      return { kind, id, by };
    });
  }

  /** A name that several tests go by, where the words mean it: all of its first word, and nothing that is not in it. */
  sharedName(words: string): Library["sharedNames"][number] | undefined {
    const asked = searchWords(words);
    return asked.length === 0
      ? undefined
      : this.#sharedNames.find((shared) => {
          const own = plainWords(shared.name).split(" ");
          return (
            own[0] !== undefined &&
            asked[0] !== undefined &&
            asked[0].length > 2 &&
            own[0].startsWith(asked[0]) &&
            asked.every((word) => own.some((part) => part.startsWith(word)))
          );
        });
  }
}
