package lexicor.core.draws;

import java.util.Arrays;
import java.util.List;
import java.util.SplittableRandom;
import java.util.function.Function;
import lexicor.core.dependence.Correlation;
import lexicor.core.dependence.CorrelationBelief;
import lexicor.core.dependence.LogitTable;
import lexicor.core.dependence.PhiTable;
import lexicor.core.evidence.Belief;
import lexicor.core.findings.WeighingSettings;
import lexicor.core.findings.Weight;
import lexicor.core.findings.WeightedFinding;
import lexicor.core.posttest.LogOdds;
import lexicor.core.synthesis.PredictedAccuracy;
import lexicor.core.synthesis.StudyRecord;
import org.hipparchus.random.RandomDataGenerator;

/**
 * Draws of what a weighing is unsure of. Each kind of draw is seeded by the examination and by the name of what is
 * drawn, so that recording a finding never moves the draws of another, and draws made once are kept.
 */
public final class Sampler {

    /** Step of the grid on which correlations are drawn. */
    private static final double RHO_GRID = 0.05;

    private static final double EDGE = 1e-12;

    private final DrawStore store;
    private final int draws;
    private final double betweenStudies;
    private final long seed;

    /**
     * @param betweenStudies standard deviation on each logit by which a study's figures differ elsewhere
     * @param seed of the examination
     */
    public Sampler(DrawStore store, int draws, double betweenStudies, long seed) {
        this.store = store;
        this.draws = draws;
        this.betweenStudies = betweenStudies;
        this.seed = seed;
    }

    public int draws() {
        return draws;
    }

    /** Normal quantiles of the drawn shares of positives, with or without the condition. */
    double[] quantiles(WeightedFinding load, boolean withCondition) {
        Belief belief = ((Weight.Proportions) load.weight()).belief();
        if (belief instanceof Belief.Expected expected) {
            double[] logits = logits(expected, withCondition);
            return store.draws(
                    key("quantiles " + load.source() + withCondition, expected),
                    key -> Arrays.stream(logits).map(LogitTable::quantile).toArray());
        }
        Belief.OfCounts counts = (Belief.OfCounts) belief;
        return store.draws(key(load.source() + (withCondition ? " sensitivity" : " specificity"), belief), key -> {
            RandomDataGenerator random = new RandomDataGenerator(key.seed());
            SplittableRandom elsewhere = new SplittableRandom(key.seed());
            double[] values = new double[draws];
            for (int i = 0; i < draws; i++) {
                double share = withCondition
                        ? random.nextBeta(counts.sensitivityAlpha(), counts.sensitivityBeta())
                        : random.nextBeta(counts.specificityBeta(), counts.specificityAlpha());
                double inside = Math.min(1 - EDGE, Math.max(EDGE, share));
                double logit = Math.log(inside) - Math.log1p(-inside) + betweenStudies * elsewhere.nextGaussian();
                values[i] = LogitTable.quantile(logit);
            }
            return values;
        });
    }

    /** Drawn logits of the share of positives with or without the condition. */
    public double[] logits(WeightedFinding load, boolean withCondition) {
        Belief belief = ((Weight.Proportions) load.weight()).belief();
        if (belief instanceof Belief.Expected expected) {
            return logits(expected, withCondition);
        }
        return Arrays.stream(quantiles(load, withCondition))
                .map(quantile -> {
                    double below = Math.min(1 - EDGE, Math.max(EDGE, PhiTable.below(quantile)));
                    return Math.log(below) - Math.log1p(-below);
                })
                .toArray();
    }

    /**
     * Drawn logits of the share of positives with or without the condition. All criteria of a condition are drawn
     * together, since the tests of one clinic move together.
     */
    public double[] logits(Belief.Expected expected, boolean withCondition) {
        int row = 2 * expected.place() + (withCondition ? 0 : 1);
        return store.draws(key("logits " + row + (expected.wider() ? " wider" : ""), expected.all()), key -> {
            PredictedAccuracy here = expected.all().in(WeighingSettings.clinics(betweenStudies));
            double[] factor = here.factor()[row];
            double[] values = new double[draws];
            Arrays.fill(values, here.mean()[row]);
            for (int j = 0; j <= row; j++) {
                if (factor[j] != 0) {
                    double[] normal = normal(expected.all(), j);
                    for (int i = 0; i < draws; i++) {
                        values[i] += factor[j] * normal[i];
                    }
                }
            }
            if (expected.wider()) {
                widen(expected, withCondition, values);
            }
            return withCondition
                    ? values
                    : Arrays.stream(values).map(value -> -value).toArray();
        });
    }

    /**
     * Adds what another way of doing the test may change: as much again as clinics differ, for this criterion alone.
     */
    private void widen(Belief.Expected expected, boolean withCondition, double[] values) {
        PredictedAccuracy.Of one =
                expected.all().in(WeighingSettings.clinics(betweenStudies)).at(expected.place());
        double[][] between = one.between();
        double first = Math.sqrt(between[0][0]);
        double along = first == 0 ? 0 : between[0][1] / first;
        double rest = Math.sqrt(Math.max(0, between[1][1] - along * along));
        double[] shared = ofWay(one.criterion(), "sensitivity");
        double[] own = ofWay(one.criterion(), "specificity");
        for (int i = 0; i < draws; i++) {
            values[i] += withCondition ? first * shared[i] : along * shared[i] + rest * own[i];
        }
    }

    private double[] ofWay(StudyRecord.Criterion criterion, String side) {
        return store.draws(
                key(
                        "way " + criterion.condition() + " " + criterion.test() + " " + criterion.criterion() + " "
                                + side,
                        "standard"),
                key -> normals(key.seed(), 0, 1));
    }

    private double[] normal(PredictedAccuracy all, int place) {
        StudyRecord.Criterion criterion = all.criteria().get(place / 2);
        String what = "normal " + criterion.condition() + " " + criterion.test() + " " + criterion.criterion()
                + (place % 2 == 0 ? " sensitivity" : " specificity");
        return store.draws(key(what, "standard"), key -> normals(key.seed(), 0, 1));
    }

    /** Log likelihood ratios of a finding by itself. */
    public double[] logLikelihoodRatios(WeightedFinding load) {
        if (load.weight() instanceof Weight.Ratio ratio) {
            return store.draws(
                    key(load.source() + " ratio", ratio),
                    key -> normals(key.seed(), Math.log(ratio.likelihoodRatio()), ratio.logSd()));
        }
        double[] present = quantiles(load, true);
        double[] absent = quantiles(load, false);
        boolean positive = ((Weight.Proportions) load.weight()).positive();
        double[] values = new double[draws];
        Arrays.setAll(
                values,
                i -> positive
                        ? Math.log(PhiTable.below(present[i]) / PhiTable.below(absent[i]))
                        : Math.log(PhiTable.below(-present[i]) / PhiTable.below(-absent[i])));
        return values;
    }

    /** Starting log odds about a working estimate. */
    public double[] starts(String condition, LogOdds start, double deviation) {
        return store.draws(
                key("start " + condition, List.of(start, deviation)),
                key -> normals(key.seed(), start.value(), deviation));
    }

    /** Drawn correlations of a group, on a grid of {@link #RHO_GRID}. The array must not be changed. */
    public double[] rhos(Correlation correlation, boolean withCondition) {
        return rhos(correlation.group().id(), correlation.belief(withCondition));
    }

    /** The same of a group by its name and what is believed of it. */
    public double[] rhos(String group, CorrelationBelief belief) {
        return store.draws(key("rho " + group, belief), key -> {
            double[] cumulative = belief.cumulative();
            SplittableRandom random = new SplittableRandom(key.seed());
            double[] values = new double[draws];
            for (int i = 0; i < draws; i++) {
                int place = Arrays.binarySearch(cumulative, random.nextDouble());
                int index = Math.min(cumulative.length - 1, place < 0 ? -place - 1 : place + 1);
                values[i] = Math.round(CorrelationBelief.at(index) / RHO_GRID) * RHO_GRID;
            }
            return values;
        });
    }

    /**
     * What was worked out of draws of this examination; what is not kept is made now, together. The arrays must not be
     * changed.
     *
     * @param from by value, all that it depends on beside the examination
     * @param make takes the places of those that are missing, in order
     */
    public List<float[][]> workedOut(List<Object> from, Function<List<Integer>, List<float[][]>> make) {
        return store.workedOut(
                from.stream().map(each -> key("worked out", each)).toList(), make);
    }

    private double[] normals(long from, double mean, double deviation) {
        SplittableRandom random = new SplittableRandom(from);
        double[] values = new double[draws];
        Arrays.setAll(values, i -> mean + deviation * random.nextGaussian());
        return values;
    }

    private DrawStore.Key key(String what, Object belief) {
        return new DrawStore.Key(what, belief, draws, betweenStudies, Draws.seed(seed, what));
    }
}
