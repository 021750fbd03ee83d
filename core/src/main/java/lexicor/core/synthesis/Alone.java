package lexicor.core.synthesis;

import java.util.List;
import java.util.Optional;
import lexicor.core.synthesis.StudyRecord.Counts;

/**
 * What the studies of one criterion say by themselves, without anything else that is known of tests: normal over the
 * logits of sensitivity (0) and specificity (1).
 *
 * @param posterior what is uncertain of the mean itself
 * @param between how clinics differ
 */
public record Alone(double[] mean, double[][] posterior, double[][] between) {

    /**
     * One study, as it would be found elsewhere: logits with half a patient added to each cell.
     *
     * @param between standard deviation on each logit by which its figures differ elsewhere
     */
    public static Alone study(Counts counts, double between) {
        double[] mean = new double[2];
        double[] variances = new double[2];
        for (int side = 0; side < 2; side++) {
            double yes = counts.positives()[side] + 0.5;
            double no = counts.sizes()[side] - counts.positives()[side] + 0.5;
            mean[side] = Math.log(yes / no);
            variances[side] = 1 / yes + 1 / no;
        }
        return new Alone(mean, diagonal(variances[0], variances[1]), diagonal(between * between, between * between));
    }

    /**
     * All studies pooled; one study as {@link #study}, and so are all their patients together where a pooled figure is
     * 0 or 1.
     *
     * @param studies at least one
     * @param between for one study by itself
     */
    public static Alone pooled(List<Counts> studies, double between) {
        if (studies.size() == 1) {
            return study(studies.get(0), between);
        }
        Pooled pooled = Pooling.pool(studies);
        if (!inside(pooled.sensitivity()) || !inside(pooled.specificity())) {
            return study(together(studies), between);
        }
        Optional<Pooled.Between> differ = pooled.between();
        double one = differ.map(Pooled.Between::sdSensitivity).orElse(between);
        double other = differ.map(Pooled.Between::sdSpecificity).orElse(between);
        double shared = differ.flatMap(Pooled.Between::correlation).orElse(0.0) * one * other;
        return new Alone(
                new double[] {
                    LogitNormal.logit(pooled.sensitivity().estimate()),
                    LogitNormal.logit(pooled.specificity().estimate())
                },
                diagonal(variance(pooled.sensitivity()), variance(pooled.specificity())),
                new double[][] {{one * one, shared}, {shared, other * other}});
    }

    private static boolean inside(Pooled.Proportion proportion) {
        return proportion.estimate() > 0 && proportion.estimate() < 1;
    }

    private static Counts together(List<Counts> studies) {
        return new Counts(
                studies.stream().mapToDouble(Counts::tp).sum(),
                studies.stream().mapToDouble(Counts::fn).sum(),
                studies.stream().mapToDouble(Counts::tn).sum(),
                studies.stream().mapToDouble(Counts::fp).sum());
    }

    private static double variance(Pooled.Proportion proportion) {
        double error = (LogitNormal.logit(proportion.upper()) - LogitNormal.logit(proportion.lower()))
                / (2 * Pooling.NORMAL_95);
        return error * error;
    }

    private static double[][] diagonal(double one, double other) {
        return new double[][] {{one, 0}, {0, other}};
    }
}
