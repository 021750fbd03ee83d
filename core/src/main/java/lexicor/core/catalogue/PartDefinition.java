package lexicor.core.catalogue;

import java.util.List;
import java.util.Optional;

/** What one part of a response can hold: a choice out of a closed list, or a measure within a range. */
public sealed interface PartDefinition {

    String key();

    String label();

    /** One answer of a list. */
    record Option(String value, String label) {
    }

    /**
     * A choice part.
     *
     * @param many whether several options may hold at once
     */
    record Choice(String key, String label, boolean many, List<Option> options) implements PartDefinition {
        public Choice {
            options = List.copyOf(options);
        }

        public Optional<Option> option(String value) {
            return options.stream().filter(option -> option.value().equals(value)).findFirst();
        }
    }

    /** A measure part in {@code unit}, from {@code least} to {@code most}, entered in steps of {@code step}. */
    record Measure(String key, String label, String unit, double least, double most, double step) implements PartDefinition {
    }
}
