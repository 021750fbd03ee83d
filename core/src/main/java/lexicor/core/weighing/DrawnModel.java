package lexicor.core.weighing;

import java.util.Arrays;
import java.util.List;

/**
 * Plausible values of a combination's log likelihood ratio: in each draw sensitivities and specificities come from their
 * beliefs and move by the spread between studies, and every correlation comes from what is believed of it. The sums use
 * {@link Kernel.Rule#COARSE}; correlations are drawn on the grid 0, 0.05 .. 0.95.
 */
final class DrawnModel {

    private static final Kernel.Rule RULE = Kernel.Rule.COARSE;
    private static final double[] OUTER = RULE.outerWeights();

    private final Sampler sampler;
    private final double link;
    private final Kernel[] byRho;

    DrawnModel(Sampler sampler, double link) {
        this.sampler = sampler;
        this.link = link;
        this.byRho = new Kernel[(int) Math.round(RhoBelief.MOST / Sampler.RHO_GRID) + 1];
        Arrays.setAll(byRho, i -> Kernel.of(i * Sampler.RHO_GRID, link, RULE));
    }

    /** One log likelihood ratio per draw. */
    double[] logLikelihoodRatios(Combination combination) {
        double[] sums = new double[sampler.draws()];
        if (!combination.bundles().isEmpty()) {
            double[] present = logChances(combination.bundles(), true);
            double[] absent = logChances(combination.bundles(), false);
            Arrays.setAll(sums, i -> present[i] - absent[i]);
        }
        for (Load load : combination.alone()) {
            double[] ratios = sampler.logLikelihoodRatios(load);
            for (int i = 0; i < sums.length; i++) {
                sums[i] += ratios[i];
            }
        }
        return sums;
    }

    private double[] logChances(List<Bundle> bundles, boolean withCondition) {
        int draws = sampler.draws();
        int outer = OUTER.length;
        double[] chances = new double[draws * outer];
        for (int i = 0; i < draws; i++) {
            System.arraycopy(OUTER, 0, chances, i * outer, outer);
        }
        for (Bundle bundle : bundles) {
            double[] profiles = sampler.kept(bundle, withCondition, link, () -> profiles(bundle, withCondition));
            for (int i = 0; i < chances.length; i++) {
                chances[i] *= profiles[i];
            }
        }
        double[] logs = new double[draws];
        for (int i = 0; i < draws; i++) {
            double sum = 0;
            for (int v = 0; v < outer; v++) {
                sum += chances[i * outer + v];
            }
            logs[i] = Math.log(sum);
        }
        return logs;
    }

    /** A bundle's part at each value of the wider factor, draw after draw. */
    private double[] profiles(Bundle bundle, boolean withCondition) {
        int draws = sampler.draws();
        int outer = OUTER.length;
        int members = bundle.loads().size();
        double[][] quantiles = new double[members][];
        boolean[] positive = new boolean[members];
        for (int j = 0; j < members; j++) {
            quantiles[j] = sampler.quantiles(bundle.loads().get(j), withCondition);
            positive[j] = ((Weight.Proportions) bundle.loads().get(j).weight()).positive();
        }
        boolean single = members == 1;
        byte[] rhos = single ? null : sampler.rhos(bundle.correlation().orElseThrow(), withCondition);
        Kernel kernel = single ? Kernel.of(Math.min(link, bundle.rho(withCondition, link)), link, RULE) : null;
        double[] profiles = new double[draws * outer];
        double[] profile = new double[outer];
        double[] product = new double[0];
        for (int i = 0; i < draws; i++) {
            if (!single) {
                kernel = byRho[rhos[i]];
            }
            double[] shifts = kernel.shifts();
            if (product.length != shifts.length) {
                product = new double[shifts.length];
            }
            fill(product, shifts, kernel.scale(), quantiles, positive, i);
            kernel.into(product, profile);
            System.arraycopy(profile, 0, profiles, i * outer, outer);
        }
        return profiles;
    }

    private static void fill(double[] product, double[] shifts, double scale, double[][] quantiles, boolean[] positive, int draw) {
        Arrays.fill(product, 1);
        for (int j = 0; j < quantiles.length; j++) {
            double z = quantiles[j][draw] * scale;
            if (positive[j]) {
                for (int w = 0; w < product.length; w++) {
                    product[w] *= PhiTable.below(z + shifts[w]);
                }
            } else {
                for (int w = 0; w < product.length; w++) {
                    product[w] *= PhiTable.below(-z - shifts[w]);
                }
            }
        }
    }
}
