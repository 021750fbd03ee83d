package lexicor.core.outcomes;

import java.time.LocalDate;
import lexicor.core.catalogue.ConditionId;

/** What a picture, a nerve study, an operation or time has said about a condition. */
public record ReferenceResult(ConditionId condition, Truth truth, Kind kind, LocalDate day, Reader reader) {

    /** What it says. */
    public enum Truth {
        PRESENT,
        ABSENT,
        UNCLEAR
    }

    /** What it comes from. */
    public enum Kind {
        IMAGING("imaging"),
        NERVE_STUDY("nerve study"),
        SURGERY("surgery"),
        RESPONSE("response to treatment"),
        FOLLOW_UP("follow-up");

        private final String words;

        Kind(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }
    }

    /** Whether whoever read it knew the examination. */
    public enum Reader {
        BLIND,
        KNEW,
        NOT_KNOWN
    }
}
