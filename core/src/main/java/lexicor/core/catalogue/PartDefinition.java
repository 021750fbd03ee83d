package lexicor.core.catalogue;

import java.util.List;
import java.util.Optional;

/** What one part of a response can hold: a choice out of a closed list, or a measure within a range. */
public sealed interface PartDefinition {

    String key();

    String label();

    Taken taken();

    /**
     * How often a part is taken within one attempt.
     *
     * @param positions the positions it is taken in, such as neutral and pronation; empty where there is but one
     * @param repeats   how many goes are recorded, from 1
     * @param andBack   whether it is taken again on the way back, such as on lowering the arm; that has the direction
     *                  {@link #BACK}, and no rule reads it
     */
    record Taken(List<String> positions, int repeats, boolean andBack) {

        public static final Taken ONCE = new Taken(List.of(), 1, false);

        /** The direction of what is taken on the way back. */
        public static final String BACK = "down";

        public Taken {
            positions = List.copyOf(positions);
        }
    }

    /** One answer of a list. */
    record Option(String value, String label) {
    }

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
            return options.stream().filter(option -> option.value().equals(value)).findFirst();
        }
    }

    /** A measure part in {@code unit}, from {@code least} to {@code most}, entered in steps of {@code step}. */
    record Measure(String key, String label, String unit, double least, double most, double step, Taken taken) implements PartDefinition {
    }
}
