package lexicor.core.synthesis;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import lexicor.core.synthesis.StudyRecord.Counts;

/**
 * Pools the studies of one test. One study stands for itself (Wilson limits); two and three are pooled side by side by
 * DerSimonian and Laird with a least spread; four and more by the bivariate binomial-normal model.
 */
public final class Pooling {

    static final double NORMAL_95 = 1.959964;

    /** The least variance between two or three studies, on the logit. */
    private static final double LEAST_VARIANCE = 0.25;

    private static final int BIVARIATE_FROM = 4;

    private Pooling() {}

    /** @throws IllegalArgumentException if there is no study, or no study has patients on one of the sides */
    public static Pooled pool(List<Counts> studies) {
        if (studies.isEmpty()) {
            throw new IllegalArgumentException("there is no study");
        }
        Side sensitivity = Side.of(studies, 0);
        Side specificity = Side.of(studies, 1);
        if (studies.size() == 1) {
            return new Pooled(
                    "single",
                    Optional.empty(),
                    sensitivity.wilson(),
                    specificity.wilson(),
                    Optional.empty(),
                    Optional.empty(),
                    Optional.empty());
        }
        Moments one = sensitivity.moments();
        Moments other = specificity.moments();
        Pooled.Heterogeneity heterogeneity =
                new Pooled.Heterogeneity(one.q(), one.inconsistency(), other.q(), other.inconsistency());
        if (studies.size() < BIVARIATE_FROM) {
            return sideBySide(Optional.empty(), one, other, heterogeneity);
        }
        Bivariate bivariate = new Bivariate(studies);
        Optional<Bivariate.Estimate> together = bivariate.together();
        Optional<Bivariate.Estimate> apart = together.isPresent() ? Optional.empty() : bivariate.apart();
        if (together.isEmpty() && apart.isEmpty()) {
            return sideBySide(
                    Optional.of(bivariate.reason() + "; each side by itself did not settle either"),
                    one,
                    other,
                    heterogeneity);
        }
        Bivariate.Estimate estimate = together.or(() -> apart).orElseThrow();
        return new Pooled(
                together.isPresent() ? "bivariate" : "bivariate, correlation 0",
                together.isPresent() ? Optional.empty() : Optional.of(bivariate.reason()),
                proportion(estimate.mean()[0], estimate.errors()[0]),
                proportion(estimate.mean()[1], estimate.errors()[1]),
                Optional.of(new Pooled.Between(
                        estimate.deviations()[0],
                        estimate.deviations()[1],
                        Optional.empty(),
                        Optional.of(estimate.correlation()))),
                Optional.of(heterogeneity),
                Optional.of(estimate.logLikelihood()));
    }

    private static Pooled sideBySide(
            Optional<String> reason, Moments one, Moments other, Pooled.Heterogeneity heterogeneity) {
        Pooled.Between between = new Pooled.Between(
                Math.sqrt(one.floored()),
                Math.sqrt(other.floored()),
                Optional.of(new boolean[] {one.between() < LEAST_VARIANCE, other.between() < LEAST_VARIANCE}),
                Optional.empty());
        return new Pooled(
                "dersimonian-laird",
                reason,
                one.pooled(),
                other.pooled(),
                Optional.of(between),
                Optional.of(heterogeneity),
                Optional.empty());
    }

    static Pooled.Proportion proportion(double logit, double error) {
        return new Pooled.Proportion(
                LogitNormal.logistic(logit),
                LogitNormal.logistic(logit - NORMAL_95 * error),
                LogitNormal.logistic(logit + NORMAL_95 * error));
    }

    /** One side of all studies that have patients on it. */
    private record Side(double[] positives, double[] sizes) {

        static Side of(List<Counts> studies, int side) {
            List<Counts> known =
                    studies.stream().filter(each -> each.sizes()[side] > 0).toList();
            if (known.isEmpty()) {
                throw new IllegalArgumentException(
                        "no study has patients " + (side == 0 ? "with" : "without") + " the condition");
            }
            return new Side(
                    known.stream().mapToDouble(each -> each.positives()[side]).toArray(),
                    known.stream().mapToDouble(each -> each.sizes()[side]).toArray());
        }

        Pooled.Proportion wilson() {
            double n = sizes[0];
            double p = positives[0] / n;
            double square = NORMAL_95 * NORMAL_95;
            double centre = (p + square / (2 * n)) / (1 + square / n);
            double half = NORMAL_95 / (1 + square / n) * Math.sqrt(p * (1 - p) / n + square / (4 * n * n));
            return new Pooled.Proportion(p, Math.max(0, centre - half), Math.min(1, centre + half));
        }

        Moments moments() {
            int k = sizes.length;
            double[] y = new double[k];
            double[] v = new double[k];
            for (int i = 0; i < k; i++) {
                double half = positives[i] == 0 || positives[i] == sizes[i] ? 0.5 : 0;
                double yes = positives[i] + half;
                double no = sizes[i] - positives[i] + half;
                y[i] = Math.log(yes / no);
                v[i] = 1 / yes + 1 / no;
            }
            double weights = 0;
            double squares = 0;
            double sum = 0;
            for (int i = 0; i < k; i++) {
                weights += 1 / v[i];
                squares += 1 / (v[i] * v[i]);
                sum += y[i] / v[i];
            }
            double mean = sum / weights;
            double q = 0;
            for (int i = 0; i < k; i++) {
                q += (y[i] - mean) * (y[i] - mean) / v[i];
            }
            double beyond = q - (k - 1);
            double between = k == 1 ? 0 : Math.max(0, beyond / (weights - squares / weights));
            return new Moments(y, v, q, q == 0 ? 0 : 100 * Math.max(0, beyond / q), between);
        }
    }

    private record Moments(double[] y, double[] v, double q, double inconsistency, double between) {

        double floored() {
            return Math.max(between, LEAST_VARIANCE);
        }

        Pooled.Proportion pooled() {
            double weights =
                    Arrays.stream(v).map(each -> 1 / (each + floored())).sum();
            double sum = 0;
            for (int i = 0; i < y.length; i++) {
                sum += y[i] / (v[i] + floored());
            }
            return proportion(sum / weights, 1 / Math.sqrt(weights));
        }
    }
}
