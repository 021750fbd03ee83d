package lexicor.core.examination;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import lexicor.core.Responses;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.TestId;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class WholeAnswerTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();

    static Stream<ExaminationTest> tests() {
        return CATALOGUE.tests().values().stream();
    }

    private static Attempt attempt(ExaminationTest test, List<Part> parts) {
        return new Attempt(UUID.randomUUID(), test.id(), "usual", Side.RIGHT, 1, Set.of(), parts);
    }

    @ParameterizedTest
    @MethodSource("tests")
    void every_whole_answer_is_one_that_the_test_takes(ExaminationTest test) {
        assertThat(ResponseCheck.faults(
                        test, attempt(test, WholeAnswer.nothing(test).parts())))
                .isEmpty();
        assertThat(WholeAnswer.usual(test)).allSatisfy(answer -> {
            assertThat(ResponseCheck.faults(test, attempt(test, answer.parts())))
                    .isEmpty();
            assertThat(answer.label()).isNotBlank();
        });
    }

    @ParameterizedTest
    @MethodSource("tests")
    void nothing_is_never_read_as_a_finding(ExaminationTest test) {
        List<Part> parts = WholeAnswer.nothing(test).parts();
        if (!parts.isEmpty()) {
            List<Part> well = parts.stream()
                    .filter(part -> test.wellSideParts().contains(part.key()))
                    .toList();
            History both = Responses.history(
                    attempt(test, parts),
                    new Attempt(UUID.randomUUID(), test.id(), "usual", Side.LEFT, 1, Set.of(), well));
            assertThat(new ResponseReader(test, CATALOGUE.usualSchools())
                            .read(both, Side.RIGHT)
                            .readings())
                    .allSatisfy(reading ->
                            assertThat(reading.result()).as("%s", reading).isNotEqualTo(Reading.Result.POSITIVE));
        }
    }

    @Test
    void nothing_of_a_test_in_three_positions_is_said_of_all_three() {
        assertThat(WholeAnswer.nothing(CATALOGUE.test(TestId.of("wr-druj-ballottement")))
                        .parts())
                .filteredOn(part -> part.key().equals("end"))
                .extracting(part -> part.context().position())
                .containsExactly("neutral", "pronation", "supination");
    }

    @Test
    void the_commonest_answer_is_named_by_what_was_found() {
        assertThat(WholeAnswer.usual(CATALOGUE.test(TestId.of("sh-er-resist"))))
                .extracting(WholeAnswer::label)
                .containsExactly(
                        "Familiar pain, Pain stops it, Outer arm", "No pain, Weak", "Familiar pain, Weak, Outer arm");
    }

    @Test
    void where_the_content_names_none_it_is_the_own_pain_at_the_first_place() {
        assertThat(WholeAnswer.usual(CATALOGUE.test(TestId.of("sh-neer"))))
                .extracting(WholeAnswer::label)
                .containsExactly("Familiar pain, Outer arm");
    }
}
