package lexicor.core.differential;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import lexicor.core.dependence.FactorQuadrature;
import lexicor.core.dependence.PhiTable;

/** Findings that share a factor, with draws of the chance of their answers where their sets of targets matter. */
final class DrawnGroup {

    private static final FactorQuadrature.Rule RULE = FactorQuadrature.Rule.COARSE;
    /** Weights of the values of the wider factor. */
    static final double[] OUTER = RULE.outerWeights();
    /** Draws that are worked out together. */
    private static final int BLOCK = 512;

    private final List<DrawnShares> members;
    private final double link;
    private final int draws;
    private final Differential.Source source;
    /** By state that differs for some member, which set of targets each member has. */
    private final List<List<Integer>> combinations = new ArrayList<>();

    /** @param link correlation of what groups of one home share */
    DrawnGroup(List<DrawnShares> members, double link, int draws, Differential.Source source) {
        this.members = members;
        this.link = link;
        this.draws = draws;
        this.source = source;
    }

    /** Which of the combinations a state has; a new one is added. */
    int place(boolean[] state) {
        return DrawnShares.place(
                combinations, members.stream().map(each -> each.place(state)).toList());
    }

    int combinations() {
        return combinations.size();
    }

    /**
     * The chance of its answers by combination, value of the wider factor and draw. Kept, since a tap leaves most as
     * they were.
     */
    float[][][] profiles() {
        Object group = members.size() > 1 ? members.get(0).modelled().group().orElseThrow() : "single";
        List<Object> keys = combinations.stream()
                .<Object>map(combination -> List.of(from(combination), group, link))
                .toList();
        return source.workedOut(keys, this::work).toArray(float[][][]::new);
    }

    private List<Object> from(List<Integer> combination) {
        return IntStream.range(0, members.size())
                .<Object>mapToObj(j -> List.of(
                        members.get(j).from(combination.get(j)),
                        members.get(j).modelled().positive()))
                .toList();
    }

    private List<float[][]> work(List<Integer> places) {
        int[][] sets = places.stream()
                .map(place -> combinations.get(place).stream()
                        .mapToInt(Integer::intValue)
                        .toArray())
                .toArray(int[][]::new);
        float[][][] quantiles = IntStream.range(0, members.size())
                .mapToObj(j -> quantiles(j, sets))
                .toArray(float[][][]::new);
        float[][] profiles = new float[sets.length * OUTER.length][draws];
        SharedPrefixes order = new SharedPrefixes(sets);
        byCorrelation().forEach((rho, chosen) -> {
            FactorQuadrature kernel = FactorQuadrature.of(rho, link, RULE);
            for (int from = 0; from < chosen.length; from += BLOCK) {
                int[] block = Arrays.copyOfRange(chosen, from, Math.min(chosen.length, from + BLOCK));
                work(kernel, order, block, quantiles, profiles);
            }
        });
        return IntStream.range(0, sets.length)
                .mapToObj(p -> Arrays.copyOfRange(profiles, p * OUTER.length, (p + 1) * OUTER.length))
                .toList();
    }

    /** Quantiles of a member; empty for the sets of targets that are not asked for. */
    private float[][] quantiles(int member, int[][] sets) {
        float[][] quantiles = members.get(member).quantiles();
        boolean[] asked = new boolean[quantiles.length];
        for (int[] each : sets) {
            asked[each[member]] = true;
        }
        for (int set = 0; set < quantiles.length; set++) {
            quantiles[set] = asked[set] ? quantiles[set] : new float[0];
        }
        return quantiles;
    }

    /** Draws by their correlation: it comes from a grid, so that a few kernels serve all. */
    private Map<Double, int[]> byCorrelation() {
        if (members.size() == 1) {
            return Map.of(link, IntStream.range(0, draws).toArray());
        }
        double[] rhos = source.rho(members.get(0).modelled().group().orElseThrow());
        Map<Double, IntStream.Builder> chosen = new LinkedHashMap<>();
        for (int i = 0; i < draws; i++) {
            chosen.computeIfAbsent(rhos[i], rho -> IntStream.builder()).add(i);
        }
        return chosen.entrySet().stream()
                .collect(Collectors.toMap(
                        Map.Entry::getKey, each -> each.getValue().build().toArray()));
    }

    /** Works out some draws of one correlation together, value by value of the group's factor. */
    private void work(
            FactorQuadrature kernel, SharedPrefixes order, int[] block, float[][][] quantiles, float[][] profiles) {
        double[][][] scaled = Arrays.stream(quantiles)
                .map(rows -> Arrays.stream(rows)
                        .map(row -> scaled(row, block, kernel.scale()))
                        .toArray(double[][]::new))
                .toArray(double[][][]::new);
        double[][][] chances = Arrays.stream(scaled)
                .map(rows -> new double[rows.length][block.length])
                .toArray(double[][][]::new);
        double[][] products = new double[members.size() + 1][block.length];
        Arrays.fill(products[0], 1);
        double[][] means = new double[profiles.length][block.length];
        for (int w = 0; w < kernel.inner(); w++) {
            double[] weights = kernel.weights(w);
            for (int j = 0; j < chances.length; j++) {
                int sign = members.get(j).modelled().positive() ? 1 : -1;
                for (int m = 0; m < chances[j].length; m++) {
                    PhiTable.below(scaled[j][m], kernel.shifts()[w], sign, chances[j][m]);
                }
            }
            order.walk((j, place) -> product(products[j], chances[j][place], products[j + 1]), p -> {
                for (int v = 0; v < weights.length; v++) {
                    add(weights[v], products[members.size()], means[p * weights.length + v]);
                }
            });
        }
        write(means, block, profiles);
    }

    private static double[] scaled(float[] quantiles, int[] block, double scale) {
        double[] scaled = new double[block.length];
        for (int b = 0; b < block.length; b++) {
            scaled[b] = quantiles[block[b]] * scale;
        }
        return scaled;
    }

    private static void product(double[] one, double[] other, double[] product) {
        for (int b = 0; b < product.length; b++) {
            product[b] = one[b] * other[b];
        }
    }

    private static void add(double weight, double[] more, double[] sum) {
        if (weight > 0) {
            for (int b = 0; b < sum.length; b++) {
                sum[b] += weight * more[b];
            }
        }
    }

    private static void write(double[][] means, int[] block, float[][] profiles) {
        for (int row = 0; row < means.length; row++) {
            for (int b = 0; b < block.length; b++) {
                profiles[row][block[b]] = (float) means[row][b];
            }
        }
    }
}
