package lexicor.core.differential;

import java.util.Optional;

/** A condition that a finding speaks about, with or without figures of its own. */
public sealed interface Target {

    /** The condition. */
    String condition();

    /**
     * Figures of a condition, or of it without a narrower one.
     *
     * @param sensitivity share of positives with the condition, within 0..1 and neither
     * @param specificity share of negatives without it, within 0..1 and neither
     * @param sizes patients with and without it
     * @param study in which it was measured; records without one are each a study of their own
     * @param except the narrower condition that those counted as having it do not have
     * @param variances of the logits, in place of those by sizes and transport
     */
    record Figures(
            String condition,
            double sensitivity,
            double specificity,
            Optional<Sizes> sizes,
            Optional<String> study,
            Optional<String> except,
            Optional<Variances> variances)
            implements Target {

        /** Refuses a proportion that is not between 0 and 1. */
        public Figures {
            if (!(sensitivity > 0 && sensitivity < 1 && specificity > 0 && specificity < 1)) {
                throw new IllegalArgumentException("sensitivity and specificity lie between 0 and 1");
            }
        }

        /** A plain record of its own, without sizes. */
        public static Figures of(String condition, double sensitivity, double specificity) {
            return new Figures(
                    condition,
                    sensitivity,
                    specificity,
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty());
        }

        /** How far it separates, from -1 to 1. */
        public double separation() {
            return sensitivity + specificity - 1;
        }
    }

    /** A condition without figures, which borrows a part of the others' effect. */
    record Borrowed(String condition) implements Target {}

    /** Patients with and without the condition. */
    record Sizes(double with, double without) {}

    /** What is uncertain of the logit of the sensitivity, and of one minus the specificity. */
    record Variances(double sensitivity, double specificity) {}
}
