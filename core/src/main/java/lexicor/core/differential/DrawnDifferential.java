package lexicor.core.differential;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.Stream;
import lexicor.core.differential.Finding.Ratio;

/**
 * The joint differential over draws of what it is unsure of. A draw moves published figures, and with them the fitted
 * shares by the gains of the fit; starts; ratios; and correlations. In every draw a narrower condition stays within its
 * wider one.
 */
final class DrawnDifferential {

    private static final double[] OUTER = DrawnGroup.OUTER;

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

    /** Draws where the conditions of a component stand. */
    void add(List<Integer> families, boolean[] active, List<Modelled> findings, List<Ratio> ratios) {
        List<boolean[]> states = forest.states(families, active);
        List<DrawnShares> apart = new ArrayList<>();
        Map<Integer, Map<String, List<DrawnShares>>> byHome = new LinkedHashMap<>();
        for (Modelled each : findings) {
            if (each.apart()) {
                apart.add(new DrawnShares(forest, draws, source, each));
            } else {
                byHome.computeIfAbsent(each.home(), home -> new LinkedHashMap<>())
                        .computeIfAbsent(each.factor(), id -> new ArrayList<>())
                        .add(new DrawnShares(forest, draws, source, each));
            }
        }
        List<Part> parts = new ArrayList<>();
        families.forEach(root -> parts.add(new FamilyPrior(states, forest.family(root), active)));
        byHome.values()
                .forEach(groups -> parts.add(new HomeMean(
                        states,
                        groups.values().stream()
                                .map(members -> new DrawnGroup(members, link, draws, source))
                                .toList())));
        apart.forEach(entry -> parts.add(new Alone(states, entry)));
        ratios.forEach(ratio -> parts.add(new Known(states, ratio)));
        double[][] weights = new double[states.size()][draws];
        for (double[] weight : weights) {
            Arrays.fill(weight, 1);
        }
        parts.forEach(part -> part.multiply(weights));
        double[] all = new double[draws];
        for (double[] weight : weights) {
            add(all, weight);
        }
        families.forEach(root -> place(forest.family(root), active, states, weights, all));
    }

    /** Says where the conditions of a family stand: the share of the states in which each holds. */
    private void place(int[] family, boolean[] active, List<boolean[]> states, double[][] weights, double[] all) {
        for (int c : family) {
            if (active[c]) {
                double[] holds = new double[draws];
                for (int s = 0; s < weights.length; s++) {
                    if (states.get(s)[c]) {
                        add(holds, weights[s]);
                    }
                }
                for (int i = 0; i < draws; i++) {
                    chances[c][i] = all[i] > 0 ? Math.min(1, holds[i] / all[i]) : chances[c][i];
                }
            } else {
                for (int i = 0; i < draws; i++) {
                    chances[c][i] = chances[forest.parent(c)][i] * shares[c][i];
                }
            }
        }
    }

    private static void add(double[] sum, double[] more) {
        for (int i = 0; i < sum.length; i++) {
            sum[i] += more[i];
        }
    }

    private static void multiply(double[] product, double[] by) {
        for (int i = 0; i < product.length; i++) {
            product[i] *= by[i];
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

        /** @param alike equal for states that are alike */
        Part(List<boolean[]> states, Function<boolean[], Object> alike) {
            Map<Object, Integer> known = new HashMap<>();
            kinds = states.stream()
                    .mapToInt(state -> known.computeIfAbsent(alike.apply(state), key -> {
                        examples.add(state);
                        return examples.size() - 1;
                    }))
                    .toArray();
        }

        /** The factor by kind and draw. */
        abstract double[][] values();

        final void multiply(double[][] weights) {
            double[][] values = values();
            for (int s = 0; s < weights.length; s++) {
                DrawnDifferential.multiply(weights[s], values[kinds[s]]);
            }
        }

        /** A state of each kind. */
        final Stream<boolean[]> examples() {
            return examples.stream();
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
        double[][] values() {
            return examples().map(this::prior).toArray(double[][]::new);
        }

        private double[] prior(boolean[] state) {
            double[] prior = new double[draws];
            Arrays.fill(prior, 1);
            for (int c : family) {
                if (active[c] && (forest.parent(c) < 0 || state[forest.parent(c)])) {
                    double[] share = shares[c];
                    for (int i = 0; i < draws; i++) {
                        prior[i] *= state[c] ? share[i] : 1 - share[i];
                    }
                }
            }
            return prior;
        }
    }

    /** The answers of groups that share a wider factor: the mean over it. */
    private final class HomeMean extends Part {
        private final List<DrawnGroup> groups;

        HomeMean(List<boolean[]> states, List<DrawnGroup> groups) {
            super(
                    states,
                    state -> groups.stream().map(group -> group.place(state)).toList());
            this.groups = groups;
        }

        @Override
        double[][] values() {
            int[][] places = examples()
                    .map(state -> groups.stream()
                            .mapToInt(group -> group.place(state))
                            .toArray())
                    .toArray(int[][]::new);
            float[][][][] profiles = groups.stream().map(DrawnGroup::profiles).toArray(float[][][][]::new);
            float[][] scales = Arrays.stream(profiles).map(this::scale).toArray(float[][]::new);
            SharedPrefixes order = new SharedPrefixes(places);
            float[][] sums = new float[places.length][draws];
            float[][] products = new float[groups.size() + 1][draws];
            for (int v = 0; v < OUTER.length; v++) {
                int at = v;
                Arrays.fill(products[0], (float) OUTER[v]);
                order.walk(
                        (g, place) -> product(products[g], profiles[g][place][at], scales[g], products[g + 1]),
                        kind -> add(sums[kind], products[groups.size()]));
            }
            return Arrays.stream(sums).map(HomeMean::doubles).toArray(double[][]::new);
        }

        /**
         * By draw, what makes a group's largest number 1. Only the ratios of states matter, and products of small
         * numbers would be lost.
         */
        private float[] scale(float[][][] profiles) {
            float[] scale = new float[draws];
            Arrays.fill(scale, Float.MIN_NORMAL);
            for (float[][] profile : profiles) {
                for (float[] row : profile) {
                    for (int i = 0; i < draws; i++) {
                        scale[i] = row[i] > scale[i] ? row[i] : scale[i];
                    }
                }
            }
            for (int i = 0; i < draws; i++) {
                scale[i] = 1 / scale[i];
            }
            return scale;
        }

        private static void product(float[] one, float[] other, float[] scale, float[] product) {
            for (int i = 0; i < product.length; i++) {
                product[i] = one[i] * (other[i] * scale[i]);
            }
        }

        private static void add(float[] sum, float[] more) {
            for (int i = 0; i < sum.length; i++) {
                sum[i] += more[i];
            }
        }

        private static double[] doubles(float[] values) {
            double[] doubles = new double[values.length];
            for (int i = 0; i < values.length; i++) {
                doubles[i] = values[i];
            }
            return doubles;
        }
    }

    /** An answer that stands alone. */
    private final class Alone extends Part {
        private final DrawnShares entry;

        Alone(List<boolean[]> states, DrawnShares entry) {
            super(states, entry::place);
            this.entry = entry;
        }

        @Override
        double[][] values() {
            double[][] chances = entry.chances();
            return examples().map(state -> chances[entry.place(state)]).toArray(double[][]::new);
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
        double[][] values() {
            return examples()
                    .map(state -> Arrays.stream(logs)
                            .map(log -> state[condition] ? Math.exp(log) : 1)
                            .toArray())
                    .toArray(double[][]::new);
        }
    }
}
