package lexicor.core.catalogue;

import java.util.List;

/**
 * A reason for which tests must not be done, or only lightly.
 *
 * @param because what could happen, in plain words
 */
public record Lock(String id, String when, String because, List<TestId> tests) {
    public Lock {
        tests = List.copyOf(tests);
    }
}
