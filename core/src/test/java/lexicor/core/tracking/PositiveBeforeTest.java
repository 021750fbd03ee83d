package lexicor.core.tracking;

import static lexicor.core.Responses.answered;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Reading;
import lexicor.core.examination.TestReading;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PositiveBeforeTest {

    private static final TestId HAWKINS = TestId.of("sh-hawkins");

    @ParameterizedTest
    @CsvSource({
        "POSITIVE, STILL_POSITIVE",
        "NEGATIVE, NEGATIVE",
        "NOT_INTERPRETABLE, NOT_INTERPRETABLE",
        "NOT_YET_KNOWN, OPEN"
    })
    void a_positive_is_followed_by_what_is_read_now(Reading.Result result, PositiveBefore.Now now) {
        TestReading again = answered("sh-hawkins", true);
        TestReading read = again.with(again.readings().stream()
                .map(each -> new Reading(each.test(), each.condition(), each.criterion(), result, each.phrase()))
                .toList());
        assertThat(PositiveBefore.of(List.of(answered("sh-hawkins", true), answered("sh-neer", false)), List.of(read)))
                .containsExactly(new PositiveBefore(HAWKINS, "sh-hawkins", now));
    }

    @Test
    void a_test_that_is_not_done_again_is_open() {
        assertThat(PositiveBefore.of(List.of(answered("sh-hawkins", true)), List.of(answered("sh-neer", true))))
                .containsExactly(new PositiveBefore(HAWKINS, "sh-hawkins", PositiveBefore.Now.OPEN));
    }

    /** Of a test that speaks of several conditions, what was negative then does not count as positive now. */
    @Test
    void only_what_was_positive_then_counts() {
        TestReading both = answered("sh-hawkins", true);
        Reading first = both.readings().get(0);
        TestReading one = both.with(both.readings().stream()
                .map(each -> each == first
                        ? each
                        : new Reading(
                                each.test(),
                                each.condition(),
                                each.criterion(),
                                Reading.Result.NEGATIVE,
                                each.phrase()))
                .toList());
        TestReading other = both.with(both.readings().stream()
                .map(each -> new Reading(
                        each.test(),
                        each.condition(),
                        each.criterion(),
                        each.condition().equals(first.condition())
                                        && each.criterion().equals(first.criterion())
                                ? Reading.Result.NEGATIVE
                                : Reading.Result.POSITIVE,
                        each.phrase()))
                .toList());
        assertThat(both.readings()).as("it speaks of several").hasSizeGreaterThan(1);
        assertThat(PositiveBefore.of(List.of(one), List.of(other)).get(0).now()).isEqualTo(PositiveBefore.Now.NEGATIVE);
    }
}
