package lexicor.core.tracking;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import lexicor.core.catalogue.TestId;

/**
 * One measure over the visits of a complaint.
 *
 * @param test where it is measured; empty for a scale of the intake
 * @param label what is measured, with position, direction and landmark where there are several
 * @param noise how far two measures part by themselves; empty where that is not known
 * @param points one for each visit that has the measure, the first first
 */
public record MeasureSeries(
        Optional<TestId> test, String label, String unit, Optional<Noise> noise, List<Point> points, Summary summary) {

    /**
     * Visits on different days before a slope is looked at: of three in a row, one in three rises or falls by chance.
     */
    static final int ENOUGH = 4;

    /**
     * The measure at one visit.
     *
     * @param visit number of the visit, from 0
     * @param value on the side in question
     * @param well on the other side; empty where it was not measured
     * @param because why it is not compared with the others; empty where it is
     */
    public record Point(int visit, MeasuredValue value, OptionalDouble well, String because) {

        /** Whether it is compared with the others. */
        public boolean counts() {
            return because.isEmpty();
        }

        /** This side in percent of the other; empty where the other is not known or 0. Of use for forces. */
        public OptionalDouble percentOfWell() {
            return well.isPresent() && well.getAsDouble() > 0 && !value.atLeast()
                    ? OptionalDouble.of(100 * value.value() / well.getAsDouble())
                    : OptionalDouble.empty();
        }
    }

    /**
     * What the series comes to, the last visit against the first.
     *
     * @param confirmed whether the visit before the last says the same
     * @param stalled whether the usual pace is known and the slope is surely less than half of it
     * @param says the same in a sentence without a full stop
     */
    public record Summary(Change.Verdict verdict, boolean confirmed, boolean stalled, String says) {}

    public MeasureSeries {
        points = List.copyOf(points);
    }

    /** @param days of the visits, by their numbers */
    static MeasureSeries of(
            Optional<TestId> test,
            String label,
            String unit,
            Optional<Noise> noise,
            List<Point> points,
            double[] days) {
        return new MeasureSeries(test, label, unit, noise, points, summary(unit, noise, points, days));
    }

    private static Summary summary(String unit, Optional<Noise> noise, List<Point> all, double[] days) {
        List<Point> points = all.stream().filter(Point::counts).toList();
        if (points.size() < 2) {
            String says = points.isEmpty() ? "Nothing that can be compared" : "One measure so far";
            return new Summary(Change.Verdict.NOT_COMPARABLE, false, false, says);
        }
        MeasuredValue first = points.get(0).value();
        MeasuredValue last = points.get(points.size() - 1).value();
        Change.Verdict between = Change.between(first, last, noise, unit);
        long visitDays = visitDays(points, days);
        Optional<Trend> pace =
                visitDays < ENOUGH ? Optional.empty() : noise.flatMap(known -> pace(known, points, days));
        Change.Verdict verdict = between == Change.Verdict.WITHIN_NOISE
                ? pace.map(MeasureSeries::bySlope).orElse(between)
                : between;
        boolean changed = verdict == Change.Verdict.BETTER || verdict == Change.Verdict.WORSE;
        boolean confirmed = changed
                && points.size() > 2
                && Change.between(first, points.get(points.size() - 2).value(), noise, unit) == verdict;
        OptionalDouble usual = noise.map(Noise::usualADay).orElse(OptionalDouble.empty());
        boolean stalled = usual.isPresent() && pace.isPresent() && pace.get().upper() < usual.getAsDouble() / 2;
        List<String> says = new ArrayList<>();
        says.add(words(verdict, first, last, unit, noise)
                + (confirmed
                        ? ", confirmed by the visit before"
                        : changed && verdict != between ? ", by its slope" : ""));
        if (usual.isPresent()) {
            says.add(words(pace, MeasureWords.of(usual.getAsDouble(), unit), unit, stalled, ENOUGH - visitDays));
        }
        return new Summary(verdict, confirmed, stalled, String.join(". ", says));
    }

    private static long visitDays(List<Point> points, double[] days) {
        return points.stream()
                .mapToDouble(point -> days[point.visit()])
                .distinct()
                .count();
    }

    /** The slope turned so that more is better; empty where a measure is known only to be no less. */
    private static Optional<Trend> pace(Noise noise, List<Point> points, double[] days) {
        if (points.stream().anyMatch(point -> point.value().atLeast())) {
            return Optional.empty();
        }
        Trend trend = Trend.of(
                points.stream().mapToDouble(point -> days[point.visit()]).toArray(),
                points.stream().mapToDouble(point -> point.value().value()).toArray());
        return Optional.of(noise.better() == Noise.Better.MORE ? trend : trend.reversed());
    }

    /** Many visits that go one way are a change, though no pair of them is beyond the noise. */
    private static Change.Verdict bySlope(Trend pace) {
        return pace.lower() > 0
                ? Change.Verdict.BETTER
                : pace.upper() < 0 ? Change.Verdict.WORSE : Change.Verdict.WITHIN_NOISE;
    }

    private static String words(
            Change.Verdict verdict, MeasuredValue first, MeasuredValue last, String unit, Optional<Noise> noise) {
        String both = MeasureWords.of(first, unit) + " to " + MeasureWords.of(last, unit);
        return switch (verdict) {
            case BETTER -> "Better: " + both;
            case WORSE -> "Worse: " + both;
            case WITHIN_NOISE ->
                first.atLeast() && last.atLeast()
                        ? "Nothing came on at the first or the last visit"
                        : "Within noise, which is "
                                + MeasureWords.of(noise.orElseThrow().least(first.value(), last.value(), unit), unit);
            case NO_NOISE_KNOWN ->
                (first.equals(last) ? "Unchanged at " + MeasureWords.of(last, unit) : both)
                        + "; its noise is not known";
            case NOT_COMPARABLE -> both + ": the shorter hold tells too little to compare";
        };
    }

    /** @param more visits on further days before there can be a pace */
    private static String words(Optional<Trend> pace, String usual, String unit, boolean stalled, long more) {
        if (pace.isEmpty()) {
            return more > 0
                    ? more + (more == 1 ? " more visit" : " more visits") + " before its pace can be told"
                    : "Its pace cannot be told";
        }
        String moves = MeasureWords.precisely(pace.get().slope()) + " " + unit + " a day ("
                + MeasureWords.precisely(pace.get().lower()) + " to "
                + MeasureWords.precisely(pace.get().upper()) + ")";
        return stalled
                ? "Stalled: " + moves + ", less than half of the usual " + usual
                : "Moves on by " + moves + "; the usual hope is about " + usual;
    }
}
