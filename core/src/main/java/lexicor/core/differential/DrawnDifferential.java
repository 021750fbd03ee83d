package lexicor.core.differential;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.function.ToIntFunction;
import lexicor.core.dependence.FactorQuadrature;
import lexicor.core.dependence.LogitTable;
import lexicor.core.dependence.PhiTable;
import lexicor.core.differential.Finding.Ratio;

/**
 * The joint differential over draws of what it is unsure of. A draw moves published figures, and with them the fitted
 * shares by the gains of the fit; starts; ratios; and correlations. In every draw a narrower condition stays within its
 * wider one.
 */
final class DrawnDifferential {

    private static final FactorQuadrature.Rule RULE = FactorQuadrature.Rule.COARSE;
    private static final double[] OUTER = RULE.outerWeights();
    private static final double EDGE = 1e-6;

    private final Forest forest;
    private final double link;
    private final int draws;
    private final Differential.Source source;
    /** Drawn chances of each condition given what it lies within. */
    private final double[][] shares;

    private final double[][] chances;

    DrawnDifferential(Forest forest, double[] pointShares, double link, int draws, Differential.Source source) {
        this.forest = forest;
        this.link = link;
        this.draws = draws;
        this.source = source;
        shares = new double[forest.size()][];
        chances = new double[forest.size()][];
        for (int c : forest.wideToNarrow()) {
            double logit = Shares.logit(pointShares[c]);
            double[] moved = source.start(c);
            shares[c] = new double[draws];
            chances[c] = new double[draws];
            for (int i = 0; i < draws; i++) {
                shares[c][i] = Shares.logistic(logit + moved[i]);
                chances[c][i] = shares[c][i] * (forest.parent(c) < 0 ? 1 : chances[forest.parent(c)][i]);
            }
        }
    }

    double[][] logOdds() {
        double[][] odds = new double[chances.length][draws];
        for (int c = 0; c < odds.length; c++) {
            for (int i = 0; i < draws; i++) {
                double chance = Math.min(1 - 1e-12, Math.max(1e-12, chances[c][i]));
                odds[c][i] = Shares.logit(chance);
            }
        }
        return odds;
    }

    /** A finding with its draws, and the target sets that matter. */
    private final class Entry {
        private final Modelled modelled;
        private final int[] wider;
        private final double[][] moved;
        private final List<Long> masks = new ArrayList<>();
        private final double[] logs;
        /** Of each target, its place among the fitted ones; -1 where it was not fitted. */
        private final int[] fitted;

        private final double[] eta;
        private double[] share = new double[0];
        private double[] quantiles = new double[0];
        private double[][] columns = new double[0][];

        Entry(Modelled modelled) {
            this.modelled = modelled;
            wider = Shares.wider(forest, modelled.shares().targets());
            eta = new double[modelled.fit().eta().length];
            logs = new double[modelled.shares().targets().size() + 1];
            fitted = modelled.shares().targets().stream()
                    .mapToInt(modelled.fit().targets()::indexOf)
                    .toArray();
            int records = modelled.kept().size();
            moved = new double[2 * records][];
            for (int r = 0; r < records; r++) {
                Target.Figures figures = modelled.kept().get(r);
                moved[2 * r] =
                        away(source.logits(modelled.finding(), figures, true), Shares.logit(figures.sensitivity()));
                moved[2 * r + 1] = away(
                        source.logits(modelled.finding(), figures, false), Shares.logit(1 - figures.specificity()));
            }
        }

        private static double[] away(double[] drawn, double from) {
            return Arrays.stream(drawn).map(each -> each - from).toArray();
        }

        int place(boolean[] state) {
            long mask = modelled.mask(state);
            int place = masks.indexOf(mask);
            if (place < 0) {
                masks.add(mask);
                place = masks.size() - 1;
            }
            return place;
        }

        void draw(int draw) {
            if (share.length == 0) {
                share = new double[masks.size()];
                quantiles = new double[masks.size()];
                columns = new double[masks.size()][];
            }
            ShareFit.Result fit = modelled.fit();
            double most = Double.NEGATIVE_INFINITY;
            for (int k = 0; k < eta.length; k++) {
                eta[k] = fit.eta()[k];
                for (int row = 0; row < moved.length; row++) {
                    eta[k] += fit.gains()[k][row] * moved[row][draw];
                }
                most = k == 0 ? most : Math.max(most, eta[k]);
            }
            double none = eta[0];
            logs[0] = Shares.logNot(none);
            for (int t = 0; t < fitted.length; t++) {
                logs[t + 1] = Shares.logNot(fitted[t] < 0 ? (none + most) / 2 : eta[fitted[t] + 1]);
            }
            for (int m = 0; m < share.length; m++) {
                double log = logs[0];
                long mask = masks.get(m);
                for (int t = 0; t < fitted.length; t++) {
                    if ((mask >> t & 1) == 1) {
                        log += logs[t + 1] - logs[wider[t] < 0 ? 0 : wider[t] + 1];
                    }
                }
                share[m] = Math.min(1 - EDGE, Math.max(EDGE, 1 - Math.exp(log)));
                quantiles[m] = LogitTable.quantile(Shares.logit(share[m]));
            }
        }

        void column(int m, FactorQuadrature kernel) {
            double[] shifts = kernel.shifts();
            if (columns[m] == null || columns[m].length != shifts.length) {
                columns[m] = new double[shifts.length];
            }
            double z = quantiles[m] * kernel.scale();
            boolean positive = modelled.positive();
            for (int w = 0; w < shifts.length; w++) {
                columns[m][w] = PhiTable.below(positive ? z + shifts[w] : -z - shifts[w]);
            }
        }
    }

    /** Findings that share a factor, with the combinations of target sets that matter. */
    private final class Group {
        private final List<Entry> members;
        private final double[] rhos;
        private final Map<Double, FactorQuadrature> kernels = new HashMap<>();
        private final List<List<Integer>> combinations = new ArrayList<>();
        private double[][] profiles = new double[0][];

        Group(List<Entry> members) {
            this.members = members;
            rhos = members.size() > 1
                    ? source.rho(members.get(0).modelled.group().orElseThrow())
                    : new double[0];
        }

        /** Correlations come from a grid, so that a few kernels serve all draws. */
        private FactorQuadrature kernel(double rho) {
            return kernels.computeIfAbsent(rho, value -> FactorQuadrature.of(value, link, RULE));
        }

        int place(boolean[] state) {
            List<Integer> combination =
                    members.stream().map(each -> each.place(state)).toList();
            int place = combinations.indexOf(combination);
            if (place < 0) {
                combinations.add(combination);
                place = combinations.size() - 1;
            }
            return place;
        }

        void draw(int draw) {
            if (profiles.length == 0) {
                profiles = new double[combinations.size()][OUTER.length];
            }
            FactorQuadrature kernel = kernel(rhos.length == 0 ? link : rhos[draw]);
            for (Entry member : members) {
                for (int m = 0; m < member.masks.size(); m++) {
                    member.column(m, kernel);
                }
            }
            double[] product = new double[kernel.inner()];
            for (int p = 0; p < profiles.length; p++) {
                Arrays.fill(product, 1);
                for (int j = 0; j < members.size(); j++) {
                    double[] column = members.get(j).columns[combinations.get(p).get(j)];
                    for (int w = 0; w < product.length; w++) {
                        product[w] *= column[w];
                    }
                }
                kernel.into(product, profiles[p]);
            }
        }
    }

    /** Draws where the conditions of a component stand. */
    void add(List<Integer> families, boolean[] active, List<Modelled> findings, List<Ratio> ratios) {
        List<boolean[]> states = forest.states(families, active);
        List<Entry> entries = findings.stream().map(Entry::new).toList();
        List<Entry> apart =
                entries.stream().filter(each -> each.modelled.apart()).toList();
        Map<Integer, Map<String, List<Entry>>> byHome = new LinkedHashMap<>();
        for (Entry each : entries) {
            if (!each.modelled.apart()) {
                String group = each.modelled
                        .group()
                        .map(known -> "group " + known.id())
                        .orElse("single " + each.modelled.finding().id());
                byHome.computeIfAbsent(each.modelled.home(), home -> new LinkedHashMap<>())
                        .computeIfAbsent(group, id -> new ArrayList<>())
                        .add(each);
            }
        }
        List<List<Group>> homes = byHome.values().stream()
                .map(groups -> groups.values().stream().map(Group::new).toList())
                .toList();
        List<FamilyPrior> priors = families.stream()
                .map(root -> new FamilyPrior(states, forest.family(root), active))
                .toList();
        List<Part> parts = new ArrayList<>(priors);
        homes.forEach(groups -> parts.add(new HomeMean(states, groups)));
        apart.forEach(entry -> parts.add(new Alone(states, entry)));
        ratios.forEach(ratio -> parts.add(new Known(states, ratio)));
        double[] weights = new double[states.size()];
        for (int i = 0; i < draws; i++) {
            for (Entry each : entries) {
                each.draw(i);
            }
            for (List<Group> groups : homes) {
                for (Group group : groups) {
                    group.draw(i);
                }
            }
            Arrays.fill(weights, 1);
            for (Part part : parts) {
                part.multiply(weights, i);
            }
            double sum = 0;
            for (double weight : weights) {
                sum += weight;
            }
            for (FamilyPrior family : priors) {
                family.place(weights, sum, i);
            }
        }
    }

    /**
     * A factor of the weight of states. Few conditions matter to it, so it is worked out once for all states that are
     * alike in them.
     */
    private abstract static class Part {
        /** By state, which of the values is its own. */
        private final int[] kinds;
        /** A state of each kind. */
        private final List<boolean[]> examples = new ArrayList<>();

        private final double[] values;

        /** @param alike equal for states that are alike */
        Part(List<boolean[]> states, Function<boolean[], Object> alike) {
            Map<Object, Integer> known = new HashMap<>();
            kinds = states.stream()
                    .mapToInt(state -> known.computeIfAbsent(alike.apply(state), key -> {
                        examples.add(state);
                        return examples.size() - 1;
                    }))
                    .toArray();
            values = new double[examples.size()];
        }

        abstract double value(int kind, int draw);

        final void multiply(double[] weights, int draw) {
            for (int k = 0; k < values.length; k++) {
                values[k] = value(k, draw);
            }
            for (int s = 0; s < weights.length; s++) {
                weights[s] *= values[kinds[s]];
            }
        }

        /** Sums of weights by kind. */
        final double[] sums(double[] weights) {
            Arrays.fill(values, 0);
            for (int s = 0; s < weights.length; s++) {
                values[kinds[s]] += weights[s];
            }
            return values;
        }

        final boolean[] example(int kind) {
            return examples.get(kind);
        }

        /** One number for each kind, from its example. */
        final int[] ofExamples(ToIntFunction<boolean[]> number) {
            return examples.stream().mapToInt(number).toArray();
        }
    }

    /** The start of the conditions of one family. */
    private final class FamilyPrior extends Part {
        private final int[] family;
        private final boolean[] active;

        FamilyPrior(List<boolean[]> states, int[] family, boolean[] active) {
            super(states, state -> Arrays.stream(family).mapToObj(c -> state[c]).toList());
            this.family = family;
            this.active = active;
        }

        @Override
        double value(int kind, int draw) {
            boolean[] state = example(kind);
            double prior = 1;
            for (int c : family) {
                if (active[c] && (forest.parent(c) < 0 || state[forest.parent(c)])) {
                    prior *= state[c] ? shares[c][draw] : 1 - shares[c][draw];
                }
            }
            return prior;
        }

        /** Says where its conditions stand in a draw. */
        void place(double[] weights, double sum, int draw) {
            double[] sums = sums(weights);
            for (int c : family) {
                if (!active[c]) {
                    chances[c][draw] = chances[forest.parent(c)][draw] * shares[c][draw];
                } else if (sum > 0) {
                    double chance = 0;
                    for (int k = 0; k < sums.length; k++) {
                        chance += example(k)[c] ? sums[k] : 0;
                    }
                    chances[c][draw] = Math.min(1, chance / sum);
                }
            }
        }
    }

    /** The answers of groups that share a wider factor: the mean over it. */
    private final class HomeMean extends Part {
        private final Group[] groups;
        /** By group, then by kind. */
        private final int[][] places;

        HomeMean(List<boolean[]> states, List<Group> groups) {
            super(
                    states,
                    state -> groups.stream().map(group -> group.place(state)).toList());
            this.groups = groups.toArray(Group[]::new);
            places = groups.stream().map(group -> ofExamples(group::place)).toArray(int[][]::new);
        }

        @Override
        double value(int kind, int draw) {
            double sum = 0;
            for (int v = 0; v < OUTER.length; v++) {
                double value = OUTER[v];
                for (int g = 0; g < groups.length; g++) {
                    value *= groups[g].profiles[places[g][kind]][v];
                }
                sum += value;
            }
            return sum;
        }
    }

    /** An answer that stands alone. */
    private final class Alone extends Part {
        private final Entry entry;
        private final int[] places;

        Alone(List<boolean[]> states, Entry entry) {
            super(states, entry::place);
            this.entry = entry;
            places = ofExamples(entry::place);
        }

        @Override
        double value(int kind, int draw) {
            double share = entry.share[places[kind]];
            return entry.modelled.positive() ? share : 1 - share;
        }
    }

    /** A ratio of one condition. */
    private final class Known extends Part {
        private final int condition;
        private final double[] logs;

        Known(List<boolean[]> states, Ratio ratio) {
            super(states, state -> state[forest.place(ratio.condition())]);
            condition = forest.place(ratio.condition());
            logs = source.log(ratio);
        }

        @Override
        double value(int kind, int draw) {
            return example(kind)[condition] ? Math.exp(logs[draw]) : 1;
        }
    }
}
