package lexicor.core.intake;

import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.RedFlag;

/**
 * The red flags of a region with what was answered. Testing is open only once every flag was asked, and none of those
 * present is left unreleased.
 */
public final class SafetyScreen {

    /** Where the screen stands. */
    public enum State {
        /** Something has not been asked. */
        NOT_YET_ASKED,
        /** A flag is present and nobody has released it. */
        SUSPENDED,
        OPEN
    }

    /**
     * That somebody looked into a flag and testing may go on.
     *
     * @param by who
     * @param at when
     * @param reason why, in words
     */
    public record Release(String by, Instant at, String reason) {

        /** @throws IllegalArgumentException if nobody or nothing is named */
        public Release {
            if (by == null || by.isBlank()) {
                throw new IllegalArgumentException("by is empty; allowed: who releases it");
            }
            if (reason == null || reason.strip().length() < 3) {
                throw new IllegalArgumentException("reason is too short; allowed: why testing may go on, in words");
            }
        }
    }

    private final List<RedFlag> asked;
    private final Map<String, Boolean> answers;
    private final Map<String, Release> releases;

    private SafetyScreen(List<RedFlag> asked, Map<String, Boolean> answers, Map<String, Release> releases) {
        this.asked = asked;
        this.answers = answers;
        this.releases = releases;
    }

    /** The screen of a region before anything was answered. */
    public static SafetyScreen of(Catalogue catalogue, String region) {
        List<RedFlag> flags = catalogue.redFlagsOf(region);
        if (flags.isEmpty()) {
            throw new IllegalArgumentException(
                    "region '" + region + "' has no red flags; allowed: " + regions(catalogue));
        }
        return new SafetyScreen(flags, Map.of(), Map.of());
    }

    private static Set<String> regions(Catalogue catalogue) {
        Set<String> regions = new TreeSet<>();
        catalogue.redFlags().forEach(flag -> regions.addAll(flag.regions()));
        return regions;
    }

    /** None of these: one answer for every flag that is not answered yet. */
    public SafetyScreen noneOfThese() {
        Map<String, Boolean> all = new LinkedHashMap<>();
        asked.forEach(flag -> all.put(flag.id(), answers.getOrDefault(flag.id(), false)));
        return new SafetyScreen(asked, all, releases);
    }

    /** Only the flags that are present count as answered: the others are open again. */
    SafetyScreen onlyPresentAnswered() {
        Map<String, Boolean> present = new LinkedHashMap<>();
        present().forEach(flag -> present.put(flag.id(), true));
        return new SafetyScreen(asked, present, releases);
    }

    /** One flag answered. A flag found again after its release suspends anew. */
    public SafetyScreen answered(String flag, boolean present) {
        require(flag);
        Map<String, Boolean> changed = new LinkedHashMap<>(answers);
        changed.put(flag, present);
        Map<String, Release> kept = new LinkedHashMap<>(releases);
        kept.remove(flag);
        return new SafetyScreen(asked, changed, kept);
    }

    /** A present flag released. */
    public SafetyScreen released(String flag, Release release) {
        require(flag);
        if (!answers.getOrDefault(flag, false)) {
            throw new IllegalArgumentException("red flag '" + flag + "' is not present; allowed: "
                    + present().stream().map(RedFlag::id).toList());
        }
        Map<String, Release> more = new LinkedHashMap<>(releases);
        more.put(flag, release);
        return new SafetyScreen(asked, answers, more);
    }

    public State state() {
        if (present().stream().anyMatch(flag -> !releases.containsKey(flag.id()))) {
            return State.SUSPENDED;
        }
        return asked.stream().allMatch(flag -> answers.containsKey(flag.id())) ? State.OPEN : State.NOT_YET_ASKED;
    }

    public List<RedFlag> asked() {
        return asked;
    }

    /** Flags found present, released or not. */
    public List<RedFlag> present() {
        return asked.stream()
                .filter(flag -> answers.getOrDefault(flag.id(), false))
                .toList();
    }

    /** Releases by flag. */
    public Map<String, Release> releases() {
        return Map.copyOf(releases);
    }

    private void require(String flag) {
        if (asked.stream().noneMatch(known -> known.id().equals(flag))) {
            throw new IllegalArgumentException("red flag '" + flag + "' is not asked here; allowed: "
                    + asked.stream().map(RedFlag::id).toList());
        }
    }
}
