package lexicor.core.tracking;

import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * One measure at two visits.
 *
 * @param label what was measured, with position or direction where there are several
 * @param before at the earlier visit; empty where it was not measured
 * @param now at the later visit; empty where it was not measured
 * @param least the least difference that counts, in {@code unit}; empty where no noise is known
 * @param because why both cannot be compared, or what a missing number says; empty where both numbers say all
 */
public record Change(
        String label,
        String unit,
        OptionalDouble before,
        OptionalDouble now,
        OptionalDouble least,
        Verdict verdict,
        String because) {

    /** What a change is. */
    public enum Verdict {
        BETTER,
        WORSE,
        /** The difference is not beyond what measuring alone brings. */
        WITHIN_NOISE,
        /** No noise is known: the difference stands without a word. */
        NO_NOISE_KNOWN,
        /** One of the two is missing, or was not taken as it should be. */
        NOT_COMPARABLE
    }

    /**
     * What lies between two measures, either of which may be known only to be no less. A difference of exactly the
     * noise is within it.
     */
    static Verdict between(MeasuredValue before, MeasuredValue now, Optional<Noise> noise, String unit) {
        OptionalDouble difference = before.differenceTo(now);
        if (difference.isEmpty()) {
            return Verdict.NOT_COMPARABLE;
        }
        return noise.map(known -> verdict(
                        difference.getAsDouble(), known.least(before.value(), now.value(), unit), known.better()))
                .orElse(Verdict.NO_NOISE_KNOWN);
    }

    /** A scale that was told at the earlier visit, and perhaps now. */
    public static Change ofScale(String label, String unit, int before, OptionalInt now, Optional<Noise> noise) {
        if (now.isEmpty()) {
            return new Change(
                    label,
                    unit,
                    OptionalDouble.of(before),
                    OptionalDouble.empty(),
                    OptionalDouble.empty(),
                    Verdict.NOT_COMPARABLE,
                    "not asked yet");
        }
        return of(label, unit, before, now.getAsInt(), noise);
    }

    /** Two measures that were read, with their noise. */
    static Change of(String label, String unit, double before, double now, Optional<Noise> noise) {
        return new Change(
                label,
                unit,
                OptionalDouble.of(before),
                OptionalDouble.of(now),
                noise.map(known -> OptionalDouble.of(known.least(before, now, unit)))
                        .orElse(OptionalDouble.empty()),
                between(MeasuredValue.exactly(before), MeasuredValue.exactly(now), noise, unit),
                "");
    }

    private static Verdict verdict(double difference, double least, Noise.Better better) {
        if (Math.abs(difference) <= least) {
            return Verdict.WITHIN_NOISE;
        }
        return difference > 0 == (better == Noise.Better.MORE) ? Verdict.BETTER : Verdict.WORSE;
    }
}
