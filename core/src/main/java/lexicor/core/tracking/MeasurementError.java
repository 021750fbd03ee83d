package lexicor.core.tracking;

/**
 * How far a measure wanders by itself.
 *
 * @param standardError standard error of measurement, in the unit of the measure
 */
public record MeasurementError(double standardError) {

    private static final double NORMAL_95 = 1.96;

    /**
     * By the spread between patients and the reliability of the measure: SD times the root of 1 less the reliability.
     *
     * @param reliability intraclass correlation, 0..1
     * @param standardDeviation spread between patients, in the unit of the measure, from 0
     * @throws IllegalArgumentException if either is out of its range
     */
    public static MeasurementError of(double reliability, double standardDeviation) {
        if (!(reliability >= 0 && reliability <= 1)) {
            throw new IllegalArgumentException("reliability is " + reliability + "; allowed: 0 to 1");
        }
        if (!(standardDeviation >= 0) || Double.isInfinite(standardDeviation)) {
            throw new IllegalArgumentException("sd is " + standardDeviation + "; allowed: from 0");
        }
        return new MeasurementError(standardDeviation * Math.sqrt(1 - reliability));
    }

    /** The smallest change that is not noise in 95 of 100 stable patients: 1.96 times the root of 2 times the error. */
    public double detectableChange() {
        return NORMAL_95 * Math.sqrt(2) * standardError;
    }

    /** Whether a change, in either direction, is larger than that. */
    public boolean beyondNoise(double change) {
        return Math.abs(change) > detectableChange();
    }
}
