package lexicor.core.examination;

import static lexicor.core.Responses.attempt;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import lexicor.core.catalogue.Answers;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.Rule;
import lexicor.core.catalogue.Schools;
import lexicor.core.catalogue.TestId;
import lexicor.core.catalogue.Truth;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Each rule by itself, on answers that are there, elsewhere, or missing. */
class RuleVocabularyTest {

    private static final Schools SCHOOLS = new Schools(Map.of("hold", "sixty"));
    private static final Catalogue CATALOGUE = CatalogueReader.shipped();

    private static Part measured(String key, double value, String position, int repeat) {
        return new Part.Measured(key, value, "°", new Part.Context(position, repeat, ""));
    }

    private static Part chosen(String key, String choice, String position) {
        return new Part.Chosen(key, choice, new Part.Context(position, 1, ""));
    }

    private static Answers answers(Part... here) {
        return new RecordedAnswers(attempt("sh-arc", Side.RIGHT, here), Optional.empty(), SCHOOLS);
    }

    private static Answers compared(double here, double there) {
        return new RecordedAnswers(
                attempt("sh-arc", Side.RIGHT, measured("angle", here, "", 1)),
                Optional.of(attempt("sh-arc", Side.LEFT, measured("angle", there, "", 1))),
                SCHOOLS);
    }

    @Test
    void a_rule_in_one_position_sees_that_position_alone() {
        Rule firm = new Rule.In(Answers.Asked.THIS, "end", Set.of("firm"));
        Answers answers = answers(chosen("end", "firm", "neutral"), chosen("end", "soft", "pronation"));
        assertThat(new Rule.AtContext("neutral", firm).truth(answers)).isEqualTo(Truth.YES);
        assertThat(new Rule.AtContext("pronation", firm).truth(answers)).isEqualTo(Truth.NO);
        assertThat(new Rule.AtContext("supination", firm).truth(answers)).isEqualTo(Truth.UNKNOWN);
        assertThat(firm.truth(answers))
                .as("outside every position nothing was recorded")
                .isEqualTo(Truth.UNKNOWN);
    }

    @ParameterizedTest(name = "{0} here, {1} there")
    @CsvSource({"50, 20, YES", "31, 20, YES", "30, 20, NO", "20, 50, NO"})
    void a_difference_is_this_side_less_the_other(double here, double there, Truth truth) {
        assertThat(new Rule.SideDifference("angle", Rule.Compared.DIFFERENCE, 11, 180).truth(compared(here, there)))
                .isEqualTo(truth);
    }

    @ParameterizedTest(name = "{0} of {1}")
    @CsvSource({"30, 60, YES", "31, 60, NO", "0, 60, YES", "10, 0, UNKNOWN"})
    void a_share_is_this_side_in_hundredths_of_the_other(double here, double there, Truth truth) {
        assertThat(new Rule.SideDifference("angle", Rule.Compared.SHARE, 0, 50).truth(compared(here, there)))
                .isEqualTo(truth);
    }

    @ParameterizedTest(name = "{0} of {1}")
    @CsvSource({"42, 60, YES", "41.9, 60, NO", "0, 60, NO", "42, 0, UNKNOWN"})
    void one_measure_in_hundredths_of_another_of_the_same_side(double depth, double width, Truth truth) {
        Rule rule = new Rule.Share("depth", "width", 70, 200);
        assertThat(rule.truth(answers(measured("depth", depth, "", 1), measured("width", width, "", 1))))
                .isEqualTo(truth);
        assertThat(rule.truth(answers(measured("depth", depth, "", 1)))).isEqualTo(Truth.UNKNOWN);
        assertThat(rule.comparesSides()).isFalse();
    }

    @Test
    void without_the_other_side_a_comparison_is_not_yet_known() {
        Rule rule = new Rule.SideDifference("angle", Rule.Compared.DIFFERENCE, 5, 180);
        assertThat(rule.truth(answers(measured("angle", 50, "", 1)))).isEqualTo(Truth.UNKNOWN);
        assertThat(rule.comparesSides()).isTrue();
        assertThat(new Rule.Not(new Rule.Any(List.of(rule))).comparesSides()).isTrue();
        assertThat(new Rule.Window(Answers.Asked.THIS, "angle", 0, 5).comparesSides())
                .isFalse();
    }

    @ParameterizedTest(name = "{0} then {1}: {2}")
    @CsvSource({"6, 3, LESS", "6, 5, LESS", "6, 6, SAME", "6, 7, MORE"})
    void the_second_go_is_compared_with_the_first(double first, double second, Rule.Change change) {
        Answers answers = answers(measured("pain-level", first, "", 1), measured("pain-level", second, "", 2));
        Arrays.stream(Rule.Change.values())
                .forEach(each -> assertThat(new Rule.Repeated("pain-level", each, 1).truth(answers))
                        .isEqualTo(Truth.of(each == change)));
    }

    @Test
    void one_go_is_not_yet_a_change() {
        assertThat(new Rule.Repeated("pain-level", Rule.Change.LESS, 1)
                        .truth(answers(measured("pain-level", 6, "", 1))))
                .isEqualTo(Truth.UNKNOWN);
    }

    @Test
    void a_measure_means_its_first_go() {
        assertThat(new Rule.Window(Answers.Asked.THIS, "angle", 10, 20)
                        .truth(answers(measured("angle", 90, "", 2), measured("angle", 15, "", 1))))
                .isEqualTo(Truth.YES);
    }

    @Test
    void a_school_is_always_known() {
        assertThat(new Rule.School("hold", "sixty").truth(answers())).isEqualTo(Truth.YES);
        assertThat(new Rule.School("hold", "thirty").truth(answers())).isEqualTo(Truth.NO);
    }

    @ParameterizedTest(name = "{0} at {1}, go {2}: {3}")
    @CsvSource({
        "shift, neutral, 1, none",
        "shift, '', 1, position",
        "shift, pronated, 1, position",
        "shift, neutral, 2, repeat",
        "pain, neutral, 1, position"
    })
    void parts_outside_their_positions_and_goes_are_refused(String part, String position, int repeat, String field) {
        Part.Context context = new Part.Context(position, repeat, "");
        Part answer = part.equals("pain")
                ? new Part.Chosen(part, "none", context)
                : new Part.Measured(part, 4, "mm", context);
        Attempt attempt = new Attempt(
                UUID.randomUUID(),
                TestId.of("wr-druj-ballottement"),
                "usual",
                Side.RIGHT,
                1,
                Set.of(),
                List.of(answer));
        List<ResponseCheck.Fault> faults =
                ResponseCheck.faults(CATALOGUE.test(TestId.of("wr-druj-ballottement")), attempt);
        if (field.equals("none")) {
            assertThat(faults).isEmpty();
        } else {
            assertThat(faults).extracting(ResponseCheck.Fault::field).containsExactly(field);
        }
    }
}
