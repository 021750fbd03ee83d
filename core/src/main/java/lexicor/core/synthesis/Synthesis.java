package lexicor.core.synthesis;

import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;
import lexicor.core.synthesis.StudyRecord.Criterion;
import org.hipparchus.linear.ArrayRealVector;
import org.hipparchus.linear.LUDecomposition;
import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;
import org.hipparchus.linear.RealVector;

/**
 * The hierarchical synthesis of a ledger: the population of tests, how conditions, criteria and studies differ in it,
 * and how much better those who proposed a test find it, all estimated from the records, with the start as prior. Each
 * condition is a block of its own; the blocks share the population. Penalised quasi-likelihood with EM steps for the
 * spreads, deterministic.
 */
public final class Synthesis {

    /**
     * Logit sensitivity and specificity of an average test, and what originators add to each: the prior means, each SD
     * 1.
     */
    private static final double[] START = {0.4, 1.15, 1.65, 0.7};

    private static final Spread START_SPREAD = new Spread(0.5, 0.7, 1.5, 0.85, 1.15, 0.7, 1.1);

    /** Units of data that the start of each spread is worth. */
    private static final double PRIOR_UNITS = 4;

    private static final int MOST_ROUNDS = 5_000;
    private static final double CLOSE = 1e-10;

    private final RealVector beta;
    private final RealMatrix betaCovariance;
    private final Spread spread;
    private final boolean settled;
    private final int rounds;
    private final Map<String, ConditionBlock> blocks;

    private Synthesis(Fit fit, boolean settled, int rounds) {
        beta = fit.beta;
        betaCovariance = fit.covariance;
        spread = Spread.of(fit.deviations);
        this.settled = settled;
        this.rounds = rounds;
        blocks = fit.blocks;
    }

    /** Fits the model. The order of the records does not matter. */
    public static Synthesis of(Collection<StudyRecord> records) {
        Map<String, ConditionBlock> blocks = new TreeMap<>(
                records.stream()
                        .collect(Collectors.groupingBy(each -> each.criterion().condition()))
                        .entrySet()
                        .stream()
                        .collect(Collectors.toMap(Map.Entry::getKey, entry -> new ConditionBlock(entry.getValue()))));
        Fit fit = new Fit(blocks);
        int round = 0;
        boolean settled = false;
        while (!settled && round < MOST_ROUNDS) {
            fit.solve();
            settled = fit.step() < CLOSE;
            round++;
        }
        fit.solve();
        return new Synthesis(fit, settled, round);
    }

    /** One fit under way. */
    private static final class Fit {
        private final Map<String, ConditionBlock> blocks;
        private double[] deviations = START_SPREAD.deviations();
        private RealVector beta = new ArrayRealVector(START);
        private RealMatrix covariance = MatrixUtils.createRealIdentityMatrix(START.length);

        Fit(Map<String, ConditionBlock> blocks) {
            this.blocks = blocks;
        }

        /** The population given the working answers and the spreads. */
        void solve() {
            RealMatrix information = MatrixUtils.createRealIdentityMatrix(START.length);
            RealVector weighted = new ArrayRealVector(START);
            for (ConditionBlock block : blocks.values()) {
                block.linearise(deviations);
                information = information.add(block.information());
                weighted = weighted.add(block.weighted());
            }
            covariance = new LUDecomposition(information).getSolver().getInverse();
            beta = covariance.operate(weighted);
            blocks.values().forEach(block -> block.residuals(beta));
        }

        /** New working answers and spreads; returns the largest move of any of them. */
        double step() {
            double[] start = START_SPREAD.deviations();
            double[] sums = new double[start.length];
            int[] units = new int[start.length];
            double largest = 0;
            for (ConditionBlock block : blocks.values()) {
                block.addSpreads(deviations, covariance, sums, units);
            }
            for (ConditionBlock block : blocks.values()) {
                largest = Math.max(largest, block.moveAnswers());
            }
            double[] next = new double[start.length];
            for (int j = 0; j < start.length; j++) {
                next[j] = Math.sqrt((PRIOR_UNITS * start[j] * start[j] + sums[j]) / (units[j] + PRIOR_UNITS));
                largest = Math.max(largest, Math.abs(next[j] - deviations[j]));
            }
            deviations = next;
            return largest;
        }
    }

    /** Logit sensitivity and specificity of the average test, and what originators add to each. */
    public double[] beta() {
        return beta.toArray();
    }

    /** The covariance of {@link #beta()}. */
    public double[][] betaCovariance() {
        return betaCovariance.getData();
    }

    /** How much conditions, criteria, studies and records differ. */
    public Spread spread() {
        return spread;
    }

    /** Whether the fit came to rest within the rounds allowed. */
    public boolean settled() {
        return settled;
    }

    /** Rounds the fit took. */
    public int rounds() {
        return rounds;
    }

    /** The conditions that have records, in order. */
    public List<String> conditions() {
        return List.copyOf(blocks.keySet());
    }

    /** What a clinic would find for the criteria of a condition that have records. */
    public PredictedAccuracy predict(String condition) {
        return predict(condition, List.of());
    }

    /**
     * What a clinic would find for all criteria of a condition. Those of {@code more} without a record are predicted as
     * an unseen criterion of that condition: the population's accuracy with its full width.
     */
    public PredictedAccuracy predict(String condition, Collection<Criterion> more) {
        ConditionBlock block = blocks.get(condition);
        TreeSet<Criterion> criteria = new TreeSet<>(more);
        if (block != null) {
            criteria.addAll(block.criteria());
        }
        return (block == null ? new ConditionBlock(List.of()) : block)
                .predict(List.copyOf(criteria), spread, beta, betaCovariance);
    }
}
