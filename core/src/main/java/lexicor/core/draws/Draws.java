package lexicor.core.draws;

import lexicor.core.evidence.Belief;
import lexicor.core.findings.WeighingSettings;
import lexicor.core.synthesis.PredictedAccuracy;
import org.hipparchus.random.RandomDataGenerator;

/**
 * Plausible values of a likelihood ratio, on the log scale. Each draw takes sensitivity and specificity from their Beta
 * beliefs and shifts each logit by the spread between studies. The seed belongs to one examination and one record, so
 * that recording a finding never moves the draws of another.
 */
public final class Draws {

    private static final double EDGE = 1e-12;

    private Draws() {}

    /** Log likelihood ratios of a result. */
    public static double[] logLikelihoodRatios(Belief belief, boolean positive, WeighingSettings settings, long seed) {
        RandomDataGenerator random = new RandomDataGenerator(seed);
        double[] values = new double[settings.draws()];
        if (belief instanceof Belief.Expected expected) {
            return expected(random, expected, positive, values);
        }
        Belief.OfCounts counts = (Belief.OfCounts) belief;
        for (int i = 0; i < values.length; i++) {
            double sensitivity =
                    moved(random, counts.sensitivityAlpha(), counts.sensitivityBeta(), settings.betweenStudies());
            double specificity =
                    moved(random, counts.specificityAlpha(), counts.specificityBeta(), settings.betweenStudies());
            values[i] = positive
                    ? logChance(sensitivity) - logChance(-specificity)
                    : logChance(-sensitivity) - logChance(specificity);
        }
        return values;
    }

    private static double[] expected(
            RandomDataGenerator random, Belief.Expected expected, boolean positive, double[] values) {
        PredictedAccuracy.Of one = expected.one();
        double[][] covariance = one.predictive();
        double first = Math.sqrt(covariance[0][0]);
        double along = covariance[0][1] / first;
        double rest = Math.sqrt(Math.max(0, covariance[1][1] - along * along));
        for (int i = 0; i < values.length; i++) {
            double z = random.nextNormal(0, 1);
            double sensitivity = one.mean()[0] + first * z;
            double specificity = one.mean()[1] + along * z + rest * random.nextNormal(0, 1);
            values[i] = positive
                    ? logChance(sensitivity) - logChance(-specificity)
                    : logChance(-sensitivity) - logChance(specificity);
        }
        return values;
    }

    /** Mixes the name of what is drawn into the seed of an examination, or of a simulated patient (FNV-1a). */
    public static long seed(long examination, String what) {
        long hash = 0xcbf29ce484222325L ^ examination;
        for (int i = 0; i < what.length(); i++) {
            hash = (hash ^ what.charAt(i)) * 0x100000001b3L;
        }
        return hash;
    }

    private static double moved(RandomDataGenerator random, double alpha, double beta, double spread) {
        double share = Math.min(1 - EDGE, Math.max(EDGE, random.nextBeta(alpha, beta)));
        return Math.log(share) - Math.log1p(-share) + (spread == 0 ? 0 : random.nextNormal(0, spread));
    }

    /** log of the chance at a logit, without overflow. */
    private static double logChance(double logit) {
        return logit >= 0 ? -Math.log1p(Math.exp(-logit)) : logit - Math.log1p(Math.exp(logit));
    }
}
