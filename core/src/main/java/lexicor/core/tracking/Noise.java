package lexicor.core.tracking;

import java.util.List;
import java.util.OptionalDouble;
import java.util.Set;
import lexicor.core.catalogue.TestId;

/**
 * How far two measures of the same person may part though nothing has changed.
 *
 * @param amount least difference that counts, in {@code unit}; 0 where only a share is known
 * @param share least difference that counts, in percent of the larger of both measures; 0 where only an amount is
 *     known. Where both are known the larger counts, so that nothing is called a change too soon.
 * @param better which way is better
 * @param usualADay how far it usually moves the better way in a day, in {@code unit}; empty where no pace is hoped for
 * @param taken where it is measured
 */
public record Noise(
        String id,
        String label,
        double amount,
        String unit,
        double share,
        Better better,
        OptionalDouble usualADay,
        List<Taken> taken) {

    private static final double NEWTONS_PER_KILOGRAM = 9.80665;

    /** Which way of a change is better. */
    public enum Better {
        MORE,
        LESS
    }

    /** Parts of tests, or of all tests where none is named; or a question of the intake. */
    public record Taken(Set<TestId> tests, Set<String> parts, Set<String> questions) {

        public Taken {
            tests = Set.copyOf(tests);
            parts = Set.copyOf(parts);
            questions = Set.copyOf(questions);
        }
    }

    public Noise {
        taken = List.copyOf(taken);
    }

    /** Whether it speaks of a part of a test. */
    boolean of(TestId test, String part) {
        return taken.stream()
                .anyMatch(each -> each.parts().contains(part)
                        && (each.tests().isEmpty() || each.tests().contains(test)));
    }

    /** Whether it speaks of a question of the intake. */
    boolean of(String question) {
        return taken.stream().anyMatch(each -> each.questions().contains(question));
    }

    /**
     * The least difference that counts between two measures, in the unit of the measures.
     *
     * @param measured unit of both
     */
    public double least(double before, double now, String measured) {
        double scale = unit.equals("kg") && measured.equals("N") ? NEWTONS_PER_KILOGRAM : 1;
        return Math.max(amount * scale, share / 100 * Math.max(Math.abs(before), Math.abs(now)));
    }

    /** The same with the clinic's own figures. */
    public Noise with(double ownAmount, double ownShare) {
        return new Noise(id, label, ownAmount, unit, ownShare, better, usualADay, taken);
    }
}
