package lexicor.server.library;

import java.util.Map;

/** How often each test has answered about each condition in signed examinations of this clinic. */
public interface FindingsHere {

    /** A test and a condition that it was read for. */
    record Pair(String test, String condition) {}

    /** Pairs that have never answered are absent. */
    Map<Pair, Long> counts();
}
