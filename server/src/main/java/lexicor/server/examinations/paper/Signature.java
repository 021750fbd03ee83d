package lexicor.server.examinations.paper;

import java.time.Instant;
import java.util.List;
import lexicor.server.words.Words;

/**
 * A signature in words.
 *
 * @param by name of who signed
 * @param version from 1
 * @param reason why an earlier version was amended; empty for the first
 * @param enteredBy names of everybody who entered findings
 * @param countersigned whether who signed entered none of them
 */
public record Signature(
        String by, Instant at, int version, String reason, List<String> enteredBy, boolean countersigned) {

    public Signature {
        enteredBy = List.copyOf(enteredBy);
    }

    String words() {
        String colleagues = enteredBy.isEmpty() || enteredBy.equals(List.of(by))
                ? ""
                : "Findings entered by " + String.join(", ", enteredBy) + ". ";
        return colleagues + (countersigned ? "Countersigned by " : "Signed by ") + by + " on "
                + Words.day(at) + ", version " + version
                + (reason.isEmpty() ? "." : ". Amended: " + reason);
    }
}
