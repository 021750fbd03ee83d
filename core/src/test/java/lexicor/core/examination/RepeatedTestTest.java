package lexicor.core.examination;

import static lexicor.core.Responses.attempt;
import static lexicor.core.Responses.chosen;
import static lexicor.core.Responses.degrees;
import static lexicor.core.Responses.history;
import static lexicor.core.Responses.repeat;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import java.util.UUID;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.TestId;
import org.junit.jupiter.api.Test;

class RepeatedTestTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();

    @Test
    void a_repeat_that_says_the_opposite_is_not_reproducible() {
        Reading reading = neer(history(
                repeat("sh-neer", 1, chosen("pain", "familiar")), repeat("sh-neer", 2, chosen("pain", "none"))));
        assertThat(reading.result()).isEqualTo(Reading.Result.NOT_INTERPRETABLE);
        assertThat(reading.phrase()).contains("not reproducible");
    }

    @Test
    void an_answer_of_a_way_that_the_library_no_longer_has_is_not_read_as_the_usual_one() {
        Attempt gone = new Attempt(
                UUID.randomUUID(),
                TestId.of("sh-neer"),
                "a-way-of-old",
                Side.RIGHT,
                1,
                Set.of(),
                List.of(chosen("pain", "familiar")));
        Reading reading = neer(history(gone));
        assertThat(reading.result()).isEqualTo(Reading.Result.NOT_INTERPRETABLE);
        assertThat(reading.phrase()).contains("a way that the library no longer knows");
    }

    @Test
    void a_repeat_that_agrees_counts_once() {
        Reading reading = neer(history(
                repeat("sh-neer", 1, chosen("pain", "familiar")), repeat("sh-neer", 2, chosen("pain", "familiar"))));
        assertThat(reading.result()).isEqualTo(Reading.Result.POSITIVE);
    }

    @Test
    void a_repeat_after_guarding_is_read_in_its_stead() {
        Reading reading = neer(history(
                repeat("sh-neer", 1, chosen("pain", "familiar"), chosen("quality", "guarded")),
                repeat("sh-neer", 2, chosen("pain", "none"))));
        assertThat(reading.result()).isEqualTo(Reading.Result.NEGATIVE);
    }

    @Test
    void the_uninvolved_side_alone_answers_nothing() {
        TestReading reading = new ResponseReader(CATALOGUE.test(TestId.of("sh-neer")), CATALOGUE.usualSchools())
                .read(history(attempt("sh-neer", Side.LEFT, chosen("pain", "none"))), Side.RIGHT);
        assertThat(reading.answered()).isFalse();
        assertThat(reading.complete()).isFalse();
        assertThat(reading.readings()).allMatch(each -> each.result() == Reading.Result.NOT_YET_KNOWN);
    }

    @Test
    void the_phrase_tells_the_recorded_angle() {
        TestReading reading = new ResponseReader(CATALOGUE.test(TestId.of("sh-arc")), CATALOGUE.usualSchools())
                .read(
                        history(attempt("sh-arc", Side.RIGHT, chosen("pain", "familiar"), degrees("angle-worst", 90))),
                        Side.RIGHT);
        assertThat(reading.reading(ConditionId.of("subacromial-pain"), CriterionId.of("pain-60-120"))
                        .phrase())
                .isEqualTo("familiar pain, worst at 90°");
    }

    @Test
    void parts_the_test_does_not_record_are_refused_by_name() {
        assertThat(ResponseCheck.faults(
                        CATALOGUE.test(TestId.of("sh-neer")),
                        attempt("sh-neer", Side.RIGHT, chosen("strength", "weak"))))
                .singleElement()
                .satisfies(fault ->
                        assertThat(fault.message()).contains("'strength' is not recorded by this test", "pain"));
        assertThat(ResponseCheck.faults(
                        CATALOGUE.test(TestId.of("sh-neer")), attempt("sh-neer", Side.RIGHT, chosen("pain", "some"))))
                .singleElement()
                .satisfies(fault -> assertThat(fault.message()).contains("none, familiar, other"));
        assertThat(ResponseCheck.faults(
                        CATALOGUE.test(TestId.of("sh-arc")),
                        attempt("sh-arc", Side.RIGHT, degrees("angle-worst", 181))))
                .singleElement()
                .satisfies(fault -> assertThat(fault.message()).contains("0 to 180 °"));
        assertThat(ResponseCheck.faults(
                        CATALOGUE.test(TestId.of("sh-neer")),
                        attempt("sh-neer", Side.RIGHT, chosen("pain", "none"), chosen("pain", "familiar"))))
                .hasSize(1);
    }

    private static Reading neer(History history) {
        return new ResponseReader(CATALOGUE.test(TestId.of("sh-neer")), CATALOGUE.usualSchools())
                .read(history, Side.RIGHT)
                .reading(ConditionId.of("subacromial-pain"), CriterionId.of("pain"));
    }
}
