const MOST = 5;

interface Named {
  name: string;
  shortName: string;
  aliases: string[];
}

/** Tests whose names or aliases have a word that begins with every word typed; those by their own name first. */
export function found<T extends Named>(tests: readonly T[], typed: string): T[] {
  const wanted = words(typed);
  if (typed.trim().length < 2) {
    return [];
  }
  const begins = (names: string[]) => {
    const known = names.flatMap(words);
    return wanted.every((word) => known.some((each) => each.startsWith(word)));
  };
  const own = tests.filter((test) => begins([test.name, test.shortName]));
  const others = tests.filter((test) => !own.includes(test) && begins([test.name, test.shortName, ...test.aliases]));
  return [...own, ...others].slice(0, MOST);
}

function words(text: string): string[] {
  return text.toLowerCase().split(/[^\p{L}\p{N}°]+/u).filter((word) => word !== "");
}
