package lexicor.core.pathway;

import java.util.Collection;
import java.util.List;
import java.util.Map;

/**
 * A pathway through the examination of a complaint.
 *
 * @param id lower-case words with hyphens
 * @param name the complaint that it starts from
 * @param region of the examination
 * @param zones where it hurts when it is offered; empty where that does not matter
 * @param clues of which one has to hold when it is offered; empty where none has to
 * @param steps the first is where it starts
 */
public record Pathway(String id, String name, String region, List<String> zones, List<String> clues, List<Step> steps) {

    public Pathway {
        zones = List.copyOf(zones);
        clues = List.copyOf(clues);
        steps = List.copyOf(steps);
    }

    public Step start() {
        return steps.get(0);
    }

    /** A step, or {@link IllegalArgumentException}. Never null. */
    public Step step(String name) {
        return steps.stream()
                .filter(step -> step.id().equals(name))
                .findFirst()
                .orElseThrow(() -> new IllegalArgumentException("pathway '" + id + "' has no step '" + name + "'"));
    }

    /**
     * Whether it is offered to a patient who hurts in {@code open} zones and of whom the clues are known to hold or
     * not.
     */
    public boolean starts(Collection<String> open, Map<String, Boolean> known) {
        return (zones.isEmpty() || zones.stream().anyMatch(open::contains))
                && (clues.isEmpty() || clues.stream().anyMatch(clue -> known.getOrDefault(clue, false)));
    }
}
