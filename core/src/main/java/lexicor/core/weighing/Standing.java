package lexicor.core.weighing;

import java.util.List;
import java.util.Optional;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.TestId;
import lexicor.core.catalogue.Thresholds;
import lexicor.core.findings.Unweighed;
import lexicor.core.findings.WeighedGroup;
import lexicor.core.findings.WeightedFinding;
import lexicor.core.posttest.Range;

/**
 * Where one condition stands.
 *
 * @param before chance before any finding, 0..1
 * @param now chance now, through {@code lens}
 * @param range middle 95 % of plausible chances now
 * @param leads share of plausible readings of the evidence in which it ranks first among one condition per family;
 *     never its chance
 * @param lens the way of adding up
 * @param sum what was added up
 * @param held findings left out of the sum because something else stands for them
 * @param unweighed findings that lie on the table
 * @param tally the same findings counted
 * @param pattern how far the findings look like what is expected
 * @param measured whether any finding about it has figures at all
 */
public record Standing(
        Condition condition,
        double before,
        double now,
        Range range,
        double leads,
        Lens lens,
        Sum sum,
        List<WeightedFinding> held,
        List<Unweighed> unweighed,
        Tally tally,
        PatternReading pattern,
        boolean measured) {

    /** Whether it is neither set aside nor unlikely by definition; from a chance of {@code least} on, 0..1. */
    public boolean inPlay(double least) {
        return now >= least && !pattern.unlikely();
    }

    /** Decibans from which a finding about another condition counts as having told something. */
    static final double MOVES = 0.5;

    /**
     * What was added up, in decibans.
     *
     * @param groups findings that share a factor; one that stands by itself is a group of its own
     * @param byWay findings about other conditions that have moved this one: wider or narrower ones, or rivals that
     *     explain them
     * @param link what findings share with each other, or take from each other: with it the parts make up the whole
     */
    public record Sum(List<WeighedGroup> groups, List<WeighedGroup.Member> byWay, double link) {

        public Sum {
            groups = List.copyOf(groups);
            byWay = List.copyOf(byWay);
        }

        /** The whole weight, 10 log10 LR. */
        public double decibans() {
            return groups.stream().mapToDouble(WeighedGroup::decibans).sum()
                    + byWay.stream().mapToDouble(WeighedGroup.Member::decibans).sum()
                    + link;
        }
    }

    public Standing {
        held = List.copyOf(held);
        unweighed = List.copyOf(unweighed);
    }

    /** Everything that was added up. */
    public List<WeightedFinding> loads() {
        return sum.groups().stream()
                .flatMap(group -> group.members().stream())
                .map(WeighedGroup.Member::load)
                .toList();
    }

    /** What a test has moved here beside everything else; empty where it was not weighed for this condition. */
    public Optional<WeighedGroup.Member> part(TestId test) {
        return sum.groups().stream()
                .flatMap(group -> group.members().stream())
                .filter(member -> member.load().tests().equals(List.of(test)))
                .findFirst();
    }

    /**
     * What the chance means. Nothing is set aside while a finding that defines it is there, a serious condition only
     * where the upper end of its range is low too; whether to image or refer follows from findings and not from a
     * chance.
     */
    public Thresholds.Zone zone(Thresholds thresholds) {
        boolean kept = pattern.defined() || condition.serious().isPresent() && range.upper() >= thresholds.setAside();
        Thresholds.Zone zone = thresholds.zone(now);
        return zone == Thresholds.Zone.SET_ASIDE && kept ? Thresholds.Zone.KEEP : zone;
    }

    /** Whether any finding was weighed, about itself or by way of another condition. */
    public boolean informed() {
        return !sum.groups().isEmpty() || sum.byWay().stream().anyMatch(each -> Math.abs(each.decibans()) >= MOVES);
    }

    /** Whether a test was weighed, about itself or by way of another condition, and not only what was told. */
    public boolean byHands() {
        return loads().stream().anyMatch(load -> !load.tests().isEmpty())
                || sum.byWay().stream()
                        .anyMatch(each -> !each.load().tests().isEmpty() && Math.abs(each.decibans()) >= MOVES);
    }

    /** The likelihood ratio of everything weighed; 1 where nothing was. */
    public double likelihoodRatio() {
        return Math.pow(10, sum.decibans() / 10);
    }

    Standing leads(double share) {
        return new Standing(condition, before, now, range, share, lens, sum, held, unweighed, tally, pattern, measured);
    }
}
