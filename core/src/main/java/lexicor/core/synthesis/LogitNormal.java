package lexicor.core.synthesis;

/** Means of a proportion whose logit is normal. */
final class LogitNormal {

    private static final double REACH = 8;
    private static final double STEP = 0.25;

    private LogitNormal() {}

    /** The mean of logistic(x) for x ~ N(mean, variance), on the nodes -8, -7.75 ... 8 of the standard normal. */
    static double mean(double mean, double variance) {
        double deviation = Math.sqrt(variance);
        double sum = 0;
        double weights = 0;
        for (double z = -REACH; z <= REACH; z += STEP) {
            double weight = Math.exp(-z * z / 2);
            sum += weight * logistic(mean + deviation * z);
            weights += weight;
        }
        return sum / weights;
    }

    /** Minus or plus infinity at 0 and 1. */
    static double logit(double chance) {
        return Math.log(chance) - Math.log1p(-chance);
    }

    static double logistic(double logit) {
        return 1 / (1 + Math.exp(-logit));
    }
}
