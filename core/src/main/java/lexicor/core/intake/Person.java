package lexicor.core.intake;

import java.util.Optional;
import java.util.OptionalInt;

/**
 * What a case says of a patient that moves the starts.
 *
 * @param leading whether the side in question is the leading one; empty where nobody knows
 * @param bothSides whether both sides are affected
 * @param occupation in the patient's words; empty where nobody said
 */
public record Person(
        OptionalInt birthYear, Optional<Sex> sex, Optional<Boolean> leading, boolean bothSides, String occupation) {

    /** As far as it changes how common a condition is. */
    public enum Sex {
        WOMAN,
        MAN
    }

    /** Of whom no more than the year of birth is known, if that. */
    public static Person born(OptionalInt birthYear) {
        return new Person(birthYear, Optional.empty(), Optional.empty(), false, "");
    }
}
