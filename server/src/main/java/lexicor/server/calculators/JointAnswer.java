package lexicor.server.calculators;

import com.fasterxml.jackson.annotation.JsonInclude;
import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;
import lexicor.core.differential.Differential;
import lexicor.core.differential.Forest;

/** Where the conditions stand, and why. */
@JsonInclude(JsonInclude.Include.NON_NULL)
record JointAnswer(
        List<Stands> conditions,
        List<Fitted> findings,
        List<Differential.LeftOut> leftOut,
        List<String> splitGroups,
        List<Component> components,
        List<Pair> together,
        List<Moved> contributions,
        List<Ahead> ahead) {

    /** A condition before and after; {@code start} after it was made coherent. */
    @Schema(name = "JointStandsAnswer")
    record Stands(String id, double start, double now) {}

    /** A condition's chance. */
    @Schema(name = "JointNowAnswer")
    record Now(String id, double now) {}

    /** A finding's shares of positives, and what its figures would be by them. */
    @Schema(name = "JointFittedAnswer")
    record Fitted(String id, double none, List<Only> only, List<Figures> fitted) {}

    /** The share among people with a condition and what it lies within. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    @Schema(name = "JointOnlyAnswer")
    record Only(String condition, double share, Boolean borrowed) {}

    /** Figures by the fit. */
    @Schema(name = "JointFiguresAnswer")
    record Figures(String condition, double sensitivity, double specificity) {}

    /** Families that findings join. */
    @Schema(name = "JointComponentAnswer")
    record Component(List<String> conditions, long states, double evidence) {}

    /** Two widest conditions and the chance of both. */
    @Schema(name = "JointPairAnswer")
    record Pair(String one, String other, double both) {}

    /** Decibans by a finding alone, and beside all others. */
    @Schema(name = "JointMovedAnswer")
    record Moved(String finding, String condition, double alone, double inPlace) {}

    /** What an open finding would do. */
    @Schema(name = "JointAheadAnswer")
    record Ahead(String id, double positive, List<Now> ifPositive, List<Now> ifNegative) {}

    static JointAnswer of(Differential differential, Forest forest) {
        double[] starts = differential.starts();
        double[] now = differential.now();
        List<Stands> stands = IntStream.range(0, forest.size())
                .mapToObj(c -> new Stands(forest.id(c), starts[c], now[c]))
                .toList();
        List<Component> components = differential.components().stream()
                .map(each -> new Component(
                        each.families().stream()
                                .flatMapToInt(root -> Arrays.stream(forest.family(root)))
                                .mapToObj(forest::id)
                                .toList(),
                        differential.states(each),
                        Math.exp(each.logEvidence())))
                .toList();
        List<Pair> together = differential.together().stream()
                .map(each -> new Pair(forest.id(each.one()), forest.id(each.other()), each.both()))
                .toList();
        List<Moved> moved = differential.contributions().stream()
                .map(each -> new Moved(each.finding(), forest.id(each.condition()), each.alone(), each.inPlace()))
                .toList();
        List<Ahead> ahead = differential.ahead().stream()
                .map(each -> new Ahead(
                        each.finding(),
                        each.positive(),
                        after(forest, each.conditions(), each.ifPositive()),
                        after(forest, each.conditions(), each.ifNegative())))
                .toList();
        return new JointAnswer(
                stands,
                differential.fitted().stream().map(each -> fitted(forest, each)).toList(),
                differential.leftOut(),
                some(differential.splitGroups()),
                components,
                some(together),
                some(moved),
                some(ahead));
    }

    private static <T> List<T> some(List<T> list) {
        return list.isEmpty() ? null : list;
    }

    private static List<Now> after(Forest forest, List<Integer> conditions, double[] chances) {
        return IntStream.range(0, chances.length)
                .mapToObj(i -> new Now(forest.id(conditions.get(i)), chances[i]))
                .toList();
    }

    private static Fitted fitted(Forest forest, Differential.Fitted fitted) {
        List<Only> only = new ArrayList<>();
        for (int t = 0; t < fitted.shares().targets().size(); t++) {
            only.add(new Only(
                    forest.id(fitted.shares().targets().get(t)),
                    logistic(fitted.shares().only()[t]),
                    fitted.shares().borrowed()[t] ? true : null));
        }
        List<Figures> figures = IntStream.range(0, fitted.records().size())
                .mapToObj(r -> new Figures(
                        fitted.records().get(r).condition(), fitted.fitted()[2 * r], 1 - fitted.fitted()[2 * r + 1]))
                .toList();
        return new Fitted(fitted.finding(), logistic(fitted.shares().none()), only, figures);
    }

    private static double logistic(double logit) {
        return 1 / (1 + Math.exp(-logit));
    }
}
