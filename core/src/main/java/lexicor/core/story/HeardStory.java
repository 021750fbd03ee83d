package lexicor.core.story;

import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import lexicor.core.catalogue.Pattern;

/**
 * What was told, as the rows of the story ask for it.
 *
 * @param clues clues that are known, and whether each holds; what was not asked is not among them
 * @param ages the ages that are possible; empty where the year of birth is not known
 * @param weeks how long ago it began; empty where nobody said
 */
public record HeardStory(Map<String, Boolean> clues, Optional<Pattern.Ages> ages, Optional<Weeks> weeks) {

    public static final HeardStory NOTHING = new HeardStory(Map.of(), Optional.empty(), Optional.empty());

    public HeardStory {
        clues = Collections.unmodifiableMap(new LinkedHashMap<>(clues));
    }

    public boolean holds(String clue) {
        return clues.getOrDefault(clue, false);
    }

    /** Whether a clue was asked about and is not there. */
    public boolean denied(String clue) {
        return !clues.getOrDefault(clue, true);
    }

    /** Whether every possible age lies within. */
    public boolean aged(Pattern.Ages within) {
        return ages.filter(possible -> within.contains(possible.from()) && within.contains(possible.to()))
                .isPresent();
    }
}
