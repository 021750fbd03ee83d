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
        return new Predicted(present.positiveNext(correlation, share), absent.positiveNext(correlation, share));
    }

    /** Chance of a positive with and without the condition, given what was found. */
    public record Predicted(double withCondition, double withoutCondition) {

        /** By a belief alone, whatever else was found. */
        public static Predicted alone(Belief belief) {
            return new Predicted(belief.sensitivity(), 1 - belief.specificity());
        }

        public double likelihoodRatio(boolean positive) {
            return positive ? withCondition / withoutCondition : (1 - withCondition) / (1 - withoutCondition);
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
        private double chance(int without, double[] profile) {
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

        double positiveNext(Optional<Correlation> correlation, Weight.Proportions share) {
            int bundle = bundleOf(correlation);
            FactorQuadrature kernel =
                    kernel(correlation.map(known -> known.rho(withCondition)).orElse(link));
            double[] answer = kernel.answer(share.share(withCondition), true);
            if (bundle >= 0) {
                times(answer, products.get(bundle));
            }
            return chance(bundle, kernel.at(answer)) / chance(-1, null);
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
