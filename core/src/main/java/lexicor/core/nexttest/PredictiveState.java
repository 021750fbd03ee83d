package lexicor.core.nexttest;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import lexicor.core.dependence.Correlation;
import lexicor.core.dependence.FactorQuadrature;
import lexicor.core.findings.Combination;
import lexicor.core.findings.FindingGroup;
import lexicor.core.findings.Weight;
import lexicor.core.findings.WeightedFinding;
import org.jspecify.annotations.Nullable;

/**
 * What was found of one condition, and what is supposed to be found next, given that it is present or that it is
 * absent. Immutable.
 */
final class PredictiveState {

    private final FactorQuadrature.Rule rule;
    private final double[] outer;
    private final List<Part> parts;
    private final double chance;

    /** Answers of one group, or one answer that belongs to none. */
    private record Part(String group, FactorQuadrature kernel, double[] product, double[] profile) {}

    private PredictiveState(FactorQuadrature.Rule rule, List<Part> parts) {
        this.rule = rule;
        this.outer = rule.outerWeights();
        this.parts = parts;
        this.chance = chance(parts, null, null);
    }

    static PredictiveState of(Combination combination, double link, boolean withCondition, FactorQuadrature.Rule rule) {
        List<Part> parts = new ArrayList<>();
        for (FindingGroup bundle : combination.bundles()) {
            FactorQuadrature kernel = FactorQuadrature.of(bundle.rho(withCondition, link), link, rule);
            double[] product = new double[kernel.inner()];
            Arrays.fill(product, 1);
            for (WeightedFinding load : bundle.loads()) {
                Weight.Proportions weight = (Weight.Proportions) load.weight();
                times(product, kernel.answer(weight.share(withCondition), weight.positive()));
            }
            parts.add(new Part(
                    bundle.correlation().map(known -> known.group().id()).orElse(""),
                    kernel,
                    product,
                    kernel.at(product)));
        }
        return new PredictiveState(rule, parts);
    }

    /**
     * A test that may come next: its answers at each value of its group's factor.
     *
     * @param alone the part that a positive makes where its group has not spoken
     */
    record Next(String group, FactorQuadrature kernel, double[] positive, double[] negative, Part alone) {}

    /** @param share of positives in this state of the world */
    static Next next(
            Optional<Correlation> correlation,
            double link,
            boolean withCondition,
            double share,
            FactorQuadrature.Rule rule) {
        FactorQuadrature kernel = FactorQuadrature.of(
                correlation.map(known -> known.rho(withCondition)).orElse(link), link, rule);
        String group = correlation.map(known -> known.group().id()).orElse("");
        double[] positive = kernel.answer(share, true);
        return new Next(
                group,
                kernel,
                positive,
                kernel.answer(share, false),
                new Part(group, kernel, positive, kernel.at(positive)));
    }

    /** Chance of a positive next, given everything here. */
    double positive(Next next) {
        Part earlier = grouped(next.group());
        return chance(parts, earlier, earlier == null ? next.alone() : part(next, true)) / chance;
    }

    /** The same with an answer more. */
    PredictiveState with(Next next, boolean positive) {
        List<Part> more = new ArrayList<>(parts);
        more.remove(grouped(next.group()));
        more.add(part(next, positive));
        return new PredictiveState(rule, more);
    }

    private Part part(Next next, boolean positive) {
        double[] product = (positive ? next.positive() : next.negative()).clone();
        Part earlier = grouped(next.group());
        if (earlier != null) {
            times(product, earlier.product());
        }
        return new Part(next.group(), next.kernel(), product, next.kernel().at(product));
    }

    /** The part of a group; null where there is none, as for what belongs to no group. */
    private @Nullable Part grouped(String group) {
        if (!group.isEmpty()) {
            for (Part part : parts) {
                if (part.group().equals(group)) {
                    return part;
                }
            }
        }
        return null;
    }

    private double chance(List<Part> all, @Nullable Part without, @Nullable Part instead) {
        double sum = 0;
        for (int v = 0; v < outer.length; v++) {
            double value = outer[v] * (instead == null ? 1 : instead.profile()[v]);
            for (Part part : all) {
                if (part != without) {
                    value *= part.profile()[v];
                }
            }
            sum += value;
        }
        return sum;
    }

    private static void times(double[] product, double[] factor) {
        for (int i = 0; i < product.length; i++) {
            product[i] *= factor[i];
        }
    }
}
