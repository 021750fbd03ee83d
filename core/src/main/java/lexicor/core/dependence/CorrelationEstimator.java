package lexicor.core.dependence;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.function.IntToDoubleFunction;
import java.util.function.ToDoubleFunction;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Cluster;
import lexicor.core.catalogue.ClusterId;
import lexicor.core.catalogue.DependencyGroup;
import lexicor.core.evidence.AccuracyRecord;
import lexicor.core.evidence.Belief;
import lexicor.core.evidence.Evidence;
import lexicor.core.evidence.RecordId;

/**
 * Learns how far tests repeat each other from the count levels that were published for sets of them.
 *
 * <p>Levels known by counts give a multinomial likelihood. Levels known by likelihood ratios alone are compared on the
 * log scale by generalised least squares: the covariance of log (q_k / p_k) for multinomial shares q with and p without
 * the condition is diag(1 / (n1 q_k) + 1 / (n0 p_k)) - (1 / n1 + 1 / n0), by the delta method, at a working correlation
 * of 0.3. Several sets of one group multiply. Correlations with and without the condition are told apart only where
 * three independent levels are known and doing so improves twice the log likelihood by more than {@value #WORTH_TWO}.
 */
final class CorrelationEstimator {

    /** Point of the grid at which the covariance is held: correlation 0.3. */
    private static final int WORKING = 30;

    private static final double WORTH_TWO = 3.84;

    /** Upper 5 % points of chi-squared with 1 to 6 degrees of freedom. */
    private static final double[] BEYOND_CHANCE = {3.84, 5.99, 7.81, 9.49, 11.07, 12.59};

    private final Catalogue catalogue;
    private final Evidence evidence;

    CorrelationEstimator(Catalogue catalogue, Evidence evidence) {
        this.catalogue = catalogue;
        this.evidence = evidence;
    }

    /** What is known of a group's correlation. */
    Correlation teach(DependencyGroup group) {
        List<CorrelationFit> lessons = new ArrayList<>();
        List<Published> sets = new ArrayList<>();
        for (ClusterId id : group.learn()) {
            published(catalogue.cluster(id)).ifPresent(set -> {
                sets.add(set);
                lessons.add(lesson(set, group.rho()));
            });
        }
        if (sets.isEmpty()) {
            return Correlation.assumed(group);
        }
        CorrelationBelief common = belief(group.rho(), point -> all(sets, set -> set.logLikelihood(point, point)));
        Best best = best(sets);
        boolean two =
                sets.stream().anyMatch(set -> set.levels() >= 4) && 2 * (best.apart() - best.together()) > WORTH_TWO;
        if (!two) {
            return Correlation.learnt(group, common, common, lessons);
        }
        CorrelationBelief present =
                belief(group.rho(), point -> all(sets, set -> set.logLikelihood(point, best.absent())));
        CorrelationBelief absent =
                belief(group.rho(), point -> all(sets, set -> set.logLikelihood(best.present(), point)));
        return Correlation.learnt(group, present, absent, lessons);
    }

    private static CorrelationBelief belief(double assumed, IntToDoubleFunction logLikelihood) {
        double[] prior = CorrelationBelief.logPrior(assumed);
        double[] logs = new double[CorrelationBelief.POINTS];
        Arrays.setAll(logs, point -> prior[point] + logLikelihood.applyAsDouble(point));
        return CorrelationBelief.ofLog(logs);
    }

    private static double all(List<Published> sets, ToDoubleFunction<Published> logLikelihood) {
        return sets.stream().mapToDouble(logLikelihood).sum();
    }

    /** The best points with and without the condition, the log likelihood there, and the best with one for both. */
    private record Best(int present, int absent, double apart, double together) {}

    private static Best best(List<Published> sets) {
        Best best = new Best(0, 0, Double.NEGATIVE_INFINITY, Double.NEGATIVE_INFINITY);
        for (int i = 0; i < CorrelationBelief.POINTS; i++) {
            for (int j = 0; j < CorrelationBelief.POINTS; j++) {
                int present = i;
                int absent = j;
                double value = all(sets, set -> set.logLikelihood(present, absent));
                best = new Best(
                        value > best.apart() ? i : best.present(),
                        value > best.apart() ? j : best.absent(),
                        Math.max(value, best.apart()),
                        i == j ? Math.max(value, best.together()) : best.together());
            }
        }
        return best;
    }

    private static CorrelationFit lesson(Published set, double assumed) {
        CorrelationBelief belief = belief(assumed, point -> set.logLikelihood(point, point));
        double median = belief.median();
        double[] fitted = set.ratios(CorrelationBelief.nearest(median));
        double[] independent = set.ratios(0);
        List<CorrelationFit.Level> levels = new ArrayList<>();
        for (int i = 0; i < set.levels(); i++) {
            levels.add(
                    new CorrelationFit.Level(set.bands().get(i).name(), set.published()[i], fitted[i], independent[i]));
        }
        double misfit = Double.POSITIVE_INFINITY;
        for (int i = 0; i < CorrelationBelief.POINTS; i++) {
            misfit = Math.min(misfit, set.misfit(i));
        }
        int freedom = Math.max(1, set.levels() - 2);
        return new CorrelationFit(
                set.cluster().id(),
                set.cluster().name(),
                median,
                belief.quantile(0.025),
                belief.quantile(0.975),
                levels,
                misfit,
                misfit > BEYOND_CHANCE[Math.min(freedom, BEYOND_CHANCE.length) - 1]);
    }

    /**
     * The levels of a set with the shares of its tests in the same study; empty where that is not enough to learn from.
     */
    private Optional<Published> published(Cluster cluster) {
        if (cluster.components().stream().anyMatch(component -> !component.single())
                || cluster.levels().stream().anyMatch(level -> level.record().isEmpty())) {
            return Optional.empty();
        }
        AccuracyRecord first =
                evidence.record(RecordId.of(cluster.levels().get(0).record()));
        if (!first.sizesKnown()) {
            return Optional.empty();
        }
        double[] present = new double[cluster.components().size()];
        double[] absent = new double[cluster.components().size()];
        for (int j = 0; j < present.length; j++) {
            Cluster.Component component = cluster.components().get(j);
            Optional<double[]> shares = sharesInStudy(component, cluster, first)
                    .or(() -> evidence.inUse(component.test(), cluster.condition())
                            .map(use -> shares(use.figures().belief())));
            if (shares.isEmpty()) {
                return Optional.empty();
            }
            present[j] = shares.get()[0];
            absent[j] = shares.get()[1];
        }
        boolean byLevel = cluster.levels().stream().allMatch(level -> level.direction() == Cluster.Direction.LEVEL);
        boolean byPair = cluster.levels().size() == 2
                && first.sensitivity().isPresent()
                && first.specificity().isPresent()
                && cluster.levels().stream()
                        .allMatch(level -> level.direction() == Cluster.Direction.POSITIVE
                                || level.direction() == Cluster.Direction.NEGATIVE);
        if (!byLevel && !byPair) {
            return Optional.empty();
        }
        double[] ratios =
                cluster.levels().stream().mapToDouble(level -> ratio(level)).toArray();
        return Optional.of(Published.of(cluster, ratios, present, absent, first, byPair));
    }

    private double ratio(Cluster.Level level) {
        AccuracyRecord record = evidence.record(RecordId.of(level.record()));
        return (level.direction() == Cluster.Direction.NEGATIVE ? record.lrNegative() : record.lrPositive())
                .orElse(Double.NaN);
    }

    private static double[] shares(Belief belief) {
        return new double[] {belief.sensitivity(), 1 - belief.specificity()};
    }

    /** Shares of positives of a component as the study of the set itself published them. */
    private Optional<double[]> sharesInStudy(Cluster.Component component, Cluster cluster, AccuracyRecord study) {
        return evidence.records().stream()
                .filter(record -> record.subject().equals(component.test().value())
                        && record.condition().equals(cluster.condition().value())
                        && record.citation().equals(study.citation())
                        && record.sensitivity().isPresent()
                        && record.specificity().isPresent())
                .findFirst()
                .map(record -> new double[] {
                    record.sensitivity().getAsDouble(), 1 - record.specificity().getAsDouble()
                });
    }

    /**
     * The levels of one set with what they are compared with.
     *
     * @param present chances of each level with the condition, by point of the grid of correlations
     * @param absent the same without it
     */
    private record Published(
            Cluster cluster,
            List<Cluster.Level> bands,
            double[] published,
            double[][] present,
            double[][] absent,
            AccuracyRecord study,
            boolean byCounts) {

        static Published of(
                Cluster cluster,
                double[] published,
                double[] sharesPresent,
                double[] sharesAbsent,
                AccuracyRecord study,
                boolean byCounts) {
            return new Published(
                    cluster,
                    cluster.levels(),
                    published,
                    chances(cluster, sharesPresent),
                    chances(cluster, sharesAbsent),
                    study,
                    byCounts);
        }

        private static double[][] chances(Cluster cluster, double[] shares) {
            double[][] chances = new double[CorrelationBelief.POINTS][];
            for (int point = 0; point < chances.length; point++) {
                double[] counts = CountChances.of(shares, CorrelationBelief.at(point));
                chances[point] = cluster.levels().stream()
                        .mapToDouble(level -> CountChances.within(counts, level.from(), level.to()))
                        .toArray();
            }
            return chances;
        }

        int levels() {
            return bands.size();
        }

        double[] ratios(int point) {
            double[] ratios = new double[levels()];
            Arrays.setAll(ratios, k -> present[point][k] / absent[point][k]);
            return ratios;
        }

        double logLikelihood(int pointPresent, int pointAbsent) {
            return byCounts
                    ? multinomial(present[pointPresent], absent[pointAbsent])
                    : -distance(present[pointPresent], absent[pointAbsent]) / 2;
        }

        /** Two levels, positive and negative, known by counts. */
        private double multinomial(double[] with, double[] without) {
            int n1 = study.with().getAsInt();
            int n0 = study.without().getAsInt();
            double hits = Math.round(study.sensitivity().getAsDouble() * n1);
            double falseAlarms = n0 - Math.round(study.specificity().getAsDouble() * n0);
            int positive = bands.get(0).direction() == Cluster.Direction.POSITIVE ? 0 : 1;
            double q = with[positive];
            double p = without[positive];
            return hits * Math.log(q)
                    + (n1 - hits) * Math.log1p(-q)
                    + falseAlarms * Math.log(p)
                    + (n0 - falseAlarms) * Math.log1p(-p);
        }

        double misfit(int point) {
            return distance(present[point], absent[point]);
        }

        /**
         * Squared distance of the published log ratios from those of the given shares, in the metric of the working
         * covariance D - c 11', whose inverse is D^-1 + c D^-1 11' D^-1 / (1 - c 1'D^-1 1) (Sherman and Morrison 1950).
         */
        private double distance(double[] with, double[] without) {
            double n1 = study.with().getAsInt();
            double n0 = study.without().getAsInt();
            double common = 1 / n1 + 1 / n0;
            double squares = 0;
            double sum = 0;
            double weights = 0;
            for (int k = 0; k < levels(); k++) {
                double difference = Math.log(published[k]) - Math.log(with[k] / without[k]);
                double weight = 1 / (1 / (n1 * present[WORKING][k]) + 1 / (n0 * absent[WORKING][k]));
                squares += weight * difference * difference;
                sum += weight * difference;
                weights += weight;
            }
            return squares + common * sum * sum / (1 - common * weights);
        }
    }
}
