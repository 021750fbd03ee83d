package lexicor.core.weighing;

import java.util.List;
import lexicor.core.catalogue.Pattern;

/**
 * How far the findings look like what is expected of a condition: a count with its list, never a chance.
 *
 * @param present typical findings that were found
 * @param missing typical findings that were looked for and not found
 * @param against findings that speak against it and were found
 * @param notExamined typical findings that are still to be looked for
 * @param defining findings without which it is unlikely by definition, that were looked for and not found
 * @param unlikely whether it stands at the foot of the list for that; never for a serious condition
 * @param defined whether a finding that defines it is there
 */
public record PatternReading(
        List<Pattern.Expected> present,
        List<Pattern.Expected> missing,
        List<Pattern.Expected> against,
        List<Pattern.Expected> notExamined,
        List<Pattern.Expected> defining,
        boolean unlikely,
        boolean defined) {

    public PatternReading {
        present = List.copyOf(present);
        missing = List.copyOf(missing);
        against = List.copyOf(against);
        notExamined = List.copyOf(notExamined);
        defining = List.copyOf(defining);
    }

    /** Typical findings that were looked for. */
    public int examined() {
        return present.size() + missing.size();
    }

    /** Whether anything of it was looked for or found. */
    public boolean begun() {
        return examined() > 0 || !against.isEmpty() || !defining.isEmpty();
    }

    /** For ordering conditions without figures: what fits less what does not. */
    int balance() {
        return present.size() - missing.size() - 2 * against.size() - 2 * defining.size();
    }
}
