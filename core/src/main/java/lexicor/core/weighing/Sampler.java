package lexicor.core.weighing;

import java.util.Arrays;
import java.util.SplittableRandom;
import java.util.function.Supplier;
import lexicor.core.evidence.Belief;
import org.hipparchus.random.RandomDataGenerator;

/**
 * Draws of what a weighing is unsure of. Each kind of draw is seeded by the examination and by the name of what is drawn,
 * so that recording a finding never moves the draws of another, and draws made once are kept.
 */
final class Sampler {

    /** Step of the grid on which correlations are drawn. */
    static final double RHO_GRID = 0.05;

    private static final double EDGE = 1e-12;

    private final DrawStore store;
    private final int draws;
    private final double betweenStudies;
    private final long seed;

    /**
     * @param betweenStudies standard deviation on each logit by which a study's figures differ elsewhere
     * @param seed           of the examination
     */
    Sampler(DrawStore store, int draws, double betweenStudies, long seed) {
        this.store = store;
        this.draws = draws;
        this.betweenStudies = betweenStudies;
        this.seed = seed;
    }

    int draws() {
        return draws;
    }

    /** Normal quantiles of the drawn shares of positives, with or without the condition. */
    double[] quantiles(Load load, boolean withCondition) {
        Belief belief = ((Weight.Proportions) load.weight()).belief();
        return store.draws(key(load.source() + (withCondition ? " sensitivity" : " specificity"), belief), key -> {
            RandomDataGenerator random = new RandomDataGenerator(key.seed());
            SplittableRandom elsewhere = new SplittableRandom(key.seed());
            double[] values = new double[draws];
            for (int i = 0; i < draws; i++) {
                double share = withCondition ? random.nextBeta(belief.sensitivityAlpha(), belief.sensitivityBeta())
                        : random.nextBeta(belief.specificityBeta(), belief.specificityAlpha());
                double inside = Math.min(1 - EDGE, Math.max(EDGE, share));
                double logit = Math.log(inside) - Math.log1p(-inside) + betweenStudies * elsewhere.nextGaussian();
                values[i] = LogitTable.quantile(logit);
            }
            return values;
        });
    }

    /** Log likelihood ratios of a finding by itself. */
    double[] logLikelihoodRatios(Load load) {
        if (load.weight() instanceof Weight.Ratio ratio) {
            return store.draws(key(load.source() + " ratio", ratio), key -> normals(key.seed(), Math.log(ratio.likelihoodRatio()), ratio.logSd()));
        }
        double[] present = quantiles(load, true);
        double[] absent = quantiles(load, false);
        boolean positive = ((Weight.Proportions) load.weight()).positive();
        double[] values = new double[draws];
        Arrays.setAll(values, i -> positive ? Math.log(PhiTable.below(present[i]) / PhiTable.below(absent[i])) : Math.log(PhiTable.below(-present[i]) / PhiTable.below(-absent[i])));
        return values;
    }

    /** Starting log odds about a working estimate. */
    double[] starts(String condition, LogOdds start, double deviation) {
        return normals(Draws.seed(seed, "start " + condition), start.value(), deviation);
    }

    /** Steps of {@link #RHO_GRID} of the drawn correlations of a group. */
    byte[] rhos(Correlation correlation, boolean withCondition) {
        double[] cumulative = correlation.belief(withCondition).cumulative();
        SplittableRandom random = new SplittableRandom(Draws.seed(seed, "rho " + correlation.group().id()));
        byte[] steps = new byte[draws];
        for (int i = 0; i < draws; i++) {
            int place = Arrays.binarySearch(cumulative, random.nextDouble());
            int index = Math.min(cumulative.length - 1, place < 0 ? -place - 1 : place + 1);
            steps[i] = (byte) Math.round(RhoBelief.at(index) / RHO_GRID);
        }
        return steps;
    }

    /** What was made of a bundle's draws, made now if it is not kept. */
    double[] kept(Bundle bundle, boolean withCondition, double link, Supplier<double[]> make) {
        record Whole(Bundle bundle, boolean withCondition, double link) {
        }
        return store.profiles(new DrawStore.Key("profiles", new Whole(bundle, withCondition, link), draws, betweenStudies, seed), make);
    }

    private double[] normals(long from, double mean, double deviation) {
        SplittableRandom random = new SplittableRandom(from);
        double[] values = new double[draws];
        Arrays.setAll(values, i -> mean + deviation * random.nextGaussian());
        return values;
    }

    private DrawStore.Key key(String what, Object belief) {
        return new DrawStore.Key(what, belief, draws, betweenStudies, Draws.seed(seed, what));
    }

    /** Normal quantiles by logit, by linear interpolation in a table of step 1/64 from -28 to 28; for draws only. */
    private static final class LogitTable {

        private static final double MOST = 28;
        private static final int PER_UNIT = 64;
        private static final double[] TABLE = new double[(int) (2 * MOST * PER_UNIT) + 1];

        static {
            for (int i = 0; i < TABLE.length; i++) {
                double logit = -MOST + (double) i / PER_UNIT;
                TABLE[i] = logit < 0 ? Normal.quantile(LogOdds.chance(logit)) : -Normal.quantile(LogOdds.chance(-logit));
            }
        }

        static double quantile(double logit) {
            double place = Math.min(TABLE.length - 1.001, Math.max(0, (logit + MOST) * PER_UNIT));
            int index = (int) place;
            return TABLE[index] + (place - index) * (TABLE[index + 1] - TABLE[index]);
        }
    }
}
