package lexicor.core.synthesis;

import org.hipparchus.linear.MatrixUtils;
import org.hipparchus.linear.RealMatrix;

/**
 * How much accuracy differs, as standard deviations on the logit. "D" moves sensitivity and specificity together by
 * half of it (how well a test separates), "S" moves them apart (how readily it is called positive).
 */
public record Spread(
        double conditionD,
        double criterionD,
        double criterionS,
        double studyD,
        double studyS,
        double recordS,
        double originatorD) {

    static Spread of(double[] deviations) {
        return new Spread(
                deviations[0],
                deviations[1],
                deviations[2],
                deviations[3],
                deviations[4],
                deviations[5],
                deviations[6]);
    }

    double[] deviations() {
        return new double[] {conditionD, criterionD, criterionS, studyD, studyS, recordS, originatorD};
    }

    /** What all tests of one clinic share: 2x2 over (logit sensitivity, logit specificity). */
    public RealMatrix clinicShared() {
        return both(studyD, studyS);
    }

    /** What each test of a clinic has for itself. */
    public RealMatrix clinicOwn() {
        return both(0, recordS);
    }

    RealMatrix condition() {
        return both(conditionD, 0);
    }

    RealMatrix criterion() {
        return both(criterionD, criterionS);
    }

    private static RealMatrix both(double together, double apart) {
        double same = (together * together + apart * apart) / 4;
        double other = (together * together - apart * apart) / 4;
        return MatrixUtils.createRealMatrix(new double[][] {{same, other}, {other, same}});
    }
}
