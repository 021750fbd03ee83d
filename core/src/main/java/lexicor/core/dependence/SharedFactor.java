package lexicor.core.dependence;

import java.util.List;

/**
 * Chance of a pattern of answers that share a standard normal factor with exchangeable latent correlation rho: P =
 * integral of phi(u) prod Phi(s_j (z_j + sqrt(rho) u) / sqrt(1 - rho)) du with z_j the quantile of the answer's share
 * and s_j its sign (one-factor model; Curnow and Dunnett, Ann Math Stat 1962).
 *
 * <p>Trapezoid rule on [-9, 9] with step at most min(0.5, 0.2 sqrt((1 - rho) / rho)), summed on the log scale: relative
 * error below 1e-8 for 1 to 10 answers and rho up to 0.95. At rho 0 it is the product, at rho 1 an interval of the
 * factor.
 */
public final class SharedFactor {

    private final List<Answer> answers;
    private final double[] quantiles;

    public SharedFactor(List<Answer> answers) {
        this.answers = List.copyOf(answers);
        this.quantiles = answers.stream()
                .mapToDouble(answer -> Normal.quantile(answer.share()))
                .toArray();
    }

    /**
     * One answer.
     *
     * @param share of people like these who answer positive, 0..1
     * @param positive what was answered
     */
    public record Answer(double share, boolean positive) {}

    /** log of the chance of all answers together; negative infinity where it is impossible, 0 for no answer. */
    public static double logChance(List<Answer> answers, double rho) {
        return new SharedFactor(answers).logChance(rho, 0, 0);
    }

    /**
     * The same at a given value of a wider factor.
     *
     * @param rho correlation within the group, 0..1
     * @param linked part of rho that comes from the wider factor, 0..rho
     * @param wider value of that factor
     */
    public double logChance(double rho, double linked, double wider) {
        if (rho >= 1) {
            return logOfInterval();
        }
        double shift = Math.sqrt(linked) * wider;
        double own = Math.sqrt(Math.max(0, rho - linked));
        double rest = Math.sqrt(1 - rho);
        if (own == 0) {
            return logProduct(shift, rest);
        }
        double step = Math.min(0.5, 0.2 * rest / own);
        return Normal.logMean(u -> logProduct(shift + own * u, rest), (int) Math.ceil(2 * Normal.EDGE / step));
    }

    private double logProduct(double shift, double rest) {
        double sum = 0;
        for (int j = 0; j < quantiles.length; j++) {
            double x = (quantiles[j] + shift) / rest;
            sum += Normal.logBelow(answers.get(j).positive() ? x : -x);
        }
        return sum;
    }

    /** With one factor and nothing else, a positive means u above -z and a negative u below it. */
    private double logOfInterval() {
        double least = Double.NEGATIVE_INFINITY;
        double most = Double.POSITIVE_INFINITY;
        for (int j = 0; j < quantiles.length; j++) {
            if (answers.get(j).positive()) {
                least = Math.max(least, -quantiles[j]);
            } else {
                most = Math.min(most, -quantiles[j]);
            }
        }
        return Math.log(Math.max(0, Normal.below(most) - Normal.below(least)));
    }
}
