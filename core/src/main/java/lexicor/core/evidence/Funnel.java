package lexicor.core.evidence;

import java.util.List;
import lexicor.core.synthesis.StudyRecord;
import lexicor.core.synthesis.StudyRecord.Counts;

/**
 * Every study of a ledger by what it found and how surely: the log of the diagnostic odds ratio against its standard
 * error. Around an average test those of others spread evenly, the small ones widely; those of inventors lie to the
 * right.
 *
 * @param others mean log odds ratio of the average test as others find it
 * @param inventors the same as inventors find it
 */
public record Funnel(List<Point> points, double others, double inventors) {

    private static final double HALF = 0.5;

    /**
     * A study.
     *
     * @param logRatio ln(tp tn / (fp fn)), each with half a patient added
     * @param error its standard error, the root of the sum of their inverses
     */
    public record Point(RecordId record, double logRatio, double error, boolean inventors) {

        static Point of(StudyRecord study) {
            Counts counts = study.counts();
            double[] cells = {counts.tp() + HALF, counts.tn() + HALF, counts.fp() + HALF, counts.fn() + HALF};
            double variance = 0;
            for (double cell : cells) {
                variance += 1 / cell;
            }
            return new Point(
                    RecordId.of(study.id()),
                    Math.log(cells[0] * cells[1] / (cells[2] * cells[3])),
                    Math.sqrt(variance),
                    study.originator());
        }
    }

    /** Every study that the synthesis is made of. */
    public static Funnel of(Evidence evidence) {
        double[] beta = evidence.synthesis().beta();
        return new Funnel(
                evidence.studies().stream().map(Point::of).toList(),
                beta[0] + beta[1],
                beta[0] + beta[1] + beta[2] + beta[3]);
    }
}
