package lexicor.core.weighing;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.Pattern;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Reading;
import lexicor.core.examination.TestReading;

/** Compares findings with what is expected of a condition. */
final class PatternMatcher {

    private enum Found {
        YES,
        NO,
        UNKNOWN
    }

    private final Map<TestId, TestReading> done;

    PatternMatcher(Map<TestId, TestReading> done) {
        this.done = done;
    }

    PatternReading read(Condition condition, Pattern pattern) {
        Set<Pattern.Expected> typical = new LinkedHashSet<>(pattern.defining());
        typical.addAll(pattern.expects());
        List<Pattern.Expected> present = those(pattern, typical, Found.YES);
        List<Pattern.Expected> missing = those(pattern, typical, Found.NO);
        List<Pattern.Expected> against = those(pattern, pattern.against(), Found.YES);
        List<Pattern.Expected> defining = those(pattern, pattern.defining(), Found.NO);
        return new PatternReading(
                present,
                missing,
                against,
                those(pattern, typical, Found.UNKNOWN),
                defining,
                !defining.isEmpty() && condition.serious().isEmpty(),
                !those(pattern, pattern.defining(), Found.YES).isEmpty());
    }

    private List<Pattern.Expected> those(Pattern pattern, Iterable<Pattern.Expected> expected, Found wanted) {
        List<Pattern.Expected> those = new ArrayList<>();
        for (Pattern.Expected each : expected) {
            if (found(pattern, each) == wanted) {
                those.add(each);
            }
        }
        return those;
    }

    private Found found(Pattern pattern, Pattern.Expected expected) {
        TestReading test = done.get(expected.test());
        if (test == null) {
            return Found.UNKNOWN;
        }
        Reading.Result result = test.readings().stream()
                .filter(reading -> reading.criterion().equals(expected.criterion())
                        && reading.condition().equals(pattern.condition()))
                .findFirst()
                .map(Reading::result)
                .orElse(Reading.Result.NOT_YET_KNOWN);
        return switch (result) {
            case POSITIVE -> expected.positive() ? Found.YES : Found.NO;
            case NEGATIVE -> expected.positive() ? Found.NO : Found.YES;
            case NOT_INTERPRETABLE, NOT_YET_KNOWN -> Found.UNKNOWN;
        };
    }
}
