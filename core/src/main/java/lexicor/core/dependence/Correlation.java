package lexicor.core.dependence;

import java.util.List;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.DependencyGroup;

/**
 * How far the answers of a dependency group repeat each other: their latent correlation among those with the condition
 * and among those without it.
 *
 * @param present point value with the condition, 0..0.95
 * @param absent point value without it
 * @param origin where it comes from
 * @param interval middle 95 % of what is believed; the point itself where somebody chose it
 * @param lessons what each published set taught; empty where none did
 */
public record Correlation(
        DependencyGroup group,
        double present,
        double absent,
        Origin origin,
        Interval interval,
        List<CorrelationFit> lessons,
        Beliefs beliefs) {

    /** The highest that can be chosen. */
    public static final double MOST = CorrelationBelief.MOST;

    private static final double PATTERN_RHO = 0.4;

    /** Where a correlation comes from. */
    public enum Origin {
        /** No study gives it. */
        ASSUMED,
        /** The published count levels of sets of these tests gave it. */
        LEARNT,
        /** Somebody set it by hand. */
        CHOSEN
    }

    /** Both ends within 0..0.95. */
    public record Interval(double lower, double upper) {}

    /** What is drawn from. */
    record Beliefs(CorrelationBelief present, CorrelationBelief absent) {}

    public Correlation {
        lessons = List.copyOf(lessons);
    }

    public static Correlation assumed(DependencyGroup group) {
        CorrelationBelief belief = CorrelationBelief.assumed(group.rho());
        return new Correlation(
                group,
                group.rho(),
                group.rho(),
                Origin.ASSUMED,
                interval(belief),
                List.of(),
                new Beliefs(belief, belief));
    }

    /** What findings of a condition's picture share that nobody has measured: assumed, as for tests of one tissue. */
    public static Correlation ofPattern(ConditionId condition) {
        return assumed(new DependencyGroup(
                "pattern " + condition, "the picture of it", List.of(condition), List.of(), PATTERN_RHO, List.of()));
    }

    static Correlation learnt(
            DependencyGroup group, CorrelationBelief present, CorrelationBelief absent, List<CorrelationFit> lessons) {
        return new Correlation(
                group,
                present.median(),
                absent.median(),
                Origin.LEARNT,
                interval(present),
                lessons,
                new Beliefs(present, absent));
    }

    /** The same group with a correlation set by hand, without doubt. */
    public Correlation chosen(double rho) {
        if (!(rho >= 0 && rho <= MOST)) {
            throw new IllegalArgumentException("rho of " + group.id() + " is " + rho + "; allowed: 0 to " + MOST);
        }
        CorrelationBelief belief = CorrelationBelief.fixed(rho);
        return new Correlation(
                group, rho, rho, Origin.CHOSEN, new Interval(rho, rho), lessons, new Beliefs(belief, belief));
    }

    private static Interval interval(CorrelationBelief belief) {
        return new Interval(belief.quantile(0.025), belief.quantile(0.975));
    }

    public double rho(boolean withCondition) {
        return withCondition ? present : absent;
    }

    public CorrelationBelief belief(boolean withCondition) {
        return withCondition ? beliefs.present() : beliefs.absent();
    }
}
