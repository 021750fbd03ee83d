package lexicor.core.synthesis;

/**
 * One study's counts for one criterion of one test against one condition.
 *
 * @param study the citation; records of one study share what was peculiar to it
 * @param originator whether the study is by those who proposed the test
 */
public record StudyRecord(String id, Criterion criterion, String study, boolean originator, Counts counts) {

    /** The largest count that a study is believed to have. */
    public static final long MOST = 1_000_000;

    /** What is studied: a criterion of a test, as a sign of a condition. */
    public record Criterion(String condition, String test, String criterion) implements Comparable<Criterion> {

        /** By condition, then test, then criterion. */
        @Override
        public int compareTo(Criterion other) {
            int byCondition = condition.compareTo(other.condition);
            int byTest = byCondition != 0 ? byCondition : test.compareTo(other.test);
            return byTest != 0 ? byTest : criterion.compareTo(other.criterion);
        }
    }

    /** Patients of a two-by-two table; none is negative. */
    public record Counts(double tp, double fn, double tn, double fp) {

        /** Refuses negative counts and counts without end. */
        public Counts {
            if (!(tp >= 0 && fn >= 0 && tn >= 0 && fp >= 0) || Double.isInfinite(tp + fn + tn + fp)) {
                throw new IllegalArgumentException("counts are finite and not negative");
            }
        }

        double[] positives() {
            return new double[] {tp, tn};
        }

        double[] sizes() {
            return new double[] {tp + fn, tn + fp};
        }
    }
}
