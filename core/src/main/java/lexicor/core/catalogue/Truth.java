package lexicor.core.catalogue;

/** Three-valued truth (Kleene): what has not been recorded is unknown, never false. */
public enum Truth {
    YES,
    NO,
    UNKNOWN;

    public static Truth of(boolean value) {
        return value ? YES : NO;
    }

    public Truth and(Truth other) {
        if (this == NO || other == NO) {
            return NO;
        }
        return this == YES && other == YES ? YES : UNKNOWN;
    }

    public Truth or(Truth other) {
        if (this == YES || other == YES) {
            return YES;
        }
        return this == NO && other == NO ? NO : UNKNOWN;
    }

    public Truth not() {
        return switch (this) {
            case YES -> NO;
            case NO -> YES;
            case UNKNOWN -> UNKNOWN;
        };
    }
}
