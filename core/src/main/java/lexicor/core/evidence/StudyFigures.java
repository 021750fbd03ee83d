package lexicor.core.evidence;

import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What a study says, as it is shown: proportions with Wilson intervals and likelihood ratios with log-method intervals
 * where both group sizes are known, bare points where they are not. What it does not say is empty.
 */
public record StudyFigures(
        Optional<Figure> sensitivity,
        Optional<Figure> specificity,
        Optional<Figure> lrPositive,
        Optional<Figure> lrNegative,
        boolean corrected) {

    /** A value; the ends of its 95 % interval are empty where sizes were not published. */
    public record Figure(double value, OptionalDouble lower, OptionalDouble upper) {

        static Figure point(double value) {
            return new Figure(value, OptionalDouble.empty(), OptionalDouble.empty());
        }

        /** The value as published, with the interval of its counts. */
        static Figure around(double published, Estimate estimate) {
            return new Figure(published, OptionalDouble.of(estimate.lower()), OptionalDouble.of(estimate.upper()));
        }

        static Figure of(Estimate estimate) {
            return new Figure(
                    estimate.estimate(), OptionalDouble.of(estimate.lower()), OptionalDouble.of(estimate.upper()));
        }
    }

    /** Never null. */
    public static StudyFigures of(AccuracyRecord record) {
        OptionalDouble sensitivity = record.sensitivity();
        OptionalDouble specificity = record.specificity();
        boolean both = sensitivity.isPresent() && specificity.isPresent();
        if (both
                && record.sizesKnown()
                && record.with().getAsInt() > 0
                && record.without().getAsInt() > 0) {
            TwoByTwo counts = TwoByTwo.of(
                    sensitivity.getAsDouble(),
                    specificity.getAsDouble(),
                    record.with().getAsInt(),
                    record.without().getAsInt());
            return new StudyFigures(
                    counts.sensitivity().map(around -> Figure.around(sensitivity.getAsDouble(), around)),
                    counts.specificity().map(around -> Figure.around(specificity.getAsDouble(), around)),
                    counts.likelihoodRatioPositive().map(Figure::of),
                    counts.likelihoodRatioNegative().map(Figure::of),
                    counts.corrected());
        }
        OptionalDouble positive = record.lrPositive();
        OptionalDouble negative = record.lrNegative();
        if (both) {
            positive = ratio(sensitivity.getAsDouble(), 1 - specificity.getAsDouble());
            negative = ratio(1 - sensitivity.getAsDouble(), specificity.getAsDouble());
        }
        return new StudyFigures(point(sensitivity), point(specificity), point(positive), point(negative), false);
    }

    private static Optional<Figure> point(OptionalDouble value) {
        return value.isPresent() ? Optional.of(Figure.point(value.getAsDouble())) : Optional.empty();
    }

    /** Empty where it would be infinite. */
    private static OptionalDouble ratio(double above, double below) {
        return below <= 0 ? OptionalDouble.empty() : OptionalDouble.of(above / below);
    }
}
