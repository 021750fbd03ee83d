package lexicor.core.weighing;

import java.util.List;
import java.util.Optional;
import lexicor.core.catalogue.Condition;

/**
 * Where one condition stands.
 *
 * @param before    chance before any finding, 0..1
 * @param now       chance now, by {@code lens}
 * @param range     middle 95 % of plausible chances now
 * @param loads     what was added up
 * @param held      findings left out of the sum because the cluster stands for them
 * @param unweighed findings that lie on the table
 * @param lenses    the same findings by each way of adding up that applies
 * @param above     the wider condition, where this narrower one stands higher than it: the figures come from different
 *                  studies and contradict each other
 */
public record Standing(Condition condition, double before, double now, Range range, Lens lens, List<Load> loads, List<Load> held,
        List<Unweighed> unweighed, List<LensResult> lenses, Optional<Condition> above) {

    public Standing {
        loads = List.copyOf(loads);
        held = List.copyOf(held);
        unweighed = List.copyOf(unweighed);
        lenses = List.copyOf(lenses);
    }

    /** Whether any finding was weighed. */
    public boolean informed() {
        return !loads.isEmpty();
    }

    /** The likelihood ratio of everything weighed; 1 where nothing was. */
    public double likelihoodRatio() {
        return loads.stream().mapToDouble(Load::likelihoodRatio).reduce(1, (a, b) -> a * b);
    }

    Standing above(Condition wider) {
        return new Standing(condition, before, now, range, lens, loads, held, unweighed, lenses, Optional.of(wider));
    }
}
