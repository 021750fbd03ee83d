package lexicor.core.synthesis;

import java.util.Optional;

/**
 * The studies of one test put together, without anything else that is known of tests.
 *
 * @param method {@code single}, {@code dersimonian-laird}, {@code bivariate} or {@code bivariate, correlation 0}
 * @param reason why the correlation was set to 0, or why fewer assumptions were made; empty where nothing had to give
 * @param between how studies differ; empty for one study
 * @param heterogeneity empty for one study
 * @param logLikelihood of the bivariate fit
 */
public record Pooled(
        String method,
        Optional<String> reason,
        Proportion sensitivity,
        Proportion specificity,
        Optional<Between> between,
        Optional<Heterogeneity> heterogeneity,
        Optional<Double> logLikelihood) {

    /** A proportion with its 95 % limits. */
    public record Proportion(double estimate, double lower, double upper) {}

    /**
     * Standard deviations of the true logits between studies.
     *
     * @param floored for sensitivity and specificity, whether the least spread was put in place of the estimate; empty
     *     where there is no floor
     * @param correlation of the two; empty where they were not fitted together
     */
    public record Between(
            double sdSensitivity, double sdSpecificity, Optional<boolean[]> floored, Optional<Double> correlation) {}

    /** Cochran's Q, and the percentage of it beyond chance. */
    public record Heterogeneity(double qSensitivity, double i2Sensitivity, double qSpecificity, double i2Specificity) {}
}
