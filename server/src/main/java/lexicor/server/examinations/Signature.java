package lexicor.server.examinations;

import java.time.Instant;

/**
 * A signature in words.
 *
 * @param by      name of who signed
 * @param version from 1
 * @param reason  why an earlier version was amended; empty for the first
 */
record Signature(String by, Instant at, int version, String reason) {

    String words() {
        return "Signed by " + by + " on " + NoteWriter.DAY.format(at) + ", version " + version + (reason.isEmpty() ? "." : ". Amended: " + reason);
    }
}
