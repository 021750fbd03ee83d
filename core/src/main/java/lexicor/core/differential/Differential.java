package lexicor.core.differential;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.function.UnaryOperator;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import lexicor.core.dependence.FactorQuadrature;
import lexicor.core.differential.Finding.Ratio;
import lexicor.core.differential.Finding.Said;

/**
 * The joint differential of some findings: where each condition stands, how components of families came together, what
 * each finding has moved and what an open one would. Points only.
 */
public final class Differential {

    /** States of one component, without what no finding speaks about, that are enumerated. */
    static final int MOST_STATES = 64;

    private final Question question;
    private final Forest forest;
    private final double[] starts;
    private final double[] shares;
    private final List<Modelled> all;
    private final Modelled.Maker maker;
    private final FactorQuadrature.Rule rule;
    private final Set<LeftOut> leftOut = new LinkedHashSet<>();
    private final Reduced answered;
    private final Map<SpaceKey, StateSpace> spaces = new ConcurrentHashMap<>();
    private final Likelihood.Kept profiles;
    private final Posterior posterior;

    /**
     * What is asked.
     *
     * @param starts chances before any finding, by condition of the forest
     * @param fits of findings over these conditions
     * @param link how far groups of one family repeat each other
     * @param worthless separation below which figures of a family say next to nothing
     */
    public record Question(
            Fits fits,
            double[] starts,
            List<Finding.Group> groups,
            double link,
            double worthless,
            List<Finding> findings,
            List<Ratio> ratios) {

        /** The conditions. */
        public Forest forest() {
            return fits.forest();
        }
    }

    /** A condition that a finding was not weighed for. */
    public record LeftOut(String finding, String condition) {}

    /** Families that some findings join. */
    public record Component(List<Integer> families, double logEvidence) {}

    /** Two widest conditions of one component, and the chance of both. */
    public record Together(int one, int other, double both) {}

    /** What a finding has moved for a condition, in decibans. */
    public record Contribution(String finding, int condition, double alone, double inPlace) {}

    /**
     * Where draws come from: what is unsure of figures, starts, ratios and groups. Arrays have one value for each draw.
     */
    public interface Source {

        /** Drawn logits of a record's sensitivity, or of one minus its specificity. */
        double[] logits(Finding finding, Target.Figures record, boolean sensitivity);

        /** What is added to the logit of a condition's chance given what it lies within. */
        double[] start(int condition);

        /** Drawn correlations of a group. */
        double[] rho(Finding.Group group);

        /** Drawn logarithms of a ratio. */
        double[] log(Ratio ratio);

        /** What the draws of a finding depend on beside the finding itself; draws of equal ones are equal. */
        Object drawnFrom(Finding finding);

        /**
         * What was worked out of draws. What is not kept is made now, together.
         *
         * @param from by value, all that it depends on
         * @param make takes the places of those that are missing, in order
         */
        List<float[][]> workedOut(List<Object> from, Function<List<Integer>, List<float[][]>> make);
    }

    /** Plausible log odds of every condition, draw after draw, by condition. */
    public double[][] drawn(int draws, Source source) {
        DrawnDifferential drawn = new DrawnDifferential(forest, shares, question.link(), draws, source);
        answered.components().forEach(each -> drawn.add(each.families(), each.active(), each.entries(), each.ratios()));
        return drawn.logOdds();
    }

    /** What an open finding would do. */
    public record Ahead(
            String finding, double positive, List<Integer> conditions, double[] ifPositive, double[] ifNegative) {}

    /** A finding as it was fitted: an entry for each part that stands alone. */
    public record Fitted(String finding, Shares shares, List<Target.Figures> records, double[] fitted) {}

    private record Reduced(List<Modelled> entries, List<Joined> components) {}

    private record Joined(List<Integer> families, boolean[] active, List<Modelled> entries, List<Ratio> ratios) {

        /** The same with another answer of one finding. */
        Joined said(String finding, Said answer) {
            List<Modelled> other = entries.stream()
                    .map(each -> each.finding().id().equals(finding) ? each.said(answer) : each)
                    .toList();
            return new Joined(families, active, other, ratios);
        }
    }

    /** Weighs the findings answered. */
    public Differential(Question question) {
        this(question, FactorQuadrature.Rule.FINE);
    }

    /** The same by sums of a chosen fineness. */
    public Differential(Question question, FactorQuadrature.Rule rule) {
        this.question = question;
        this.rule = rule;
        forest = question.forest();
        starts = forest.coherent(question.starts());
        shares = forest.shares(starts);
        Map<String, Finding.Group> groups =
                question.groups().stream().collect(Collectors.toMap(Finding.Group::id, each -> each));
        maker = new Modelled.Maker(question.fits(), groups, question.worthless());
        all = question.findings().stream()
                .flatMap(each -> maker.make(each).stream())
                .toList();
        for (Finding finding : question.findings()) {
            Set<Integer> kept = all.stream()
                    .filter(each -> each.finding() == finding)
                    .flatMap(each -> each.shares().targets().stream())
                    .collect(Collectors.toSet());
            finding.targets().stream()
                    .map(Target::condition)
                    .filter(each -> !kept.contains(forest.place(each)))
                    .forEach(each -> leftOut.add(new LeftOut(finding.id(), each)));
        }
        answered = reduce(all.stream().filter(each -> each.finding().answered()).toList(), leftOut);
        profiles = new Likelihood.Kept(answered.entries());
        posterior = posterior(answered.components());
    }

    /** The starts as they were made coherent. */
    public double[] starts() {
        return starts.clone();
    }

    /** Where each condition stands. */
    public double[] now() {
        return posterior.now.clone();
    }

    /** Targets that were not weighed. */
    public List<LeftOut> leftOut() {
        return List.copyOf(leftOut);
    }

    /** Groups whose answered findings have different homes and are not linked across them. */
    public List<String> splitGroups() {
        Map<String, Set<Integer>> homes = new LinkedHashMap<>();
        for (Modelled each : answered.entries()) {
            each.group()
                    .ifPresent(group -> homes.computeIfAbsent(group.id(), id -> new LinkedHashSet<>())
                            .add(each.home()));
        }
        return homes.entrySet().stream()
                .filter(each -> each.getValue().size() > 1)
                .map(Map.Entry::getKey)
                .toList();
    }

    /** Every finding as it was fitted. */
    public List<Fitted> fitted() {
        List<Modelled> entries = new ArrayList<>();
        for (Modelled each : all) {
            entries.add(answered.entries().stream()
                    .filter(other -> other.finding() == each.finding() && !other.apart())
                    .findFirst()
                    .orElse(each));
        }
        return entries.stream()
                .map(each -> new Fitted(each.finding().id(), each.shares(), each.kept(), each.fitted()))
                .toList();
    }

    /** The components of what was answered. */
    public List<Component> components() {
        List<Component> components = new ArrayList<>();
        for (int c = 0; c < answered.components().size(); c++) {
            components.add(new Component(answered.components().get(c).families(), posterior.logEvidence[c]));
        }
        return components;
    }

    /** For each pair of families of a component, the chance that both hold. */
    public List<Together> together() {
        List<Together> pairs = new ArrayList<>();
        for (int c = 0; c < answered.components().size(); c++) {
            List<Integer> roots = answered.components().get(c).families();
            for (int i = 0; i < roots.size(); i++) {
                for (int j = i + 1; j < roots.size(); j++) {
                    pairs.add(new Together(roots.get(i), roots.get(j), posterior.both(c, roots.get(i), roots.get(j))));
                }
            }
        }
        return pairs;
    }

    /** What each finding and ratio has moved, for every condition of its component. */
    public List<Contribution> contributions() {
        return contributions(id -> id);
    }

    /**
     * The same of findings that come from one source together.
     *
     * @param source by the id of a finding or ratio
     */
    public List<Contribution> contributions(UnaryOperator<String> source) {
        List<Contribution> contributions = new ArrayList<>();
        Set<String> sources = new LinkedHashSet<>();
        answered.entries()
                .forEach(each -> sources.add(source.apply(each.finding().id())));
        question.ratios().forEach(each -> sources.add(source.apply(each.id())));
        for (String one : sources) {
            Predicate<String> own = id -> source.apply(id).equals(one);
            double[] alone = posterior(own).now;
            double[] without = posterior(own.negate()).now;
            for (Joined component : answered.components()) {
                if (component.entries().stream()
                                .anyMatch(each -> own.test(each.finding().id()))
                        || component.ratios().stream().anyMatch(each -> own.test(each.id()))) {
                    component.families().stream()
                            .flatMapToInt(root -> Arrays.stream(forest.family(root)))
                            .forEach(c -> contributions.add(new Contribution(
                                    one, c, moved(alone[c], starts[c]), moved(posterior.now[c], without[c]))));
                }
            }
        }
        return contributions;
    }

    private Posterior posterior(Predicate<String> ids) {
        return posterior(joined(
                        answered.entries().stream()
                                .filter(each -> ids.test(each.finding().id()))
                                .toList(),
                        question.ratios().stream()
                                .filter(each -> ids.test(each.id()))
                                .toList())
                .components());
    }

    private static double moved(double after, double before) {
        return 10 / Math.log(10) * (Shares.logit(after) - Shares.logit(before));
    }

    /** What each open finding that does not stand alone would do. */
    public List<Ahead> ahead() {
        List<Ahead> ahead = new ArrayList<>();
        for (Modelled open : all) {
            if (!open.finding().answered() && !open.apart()) {
                ahead.add(ahead(open));
            }
        }
        return ahead;
    }

    /** What a finding that is not part of the question would do; one for each part that stands alone. */
    public List<Ahead> ahead(Finding open) {
        return maker.make(open).stream().map(this::ahead).toList();
    }

    /**
     * A finding that is not part of the question as it is modelled: one for each part that stands alone.
     *
     * @param group its group, which the question need not have
     */
    public List<OpenPart> parts(Finding open, Optional<Finding.Group> group) {
        return maker.make(open).stream()
                .map(each ->
                        new OpenPart(each.shares(), each.home(), each.apart() ? Optional.empty() : group, each.apart()))
                .toList();
    }

    /** The chance of each condition given what it lies within, before any finding; by condition. */
    public double[] shares() {
        return shares.clone();
    }

    /** What an open finding would leave, whichever way it is answered. */
    private record Opened(Joined positive, Joined negative, Posterior ifPositive, Posterior ifNegative) {

        /** The chance that it will be positive, 0..1. */
        double chance() {
            return 1 / (1 + Math.exp(ifNegative.logEvidence[0] - ifPositive.logEvidence[0]));
        }

        IntStream conditions(Forest forest) {
            return positive.families().stream().flatMapToInt(root -> Arrays.stream(forest.family(root)));
        }
    }

    private Opened opened(Modelled open) {
        Joined positive = with(open.said(Said.POSITIVE));
        Joined negative = positive.said(open.finding().id(), Said.NEGATIVE);
        return new Opened(positive, negative, posterior(List.of(positive)), posterior(List.of(negative)));
    }

    private Ahead ahead(Modelled open) {
        Opened opened = opened(open);
        List<Integer> conditions = opened.conditions(forest).boxed().toList();
        return new Ahead(
                open.finding().id(),
                opened.chance(),
                conditions,
                conditions.stream().mapToDouble(c -> opened.ifPositive().now[c]).toArray(),
                conditions.stream().mapToDouble(c -> opened.ifNegative().now[c]).toArray());
    }

    /**
     * What a finding that is not part of the question says between any two conditions, given what was answered; one for
     * each part that stands alone.
     */
    public List<Pairs> pairs(Finding open) {
        return maker.make(open).stream().map(this::pairs).toList();
    }

    private Pairs pairs(Modelled open) {
        Opened opened = opened(open);
        boolean[] spokenOf = new boolean[forest.size()];
        opened.conditions(forest).forEach(c -> spokenOf[c] = true);
        return new Pairs(
                spokenOf,
                posterior.now,
                opened.chance(),
                both(opened.ifPositive(), opened.positive(), spokenOf),
                both(opened.ifNegative(), opened.negative(), spokenOf));
    }

    private double[][] both(Posterior after, Joined component, boolean[] spokenOf) {
        return Pairs.both(
                new Pairs.States(after.states.get(0), after.weights.get(0), component.active()),
                forest,
                shares,
                spokenOf);
    }

    /** The component of one more finding beside those answered. */
    private Joined with(Modelled more) {
        List<Modelled> entries = new ArrayList<>(answered.entries());
        entries.add(more);
        return reduce(entries, new LinkedHashSet<>()).components().stream()
                .filter(each -> each.entries().stream().anyMatch(entry -> entry.finding() == more.finding()))
                .findFirst()
                .orElseThrow();
    }

    /**
     * Joins families; where a component has too many states, findings let go of the family that they tell least about.
     */
    private Reduced reduce(List<Modelled> entries, Set<LeftOut> out) {
        List<Modelled> kept = new ArrayList<>(entries);
        while (true) {
            Reduced reduced = joined(kept, question.ratios());
            Optional<Joined> large = reduced.components().stream()
                    .filter(each -> collapsed(each) > MOST_STATES)
                    .findFirst();
            if (large.isEmpty()) {
                return reduced;
            }
            int least = -1;
            int family = -1;
            double worth = Double.POSITIVE_INFINITY;
            for (int e = 0; e < kept.size(); e++) {
                Modelled each = kept.get(e);
                if (large.get().entries().contains(each)) {
                    for (int other : each.families()) {
                        double best = each.best(forest, other);
                        if (other != each.home() && best <= worth) {
                            worth = best;
                            least = e;
                            family = other;
                        }
                    }
                }
            }
            if (least < 0) {
                throw new IllegalArgumentException("the conditions within "
                        + forest.id(large.get().families().get(0)) + " have " + collapsed(large.get())
                        + " states; allowed: at most " + MOST_STATES);
            }
            Modelled before = kept.get(least);
            Modelled after = maker.without(before, family);
            int gone = family;
            before.shares().targets().stream()
                    .filter(each -> forest.root(each) == gone)
                    .forEach(each -> out.add(new LeftOut(before.finding().id(), forest.id(each))));
            kept.set(least, after);
        }
    }

    private long collapsed(Joined component) {
        long product = 1;
        for (int root : component.families()) {
            product = Math.multiplyExact(product, forest.states(root, component.active()));
        }
        return product;
    }

    private Reduced joined(List<Modelled> entries, List<Ratio> ratios) {
        int[] component = new int[forest.size()];
        Arrays.setAll(component, i -> i);
        boolean[] active = new boolean[forest.size()];
        Set<Integer> touched = new LinkedHashSet<>();
        for (Modelled each : entries) {
            List<Integer> families = each.families();
            each.shares().targets().forEach(target -> active[target] = true);
            touched.addAll(families);
            for (int other : families) {
                int from = component[other];
                int to = component[families.get(0)];
                for (int i = 0; i < component.length; i++) {
                    component[i] = component[i] == from ? to : component[i];
                }
            }
        }
        for (Ratio ratio : ratios) {
            int condition = forest.place(ratio.condition());
            active[condition] = true;
            touched.add(forest.root(condition));
        }
        boolean[] upward = forest.upward(active);
        Map<Integer, List<Integer>> byComponent = new LinkedHashMap<>();
        touched.stream()
                .sorted()
                .forEach(root -> byComponent
                        .computeIfAbsent(component[root], id -> new ArrayList<>())
                        .add(root));
        List<Joined> components = byComponent.values().stream()
                .map(families -> new Joined(
                        families,
                        upward,
                        entries.stream()
                                .filter(each ->
                                        families.contains(each.families().get(0)))
                                .toList(),
                        ratios.stream()
                                .filter(each -> families.contains(forest.root(forest.place(each.condition()))))
                                .toList()))
                .toList();
        return new Reduced(entries, components);
    }

    /** How many states the families of a component have in all. */
    public long states(Component component) {
        return component.families().stream().mapToLong(forest::states).reduce(1, Math::multiplyExact);
    }

    /** Where the conditions stand after some findings. */
    private static final class Posterior {
        private final double[] now;
        private final double[] logEvidence;
        private final List<List<boolean[]>> states = new ArrayList<>();
        private final List<double[]> weights = new ArrayList<>();

        Posterior(double[] starts, int components) {
            now = starts.clone();
            logEvidence = new double[components];
        }

        double both(int component, int one, int other) {
            double sum = 0;
            for (int s = 0; s < states.get(component).size(); s++) {
                boolean[] state = states.get(component).get(s);
                sum += state[one] && state[other] ? weights.get(component)[s] : 0;
            }
            return sum;
        }
    }

    /** Which families and which of their conditions a component has states of. */
    private record SpaceKey(List<Integer> families, BitSet active) {}

    /** The states of a component with the logarithms of their chances before any finding. Neither may be changed. */
    private record StateSpace(List<boolean[]> states, double[] logPriors) {

        static StateSpace of(Forest forest, List<Integer> families, boolean[] active, double[] shares) {
            List<boolean[]> states = forest.states(families, active);
            return new StateSpace(
                    states,
                    states.stream()
                            .mapToDouble(state -> Math.log(forest.prior(state, families, active, shares)))
                            .toArray());
        }
    }

    private Posterior posterior(List<Joined> components) {
        Posterior after = new Posterior(starts, components.size());
        for (int c = 0; c < components.size(); c++) {
            Joined component = components.get(c);
            StateSpace space = spaces.computeIfAbsent(
                    new SpaceKey(component.families(), BitSets.of(component.active())),
                    key -> StateSpace.of(forest, component.families(), component.active(), shares));
            List<boolean[]> states = space.states();
            double[] logs = new double[states.size()];
            double greatest = Double.NEGATIVE_INFINITY;
            Likelihood likelihood = new Likelihood(
                    forest, question.fits(), question.link(), rule, component.entries(), component.ratios(), profiles);
            for (int s = 0; s < logs.length; s++) {
                logs[s] = space.logPriors()[s] + likelihood.log(states.get(s));
                greatest = Math.max(greatest, logs[s]);
            }
            double sum = 0;
            for (double log : logs) {
                sum += Math.exp(log - greatest);
            }
            double[] weights = new double[logs.length];
            for (int s = 0; s < logs.length; s++) {
                weights[s] = Math.exp(logs[s] - greatest) / sum;
            }
            after.logEvidence[c] = greatest + Math.log(sum);
            after.states.add(states);
            after.weights.add(weights);
            for (int root : component.families()) {
                for (int condition : forest.family(root)) {
                    if (component.active()[condition]) {
                        double chance = 0;
                        for (int s = 0; s < weights.length; s++) {
                            chance += states.get(s)[condition] ? weights[s] : 0;
                        }
                        after.now[condition] = chance;
                    } else {
                        after.now[condition] = after.now[forest.parent(condition)] * shares[condition];
                    }
                }
            }
        }
        return after;
    }
}
