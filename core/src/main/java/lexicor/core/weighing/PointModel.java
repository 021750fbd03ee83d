package lexicor.core.weighing;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import lexicor.core.dependence.Correlation;
import lexicor.core.dependence.FactorQuadrature;
import lexicor.core.evidence.Belief;
import lexicor.core.findings.Combination;
import lexicor.core.findings.FindingGroup;
import lexicor.core.findings.Weight;
import lexicor.core.findings.WeightedFinding;
import org.jspecify.annotations.Nullable;

/**
 * Point values of a combination: the chance of all its answers with and without the condition, at the means of what is
 * believed, and what becomes of it when an answer is left out, reversed or added.
 */
public final class PointModel {

    private static final FactorQuadrature.Rule RULE = FactorQuadrature.Rule.FINE;

    private final Combination combination;
    private final double link;
    private final double[] outer;
    private final State present;
    private final State absent;

    PointModel(Combination combination, double link) {
        this.combination = combination;
        this.link = link;
        this.outer = RULE.outerWeights();
        this.present = new State(true);
        this.absent = new State(false);
    }

    public Combination combination() {
        return combination;
    }

    /** log of the likelihood ratio of everything. */
    double logLikelihoodRatio() {
        return present.logChance() - absent.logChance() + combination.logAlone();
    }

    /**
     * The chance of a positive by a test that is still open, given all that was found.
     *
     * @param correlation of its group; empty where it belongs to none
     * @param share shares of positives with and without the condition
     */
    public Predicted predict(Optional<Correlation> correlation, Weight.Proportions share) {
        return new Predicted(present.next(correlation, share), absent.next(correlation, share));
    }

    /**
     * Chance of either answer, each worked out by itself: 1 - p has no digits left where p is all but certain.
     *
     * @param positive 0..1
     * @param negative 0..1
     */
    private record Answers(double positive, double negative) {

        static Answers of(double positive) {
            return new Answers(positive, 1 - positive);
        }

        double chance(boolean ofPositive) {
            return ofPositive ? positive : negative;
        }
    }

    /** Chance of the answers with and without the condition, given what was found. */
    public static final class Predicted {

        private final Answers present;
        private final Answers absent;

        private Predicted(Answers present, Answers absent) {
            this.present = present;
            this.absent = absent;
        }

        /** By a belief alone, whatever else was found. */
        public static Predicted alone(Belief belief) {
            return new Predicted(Answers.of(belief.sensitivity()), Answers.of(1 - belief.specificity()));
        }

        /** Chance of a positive, 0..1. */
        public double withCondition() {
            return present.positive();
        }

        /** Chance of a positive, 0..1. */
        public double withoutCondition() {
            return absent.positive();
        }

        public double likelihoodRatio(boolean positive) {
            return present.chance(positive) / absent.chance(positive);
        }
    }

    /** Everything given that the condition is present, or that it is absent. */
    private final class State {

        private final boolean withCondition;
        private final List<double[]> products = new ArrayList<>();
        private final List<double[]> profiles = new ArrayList<>();

        State(boolean withCondition) {
            this.withCondition = withCondition;
            for (FindingGroup bundle : combination.bundles()) {
                FactorQuadrature kernel = kernel(bundle.rho(withCondition, link));
                List<double[]> columns = new ArrayList<>();
                for (WeightedFinding load : bundle.loads()) {
                    Weight.Proportions weight = (Weight.Proportions) load.weight();
                    columns.add(kernel.answer(weight.share(withCondition), weight.positive()));
                }
                double[] product = product(kernel, columns);
                products.add(product);
                profiles.add(kernel.at(product));
            }
        }

        private FactorQuadrature kernel(double rho) {
            return FactorQuadrature.of(rho, link, RULE);
        }

        private static double[] product(FactorQuadrature kernel, List<double[]> columns) {
            double[] product = new double[kernel.inner()];
            Arrays.fill(product, 1);
            columns.forEach(column -> times(product, column));
            return product;
        }

        private static void times(double[] product, double[] factor) {
            for (int i = 0; i < product.length; i++) {
                product[i] *= factor[i];
            }
        }

        double logChance() {
            return Math.log(chance(-1, null));
        }

        /** The chance of all bundles but one, times a profile. */
        private double chance(int without, double @Nullable [] profile) {
            double sum = 0;
            for (int v = 0; v < outer.length; v++) {
                double value = outer[v] * (profile == null ? 1 : profile[v]);
                for (int g = 0; g < profiles.size(); g++) {
                    if (g != without) {
                        value *= profiles.get(g)[v];
                    }
                }
                sum += value;
            }
            return sum;
        }

        Answers next(Optional<Correlation> correlation, Weight.Proportions share) {
            int bundle = bundleOf(correlation);
            FactorQuadrature kernel =
                    kernel(correlation.map(known -> known.rho(withCondition)).orElse(link));
            double known = chance(-1, null);
            return new Answers(
                    chance(bundle, kernel, share.share(withCondition), true) / known,
                    chance(bundle, kernel, share.share(withCondition), false) / known);
        }

        /** The chance of everything found and an answer more, which joins a bundle or none (-1). */
        private double chance(int bundle, FactorQuadrature kernel, double share, boolean positive) {
            double[] answer = kernel.answer(share, positive);
            if (bundle >= 0) {
                times(answer, products.get(bundle));
            }
            return chance(bundle, kernel.at(answer));
        }

        private int bundleOf(Optional<Correlation> correlation) {
            for (int g = 0; g < combination.bundles().size() && correlation.isPresent(); g++) {
                if (combination
                        .bundles()
                        .get(g)
                        .correlation()
                        .filter(known -> known.group().equals(correlation.get().group()))
                        .isPresent()) {
                    return g;
                }
            }
            return -1;
        }
    }
}
