package lexicor.core.weighing;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import lexicor.core.catalogue.Condition;

/**
 * Where one condition stands.
 *
 * @param before    chance before any finding, 0..1
 * @param now       chance now, through {@code lens}
 * @param range     middle 95 % of plausible chances now
 * @param leads     share of plausible readings of the evidence in which it ranks first among one condition per family;
 *                  never its chance
 * @param lens      the way of adding up
 * @param sum       what was added up
 * @param held      findings left out of the sum because something else stands for them
 * @param unweighed findings that lie on the table
 * @param lenses    the same findings by every way of adding up that gives a chance
 * @param tally     the same findings counted
 * @param above     the wider condition, where this narrower one stands higher than it: the figures come from different
 *                  studies and contradict each other
 * @param pattern   how far the findings look like what is expected
 * @param measured  whether any finding about it has figures at all
 */
public record Standing(Condition condition, double before, double now, Range range, double leads, Lens lens, Sum sum, List<Load> held,
        List<Unweighed> unweighed, List<LensResult> lenses, Tally tally, Optional<Condition> above, PatternReading pattern, boolean measured) {

    /**
     * What was added up, in decibans.
     *
     * @param groups findings that share a factor
     * @param alone  findings that tell next to nothing, or are known by a ratio only
     * @param link   what the weak link between groups adds or takes: with it the parts make up the whole
     */
    public record Sum(List<LoadGroup> groups, List<Load> alone, double link) {

        static final Sum NOTHING = new Sum(List.of(), List.of(), 0);

        public Sum {
            groups = List.copyOf(groups);
            alone = List.copyOf(alone);
        }

        /** The whole weight, 10 log10 LR. */
        public double decibans() {
            return groups.stream().mapToDouble(LoadGroup::decibans).sum() + alone.stream().mapToDouble(Load::decibans).sum() + link;
        }
    }

    public Standing {
        held = List.copyOf(held);
        unweighed = List.copyOf(unweighed);
        lenses = List.copyOf(lenses);
    }

    /** Everything that was added up. */
    public List<Load> loads() {
        return Stream.concat(sum.groups().stream().flatMap(group -> group.members().stream()).map(LoadGroup.Member::load), sum.alone().stream()).toList();
    }

    /** Whether any finding was weighed. */
    public boolean informed() {
        return !sum.groups().isEmpty() || !sum.alone().isEmpty();
    }

    /** The likelihood ratio of everything weighed; 1 where nothing was. */
    public double likelihoodRatio() {
        return Math.pow(10, sum.decibans() / 10);
    }

    Standing above(Condition wider) {
        return new Standing(condition, before, now, range, leads, lens, sum, held, unweighed, lenses, tally, Optional.of(wider), pattern, measured);
    }

    Standing leads(double share) {
        return new Standing(condition, before, now, range, share, lens, sum, held, unweighed, lenses, tally, above, pattern, measured);
    }
}
