package lexicor.core.catalogue;

import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/** What one part of a response can hold: a choice out of a closed list, or a measure within a range. */
public sealed interface PartDefinition {

    /** Key of the part that says how a test went: what voids an answer, or that it was left out. */
    String QUALITY = "quality";

    /** What {@link #QUALITY} says of a patient who guarded. */
    String GUARDED = "guarded";

    String key();

    String label();

    Taken taken();

    /**
     * How often a part is taken within one attempt.
     *
     * @param positions the positions it is taken in, such as neutral and pronation; empty where there is but one
     * @param repeats how many goes are recorded, from 1
     * @param andBack whether it is taken again on the way back, such as on lowering the arm; that has the direction
     *     {@link #BACK}, and no rule reads it
     * @param onDemand whether it is recorded only when somebody wants to: the bench shows it when it is asked for
     */
    record Taken(List<String> positions, int repeats, boolean andBack, boolean onDemand) {

        public static final Taken ONCE = new Taken(List.of(), 1, false, false);

        /** The direction of what is taken on the way back. */
        public static final String BACK = "down";

        public Taken {
            positions = List.copyOf(positions);
        }
    }

    /** One answer of a list. */
    record Option(String value, String label) {}

    /**
     * A choice part.
     *
     * @param many whether several options may hold at once
     */
    record Choice(String key, String label, boolean many, List<Option> options, Taken taken) implements PartDefinition {
        public Choice {
            options = List.copyOf(options);
        }

        public Optional<Option> option(String value) {
            return options.stream()
                    .filter(option -> option.value().equals(value))
                    .findFirst();
        }
    }

    /**
     * A measure part in {@code unit}, from {@code least} to {@code most}, entered in steps of {@code step}.
     *
     * @param usual what a full range comes to by the textbooks; empty where it is not judged by eye. It is what "full"
     *     stands for when a rule asks, and where an empty field starts; it is no measurement
     * @param from choice parts that say of what and from where it is measured: with another answer it is another
     *     measure
     */
    record Measure(
            String key,
            String label,
            String unit,
            double least,
            double most,
            double step,
            OptionalDouble usual,
            List<String> from,
            Taken taken)
            implements PartDefinition {

        public Measure {
            from = List.copyOf(from);
        }

        public static final String FULL = "full";
        public static final String AS_OTHER = "as-other";
        public static final String SHORT = "short";

        private static final List<Option> BY_EYE = List.of(
                new Option(FULL, "Full"), new Option(AS_OTHER, "As the other side"), new Option(SHORT, "Short"));

        /** What can be said of it without measuring; none where it has to be measured. */
        public List<Option> byEye() {
            return usual.isPresent() ? BY_EYE : List.of();
        }
    }
}
