package lexicor.core.differential;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.function.Function;
import java.util.stream.IntStream;
import java.util.stream.Stream;
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
    /** Draws that are worked out together. */
    private static final int BLOCK = 128;

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
        private final List<Long> masks = new ArrayList<>();

        Entry(Modelled modelled) {
            this.modelled = modelled;
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

        /** All that its shares depend on. */
        Object from() {
            return List.of(
                    source.drawnFrom(modelled.finding()),
                    modelled.fit(),
                    modelled.kept(),
                    modelled.shares().targets(),
                    modelled.positive(),
                    List.copyOf(masks));
        }

        /** Drawn shares of positives, by target set that matters and draw. */
        double[][] drawn() {
            List<Target.Figures> records = modelled.kept();
            double[][] moved = new double[2 * records.size()][];
            for (int r = 0; r < records.size(); r++) {
                Target.Figures figures = records.get(r);
                moved[2 * r] =
                        away(source.logits(modelled.finding(), figures, true), Shares.logit(figures.sensitivity()));
                moved[2 * r + 1] = away(
                        source.logits(modelled.finding(), figures, false), Shares.logit(1 - figures.specificity()));
            }
            double[][] eta = eta(moved);
            double[][] logs = logs(eta);
            int[] wider = Shares.wider(forest, modelled.shares().targets());
            double[][] share = new double[masks.size()][];
            for (int m = 0; m < share.length; m++) {
                double[] log = logs[0].clone();
                for (int t = 0; t < wider.length; t++) {
                    if ((masks.get(m) >> t & 1) == 1) {
                        double[] with = logs[t + 1];
                        double[] without = logs[wider[t] < 0 ? 0 : wider[t] + 1];
                        for (int i = 0; i < draws; i++) {
                            log[i] += with[i] - without[i];
                        }
                    }
                }
                for (int i = 0; i < draws; i++) {
                    log[i] = Math.min(1 - EDGE, Math.max(EDGE, 1 - Math.exp(log[i])));
                }
                share[m] = log;
            }
            return share;
        }

        private static double[] away(double[] drawn, double from) {
            double[] away = new double[drawn.length];
            for (int i = 0; i < away.length; i++) {
                away[i] = drawn[i] - from;
            }
            return away;
        }

        /** The fitted logits as the figures move them, by place in the fit and draw. */
        private double[][] eta(double[][] moved) {
            ShareFit.Result fit = modelled.fit();
            double[][] eta = new double[fit.eta().length][draws];
            for (int k = 0; k < eta.length; k++) {
                Arrays.fill(eta[k], fit.eta()[k]);
                for (int row = 0; row < moved.length; row++) {
                    double gain = fit.gains()[k][row];
                    for (int i = 0; i < draws; i++) {
                        eta[k][i] += gain * moved[row][i];
                    }
                }
            }
            return eta;
        }

        /** log of the share of negatives: without any target, then with each target alone. */
        private double[][] logs(double[][] eta) {
            List<Integer> targets = modelled.shares().targets();
            double[][] logs = new double[targets.size() + 1][draws];
            for (int i = 0; i < draws; i++) {
                logs[0][i] = Shares.logNot(eta[0][i]);
            }
            for (int t = 0; t < targets.size(); t++) {
                int fitted = modelled.fit().targets().indexOf(targets.get(t));
                for (int i = 0; i < draws; i++) {
                    logs[t + 1][i] = Shares.logNot(fitted < 0 ? borrowed(eta, i) : eta[fitted + 1][i]);
                }
            }
            return logs;
        }

        /** A target without figures lies half way to the one that is positive most often. */
        private static double borrowed(double[][] eta, int draw) {
            double most = Double.NEGATIVE_INFINITY;
            for (int k = 1; k < eta.length; k++) {
                most = Math.max(most, eta[k][draw]);
            }
            return (eta[0][draw] + most) / 2;
        }
    }

    /** Findings that share a factor, with the combinations of target sets that matter. */
    private final class Group {
        private final List<Entry> members;
        private final List<List<Integer>> combinations = new ArrayList<>();

        Group(List<Entry> members) {
            this.members = members;
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

        /**
         * The chance of its answers by combination; at every value of the wider factor, then by draw. Kept, since a tap
         * leaves most groups as they were.
         */
        float[][] profiles() {
            Object group = members.size() > 1 ? members.get(0).modelled.group().orElseThrow() : "single";
            return source.workedOut(
                    List.of(members.stream().map(Entry::from).toList(), List.copyOf(combinations), group, link),
                    this::work);
        }

        private float[][] work() {
            double[][][] quantiles = members.stream().map(Group::quantiles).toArray(double[][][]::new);
            float[][] profiles = new float[combinations.size()][OUTER.length * draws];
            byCorrelation().forEach((rho, chosen) -> {
                FactorQuadrature kernel = FactorQuadrature.of(rho, link, RULE);
                for (int from = 0; from < chosen.length; from += BLOCK) {
                    int[] block = Arrays.copyOfRange(chosen, from, Math.min(chosen.length, from + BLOCK));
                    work(kernel, block, quantiles, profiles);
                }
            });
            return profiles;
        }

        private static double[][] quantiles(Entry member) {
            double[][] quantiles = member.drawn();
            for (double[] row : quantiles) {
                for (int i = 0; i < row.length; i++) {
                    row[i] = LogitTable.quantile(Shares.logit(row[i]));
                }
            }
            return quantiles;
        }

        /** Draws by their correlation: it comes from a grid, so that a few kernels serve all. */
        private Map<Double, int[]> byCorrelation() {
            if (members.size() == 1) {
                return Map.of(link, IntStream.range(0, draws).toArray());
            }
            double[] rhos = source.rho(members.get(0).modelled.group().orElseThrow());
            Map<Double, int[]> chosen = new LinkedHashMap<>();
            Arrays.stream(rhos)
                    .distinct()
                    .forEach(rho -> chosen.put(
                            rho,
                            IntStream.range(0, draws)
                                    .filter(i -> rhos[i] == rho)
                                    .toArray()));
            return chosen;
        }

        /** Works out some draws of one correlation together, value by value of the factor. */
        private void work(FactorQuadrature kernel, int[] block, double[][][] quantiles, float[][] profiles) {
            double[][][][] columns = new double[members.size()][][][];
            for (int j = 0; j < columns.length; j++) {
                boolean positive = members.get(j).modelled.positive();
                columns[j] = new double[quantiles[j].length][][];
                for (int m = 0; m < columns[j].length; m++) {
                    columns[j][m] = columns(kernel, block, quantiles[j][m], positive ? 1 : -1);
                }
            }
            double[][] product = new double[kernel.inner()][block.length];
            double[] profile = new double[block.length];
            for (int p = 0; p < profiles.length; p++) {
                List<Integer> combination = combinations.get(p);
                for (int w = 0; w < product.length; w++) {
                    System.arraycopy(columns[0][combination.get(0)][w], 0, product[w], 0, block.length);
                    for (int j = 1; j < columns.length; j++) {
                        DrawnDifferential.multiply(product[w], columns[j][combination.get(j)][w]);
                    }
                }
                for (int v = 0; v < OUTER.length; v++) {
                    kernel.at(v, product, profile);
                    for (int b = 0; b < block.length; b++) {
                        profiles[p][v * draws + block[b]] = (float) profile[b];
                    }
                }
            }
        }

        /** Chances of an answer at each value of the group's factor, then by draw. */
        private static double[][] columns(FactorQuadrature kernel, int[] block, double[] quantiles, int sign) {
            double[] shifts = kernel.shifts();
            double[] scaled = new double[block.length];
            for (int b = 0; b < block.length; b++) {
                scaled[b] = sign * quantiles[block[b]] * kernel.scale();
            }
            double[][] columns = new double[shifts.length][block.length];
            for (int w = 0; w < shifts.length; w++) {
                double shift = sign * shifts[w];
                double[] column = columns[w];
                for (int b = 0; b < column.length; b++) {
                    column[b] = PhiTable.below(scaled[b] + shift);
                }
            }
            return columns;
        }
    }

    /** Draws where the conditions of a component stand. */
    void add(List<Integer> families, boolean[] active, List<Modelled> findings, List<Ratio> ratios) {
        List<boolean[]> states = forest.states(families, active);
        List<Entry> apart = new ArrayList<>();
        Map<Integer, Map<String, List<Entry>>> byHome = new LinkedHashMap<>();
        for (Modelled each : findings) {
            if (each.apart()) {
                apart.add(new Entry(each));
            } else {
                byHome.computeIfAbsent(each.home(), home -> new LinkedHashMap<>())
                        .computeIfAbsent(each.factor(), id -> new ArrayList<>())
                        .add(new Entry(each));
            }
        }
        List<Part> parts = new ArrayList<>();
        families.forEach(root -> parts.add(new FamilyPrior(states, forest.family(root), active)));
        byHome.values()
                .forEach(groups -> parts.add(new HomeMean(
                        states, groups.values().stream().map(Group::new).toList())));
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
        private final List<Group> groups;

        HomeMean(List<boolean[]> states, List<Group> groups) {
            super(
                    states,
                    state -> groups.stream().map(group -> group.place(state)).toList());
            this.groups = groups;
        }

        @Override
        double[][] values() {
            int[][] places = groups.stream()
                    .map(group -> examples().mapToInt(group::place).toArray())
                    .toArray(int[][]::new);
            float[][][] profiles = groups.stream().map(Group::profiles).toArray(float[][][]::new);
            double[][] values = new double[places[0].length][draws];
            double[] product = new double[draws];
            for (int v = 0; v < OUTER.length; v++) {
                for (int kind = 0; kind < values.length; kind++) {
                    Arrays.fill(product, OUTER[v]);
                    for (int g = 0; g < profiles.length; g++) {
                        multiply(product, profiles[g][places[g][kind]], v * draws);
                    }
                    DrawnDifferential.add(values[kind], product);
                }
            }
            return values;
        }

        /** Multiplies by what stands in a profile from a place on. */
        private static void multiply(double[] product, float[] profile, int from) {
            for (int i = 0; i < product.length; i++) {
                product[i] *= profile[from + i];
            }
        }
    }

    /** An answer that stands alone. */
    private final class Alone extends Part {
        private final Entry entry;

        Alone(List<boolean[]> states, Entry entry) {
            super(states, entry::place);
            this.entry = entry;
        }

        @Override
        double[][] values() {
            double[][] drawn = entry.drawn();
            if (!entry.modelled.positive()) {
                for (double[] row : drawn) {
                    for (int i = 0; i < draws; i++) {
                        row[i] = 1 - row[i];
                    }
                }
            }
            return examples().map(state -> drawn[entry.place(state)]).toArray(double[][]::new);
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
