package lexicor.core.evidence;

import java.util.ArrayList;
import java.util.Collection;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.regex.Pattern;
import lexicor.core.source.Place;
import lexicor.core.source.Warning;

/** Records of the ledger that can be weighed but do not fit together, each with what is assumed. */
public final class LedgerWarnings {

    private static final Pattern BY_ITS_INVENTORS = Pattern.compile(
            "originator's (own )?study|developer study|by (its|the) inventors", Pattern.CASE_INSENSITIVE);

    private LedgerWarnings() {}

    /** Every warning, in the order of the records. */
    public static List<Warning> of(String file, Collection<AccuracyRecord> records) {
        List<Warning> warnings = new ArrayList<>();
        for (AccuracyRecord record : records) {
            for (String says : of(record)) {
                warnings.add(new Warning(new Place(file, record.line()), record.id() + ": " + says));
            }
        }
        return warnings;
    }

    /** Every warning about one record, without its name. */
    static List<String> of(AccuracyRecord record) {
        List<String> says = new ArrayList<>();
        if (!record.originator()
                && !record.review()
                && BY_ITS_INVENTORS.matcher(record.note()).find()) {
            says.add("the note says that it comes from the inventors of the test, column 'originator' does not;"
                    + " weighed as an independent study");
        }
        if (record.sizesKnown()) {
            unattainable("sensitivity", record.sensitivity(), record.with()).ifPresent(says::add);
            unattainable("specificity", record.specificity(), record.without()).ifPresent(says::add);
        } else if (Weighable.assumedSize(record) < Weighable.UNKNOWN_SIZE) {
            int size = Weighable.assumedSize(record);
            says.add("of its " + record.total().getAsInt()
                    + " patients nobody says how many had the condition; counted as " + size + " with and " + size
                    + " without");
        }
        return says;
    }

    /** A proportion that no whole number of patients gives, at the digits to which it was printed. */
    private static Optional<String> unattainable(String column, OptionalDouble share, OptionalInt size) {
        if (share.isEmpty() || size.isEmpty() || size.getAsInt() == 0) {
            return Optional.empty();
        }
        double counted = Math.rint(share.getAsDouble() * size.getAsInt());
        double off = Math.abs(share.getAsDouble() - counted / size.getAsInt());
        return off <= printed(share.getAsDouble())
                ? Optional.empty()
                : Optional.of(String.format(
                        Locale.ROOT,
                        "%s %s of %d patients is no whole number of them; counted as %.0f",
                        column,
                        share.getAsDouble(),
                        size.getAsInt(),
                        counted));
    }

    /** How far a printed share may stand off: a tenth where it has one digit, else a hundredth. */
    private static double printed(double share) {
        return Math.abs(10 * share - Math.rint(10 * share)) < 1e-6 ? 0.1 : 0.01;
    }
}
