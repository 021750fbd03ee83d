package lexicor.core.catalogue;

import java.util.Optional;
import java.util.Set;
import lexicor.core.source.Place;

/**
 * A way of doing a test: position, angle, hand or time. The first of a test is the usual one.
 *
 * @param value its name in the record
 * @param differs how it is done
 * @param capture what it needs recorded; empty where nothing beyond the usual
 * @param covered records of the ledger whose studies did it this way
 * @param other what becomes of an answer where no record covers it; empty where it is noted only
 * @param because why; empty where {@code other} is
 * @param place where it is written
 */
public record Way(
        String value,
        String label,
        String differs,
        String capture,
        Set<String> covered,
        Optional<Effect> other,
        String because,
        Place place) {

    /** What the record calls a test done the usual way, or as the school does it. */
    public static final String USUAL = "usual";

    /**
     * {@code SAME} makes no difference, {@code WIDER} is weighed with more uncertainty, {@code NOTED} is not weighed.
     */
    public enum Effect {
        SAME,
        WIDER,
        NOTED
    }

    public Way {
        covered = Set.copyOf(covered);
    }

    /**
     * What becomes of an answer.
     *
     * @param studied whether a record that covers this way speaks about the condition
     */
    public Effect effect(boolean studied) {
        return studied ? Effect.SAME : other.orElse(Effect.NOTED);
    }

    /** The reason in words, such as "done another way (lying): no study did it this way". */
    public String reason() {
        return "done another way (" + label.substring(0, 1).toLowerCase() + label.substring(1) + "): "
                + (because.isEmpty() ? "no study did it this way" : because);
    }
}
