package lexicor.core.synthesis;

import java.util.Comparator;
import java.util.List;
import lexicor.core.synthesis.StudyRecord.Counts;

/**
 * What the studies of one criterion say by themselves, without anything else that is known of tests: normal over the
 * logits of sensitivity (0) and specificity (1).
 *
 * @param posterior what is uncertain of the mean itself
 * @param between how clinics differ
 */
public record Alone(double[] mean, double[][] posterior, double[][] between) {

    /** Standard deviation on each logit by which a single study's figures differ elsewhere. */
    public static final double ELSEWHERE = 0.8;

    /**
     * The one study that says most, independent first, then the larger, as it would be found elsewhere.
     *
     * @param studies of one criterion, at least one
     */
    public static Alone best(List<StudyRecord> studies) {
        return studies.stream()
                .min(Comparator.comparing(StudyRecord::originator)
                        .thenComparing(study -> -patients(study.counts()))
                        .thenComparing(StudyRecord::id))
                .map(study -> study(study.counts()))
                .orElseThrow();
    }

    private static double patients(Counts counts) {
        return counts.tp() + counts.fn() + counts.tn() + counts.fp();
    }

    /** One study, as it would be found elsewhere: logits with half a patient added to each cell. */
    private static Alone study(Counts counts) {
        double[] mean = new double[2];
        double[] variances = new double[2];
        for (int side = 0; side < 2; side++) {
            double yes = counts.positives()[side] + 0.5;
            double no = counts.sizes()[side] - counts.positives()[side] + 0.5;
            mean[side] = Math.log(yes / no);
            variances[side] = 1 / yes + 1 / no;
        }
        return new Alone(
                mean, diagonal(variances[0], variances[1]), diagonal(ELSEWHERE * ELSEWHERE, ELSEWHERE * ELSEWHERE));
    }

    /**
     * All studies pooled; one study as it would be found elsewhere, and so are all their patients together where a
     * pooled figure is 0 or 1.
     *
     * @param studies of one criterion, at least one
     */
    public static Alone pooled(List<StudyRecord> studies) {
        List<Counts> counts = studies.stream().map(StudyRecord::counts).toList();
        if (counts.size() == 1) {
            return study(counts.get(0));
        }
        Pooled pooled = Pooling.pool(counts);
        if (!inside(pooled.sensitivity()) || !inside(pooled.specificity())) {
            return study(together(counts));
        }
        Pooled.Between differ = pooled.between().orElseThrow();
        double one = differ.sdSensitivity();
        double other = differ.sdSpecificity();
        double shared = differ.correlation().orElse(0.0) * one * other;
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
