package lexicor.core.outcomes;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import lexicor.core.catalogue.ConditionId;
import org.junit.jupiter.api.Test;

class TruthsTest {

    private static final ConditionId ANY = ConditionId.of("any-tear");
    private static final ConditionId FULL = ConditionId.of("full-tear");
    private static final ConditionId FRONT = ConditionId.of("front-tear");
    private static final ConditionId OTHER = ConditionId.of("other");
    private static final Map<ConditionId, List<ConditionId>> WIDER =
            Map.of(ANY, List.of(), FULL, List.of(ANY), FRONT, List.of(FULL, ANY), OTHER, List.of());

    private static ReferenceResult says(ConditionId condition, ReferenceResult.Truth truth) {
        return new ReferenceResult(
                condition,
                truth,
                ReferenceResult.Kind.IMAGING,
                LocalDate.of(2026, 3, 1),
                ReferenceResult.Reader.NOT_KNOWN);
    }

    private static Truths of(ReferenceResult... results) {
        return Truths.of(Arrays.asList(results), WIDER::get, WIDER.keySet());
    }

    @Test
    void what_is_there_makes_the_wider_there_and_says_nothing_of_the_narrower() {
        Truths truths = of(says(FULL, ReferenceResult.Truth.PRESENT));
        assertThat(truths.of(FULL)).contains(true);
        assertThat(truths.of(ANY)).contains(true);
        assertThat(truths.of(FRONT)).isEmpty();
        assertThat(truths.of(OTHER)).isEmpty();
    }

    @Test
    void what_is_absent_makes_the_narrower_absent_and_says_nothing_of_the_wider() {
        Truths truths = of(says(FULL, ReferenceResult.Truth.ABSENT));
        assertThat(truths.of(FRONT)).contains(false);
        assertThat(truths.of(ANY)).isEmpty();
    }

    @Test
    void an_unclear_result_says_nothing() {
        assertThat(of(says(FULL, ReferenceResult.Truth.UNCLEAR)).of(FULL)).isEmpty();
    }

    @Test
    void results_that_contradict_each_other_count_for_neither_and_are_named() {
        Truths truths = of(says(FRONT, ReferenceResult.Truth.PRESENT), says(FULL, ReferenceResult.Truth.ABSENT));
        assertThat(truths.contradicted()).containsExactly(FRONT, FULL);
        assertThat(truths.of(FULL)).isEmpty();
        assertThat(truths.of(ANY)).contains(true);
    }
}
