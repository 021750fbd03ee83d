package lexicor.core.evidence;

import java.util.ArrayList;
import java.util.List;

/**
 * Turns published "at least k" proportions of a cluster into likelihood ratios of exact counts. Neighbouring levels
 * whose difference is zero or negative in either group are merged; each level then has half a patient added: LR = ((n1
 * p1 + 1/2) / (n1 + L/2)) / ((n0 p0 + 1/2) / (n0 + L/2)) for L levels.
 */
public final class CountLevels {

    /**
     * "At least {@code count}" as published.
     *
     * @param with share of those with the condition, 0..1
     * @param without share of those without it, 0..1
     */
    public record AtLeast(int count, double with, double without) {}

    /**
     * An exact band of counts, both ends included.
     *
     * @param belief of the band's share with the condition (as sensitivity) and without it (as 1 - specificity): a band
     *     of L has Beta(k + 1/2, n - k + (L - 1) / 2), the margin of a Dirichlet with 1/2 for each band
     */
    public record Exact(int from, int to, Belief belief) {

        /** Of exactly this band. */
        public double likelihoodRatio() {
            return belief.likelihoodRatioPositive();
        }
    }

    private record Band(int from, int to, double with, double without) {
        Band merge(Band next) {
            return new Band(from, next.to, with + next.with, without + next.without);
        }

        boolean empty() {
            return with <= 1e-9 || without <= 1e-9;
        }
    }

    private CountLevels() {}

    /**
     * @param most the highest count there is
     * @param published rising in count, at least one, none below 1
     * @param with patients with the condition
     * @param without patients without it
     */
    public static List<Exact> exact(int most, List<AtLeast> published, int with, int without) {
        if (published.isEmpty() || with < 1 || without < 1) {
            throw new IllegalArgumentException("published has " + published.size() + " levels in " + with + " and "
                    + without + " patients; allowed: at least one of each");
        }
        List<Band> bands = new ArrayList<>();
        AtLeast first = published.get(0);
        bands.add(new Band(0, first.count() - 1, 1 - first.with(), 1 - first.without()));
        for (int i = 0; i < published.size(); i++) {
            AtLeast here = published.get(i);
            AtLeast next = i + 1 < published.size() ? published.get(i + 1) : new AtLeast(most + 1, 0, 0);
            bands.add(new Band(
                    here.count(), next.count() - 1, here.with() - next.with(), here.without() - next.without()));
        }
        List<Band> merged = new ArrayList<>();
        for (Band band : bands) {
            Band last = merged.isEmpty() ? null : merged.get(merged.size() - 1);
            if (last != null && (band.empty() || last.empty())) {
                merged.set(merged.size() - 1, last.merge(band));
            } else {
                merged.add(band);
            }
        }
        double others = (merged.size() - 1) / 2.0;
        return merged.stream()
                .map(band -> new Exact(
                        band.from(),
                        band.to(),
                        new Belief.OfCounts(
                                with * band.with() + 0.5,
                                with * (1 - band.with()) + others,
                                without * (1 - band.without()) + others,
                                without * band.without() + 0.5)))
                .toList();
    }

    /**
     * Whether the published levels can be true together with their components: in each group the sum of P(at least k)
     * over every k is the sum of the components' proportions. Levels that were not published must fit into what is
     * left.
     *
     * @param components shares of positives of each component in the group
     * @param published P(at least k) as published in the same group, by k
     * @param most the highest count
     */
    public static boolean fits(List<Double> components, List<AtLeast> published, boolean present, int most) {
        double expected = components.stream().mapToDouble(Double::doubleValue).sum();
        double least = 0;
        double greatest = 0;
        for (int count = 1; count <= most; count++) {
            int k = count;
            double below = published.stream()
                    .filter(level -> level.count() >= k)
                    .mapToDouble(level -> share(level, present))
                    .max()
                    .orElse(0);
            double above = published.stream()
                    .filter(level -> level.count() <= k)
                    .mapToDouble(level -> share(level, present))
                    .min()
                    .orElse(1);
            least += below;
            greatest += above;
        }
        double rounding = 0.01 * most;
        return expected >= least - rounding && expected <= greatest + rounding;
    }

    private static double share(AtLeast level, boolean present) {
        return present ? level.with() : level.without();
    }
}
