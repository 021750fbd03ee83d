package lexicor.core.catalogue;

import java.util.List;

/** What the therapist reads at the plinth: one short line each. */
public record CueCard(String patient, String you, String movement, String ask, List<Watch> watch, String stop) {
    public CueCard {
        watch = List.copyOf(watch);
    }

    /** A compensation to look out for, which can be ticked and then voids what {@code voids} says. */
    public record Watch(String value, String label, Gate.Voids voids, String because) {}
}
