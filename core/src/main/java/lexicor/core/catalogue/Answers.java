package lexicor.core.catalogue;

import java.util.OptionalDouble;
import java.util.Set;

/** What has been recorded of one test, as rules ask for it. */
public interface Answers {

    /** Which body side a rule asks about: the one in question, or the other one as the patient's own normal. */
    enum Asked {
        THIS,
        OTHER
    }

    /** The choices recorded for a part; empty where nothing was recorded, never null. */
    Set<String> choices(Asked side, String part);

    /** The measure recorded for a part, in the unit of the part; empty where nothing was recorded. */
    OptionalDouble measure(Asked side, String part);

    /** The measure of go {@code number} of a part on this side, from 1; empty where nothing was recorded. */
    OptionalDouble repeat(String part, int number);

    /** The answers recorded in one position alone. */
    Answers at(String position);

    /** The schools in force. */
    Schools schools();
}
