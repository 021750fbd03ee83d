package lexicor.core.dependence;

import java.util.concurrent.ConcurrentHashMap;
import org.hipparchus.linear.MatrixUtils;

/**
 * Numbers for one group of answers within linked groups. The group's factor w and the wider factor v are standard
 * normal with correlation sqrt(b / rho), b = min(link, rho); answers are independent given w, so a group's part at each
 * v is the mean of the product of its answers over w given v: sum over w of density((w - v sqrt(b / rho)) / sqrt(1 - b
 * / rho)) prod Phi(s (z + sqrt(rho) w) / sqrt(1 - rho)). This is the double integral over nested factors in another
 * order, so that each answer is computed once per w and not once per pair.
 */
public final class FactorQuadrature {

    /** How fine the sums are. */
    public enum Rule {
        /** Relative error below 1e-8 for 1 to 10 answers, rho to 0.95 and links to 0.5. */
        FINE(9, 72, 9, 0.5, 0.2, 0.7),
        /**
         * For draws, which spread over more than 1: a log likelihood ratio of up to seven answers is off by less than
         * 0.05 for rho to 0.9 and links to 0.1.
         */
        COARSE(5, 8, 5.4, 1, 0.8, 1.3);

        private final double edge;
        private final int steps;
        private final double innerEdge;
        private final double mostStep;
        private final double ofAnswer;
        private final double ofKernel;

        Rule(double edge, int steps, double innerEdge, double mostStep, double ofAnswer, double ofKernel) {
            this.edge = edge;
            this.steps = steps;
            this.innerEdge = innerEdge;
            this.mostStep = mostStep;
            this.ofAnswer = ofAnswer;
            this.ofKernel = ofKernel;
        }

        /** Values of the wider factor. */
        public int outer() {
            return steps + 1;
        }

        public double wider(int index) {
            return -edge + 2 * edge * index / steps;
        }

        /** Weights of the values of the wider factor; they sum to nearly 1. */
        public double[] outerWeights() {
            double[] weights = new double[outer()];
            for (int v = 0; v < weights.length; v++) {
                weights[v] = Math.exp(Normal.logDensity(wider(v))) * 2 * edge / steps;
            }
            return weights;
        }
    }

    private record Key(double rho, double link, Rule rule) {}

    private static final ConcurrentHashMap<Key, FactorQuadrature> KEPT = new ConcurrentHashMap<>();
    private static final int MOST_KEPT = 300;

    private final double[] shifts;
    private final double rest;
    /** By value of the group's factor, then of the wider one; the identity where the two are the same. */
    private final double[][] weights;

    private final boolean same;
    private final int outer;

    private FactorQuadrature(double rho, double link, Rule rule) {
        double shared = Math.min(link, rho);
        rest = Math.sqrt(1 - rho);
        outer = rule.outer();
        same = rho - shared < 1e-9;
        if (same) {
            shifts = new double[outer];
            for (int v = 0; v < outer; v++) {
                shifts[v] = Math.sqrt(rho) * rule.wider(v) / rest;
            }
            weights = MatrixUtils.createRealIdentityMatrix(outer).getData();
            return;
        }
        double slope = Math.sqrt(shared / rho);
        double spread = Math.sqrt(1 - shared / rho);
        double step = Math.min(rule.mostStep, Math.min(rule.ofAnswer * rest / Math.sqrt(rho), rule.ofKernel * spread));
        int inner = (int) Math.ceil(2 * rule.innerEdge / step) + 1;
        shifts = new double[inner];
        weights = new double[inner][];
        for (int w = 0; w < inner; w++) {
            shifts[w] = -rule.innerEdge + 2 * rule.innerEdge * w / (inner - 1);
        }
        for (int w = 0; w < inner; w++) {
            weights[w] = weights(shifts[w], rule, slope, spread, 2 * rule.innerEdge / (inner - 1));
            shifts[w] *= Math.sqrt(rho) / rest;
        }
    }

    private static double[] weights(double value, Rule rule, double slope, double spread, double step) {
        double[] row = new double[rule.outer()];
        for (int v = 0; v < row.length; v++) {
            row[v] = Math.exp(Normal.logDensity((value - slope * rule.wider(v)) / spread)) / spread * step;
        }
        return row;
    }

    public static FactorQuadrature of(double rho, double link, Rule rule) {
        if (KEPT.size() > MOST_KEPT) {
            KEPT.clear();
        }
        return KEPT.computeIfAbsent(
                new Key(rho, link, rule), key -> new FactorQuadrature(key.rho(), key.link(), key.rule()));
    }

    public int inner() {
        return shifts.length;
    }

    /** What is added to z / sqrt(1 - rho) at each value of the group's factor. */
    public double[] shifts() {
        return shifts;
    }

    public double scale() {
        return 1 / rest;
    }

    /** Chance of one answer at each value of the group's factor. */
    public double[] answer(double share, boolean positive) {
        double z = Normal.quantile(share) / rest;
        double[] column = new double[shifts.length];
        for (int w = 0; w < column.length; w++) {
            column[w] = Normal.below(positive ? z + shifts[w] : -(z + shifts[w]));
        }
        return column;
    }

    /** The mean over the group's factor at each value of the wider one. */
    public double[] at(double[] product) {
        if (same) {
            return product.clone();
        }
        double[] profile = new double[outer];
        for (int w = 0; w < product.length; w++) {
            double[] row = weights[w];
            for (int v = 0; v < outer; v++) {
                profile[v] += row[v] * product[w];
            }
        }
        return profile;
    }

    /** What one value of the group's factor counts for in the mean at each value of the wider one. */
    public double[] weights(int inner) {
        return weights[inner];
    }
}
