package lexicor.core.examination;

import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import lexicor.core.catalogue.PartDefinition;
import lexicor.core.catalogue.TestId;

/**
 * One go at a test on one side. Never changed: a correction is a new attempt that supersedes this one.
 *
 * @param variant the school's way of doing it; "usual" where there is but one
 * @param tryNumber number of the go, from 1; a repeat of the test has the next number
 * @param supersedes earlier attempts that this one replaces
 */
public record Attempt(
        UUID id, TestId test, String variant, Side side, int tryNumber, Set<UUID> supersedes, List<Part> parts) {

    public Attempt {
        if (tryNumber < 1 || tryNumber > 20) {
            throw new IllegalArgumentException("tryNumber is " + tryNumber + "; allowed: 1 to 20");
        }
        supersedes = Set.copyOf(supersedes);
        parts = List.copyOf(parts);
    }

    /** The choices recorded for a part; empty where nothing was. */
    public Set<String> choices(String part) {
        return parts.stream()
                .filter(Part.Chosen.class::isInstance)
                .map(Part.Chosen.class::cast)
                .filter(chosen -> chosen.key().equals(part))
                .map(Part.Chosen::choice)
                .collect(Collectors.toUnmodifiableSet());
    }

    /** Whether the test was left out. */
    public boolean leftOut() {
        return choices(PartDefinition.QUALITY).contains("skipped");
    }
}
