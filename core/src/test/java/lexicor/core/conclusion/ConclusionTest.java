package lexicor.core.conclusion;

import static lexicor.core.Responses.attempt;
import static lexicor.core.Responses.chosen;
import static lexicor.core.Responses.degrees;
import static lexicor.core.Responses.history;
import static org.assertj.core.api.Assertions.assertThat;

import java.time.Instant;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.catalogue.Thresholds;
import lexicor.core.evidence.EvidenceReader;
import lexicor.core.examination.Answer;
import lexicor.core.examination.History;
import lexicor.core.examination.ResponseReader;
import lexicor.core.examination.Side;
import lexicor.core.examination.TestReading;
import lexicor.core.findings.WeighingSettings;
import lexicor.core.intake.AnswerCheck;
import lexicor.core.intake.IntakeAnswers;
import lexicor.core.intake.IntakeForm;
import lexicor.core.pathway.PathwayReader;
import lexicor.core.weighing.Ranking;
import lexicor.core.weighing.Weighing;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ConclusionTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Thresholds THRESHOLDS = new Thresholds(0.05, 0.25, 0.75, 0.1);
    private static final Weighing WEIGHING =
            new Weighing(CATALOGUE, EvidenceReader.shipped(CATALOGUE), new WeighingSettings(0, 0.8, 0.5, 0.1));
    private static final IntakeForm FORM = IntakeForm.shipped(CATALOGUE);
    private static final AnswerCheck CHECK =
            new AnswerCheck(CATALOGUE, FORM, PathwayReader.shipped(CATALOGUE, FORM.zoneNames()));

    @Test
    void it_is_what_was_told_last() {
        Conclusion conclusion = concluded(
                Answer.of("working", "acj"),
                Answer.of("working", "subacromial-pain"),
                Answer.of("rivals", "frozen-shoulder", "subacromial-pain", "acj"),
                Answer.number("confidence", 0.8),
                Answer.because("why-different", "Stiff as well"),
                Answer.of("next-steps", "frozen-shoulder"),
                Answer.because("advice", "Keep it moving"),
                Answer.of("markers", "sh-rom"),
                Answer.on("again-on", LocalDate.of(2026, 12, 3)));
        assertThat(conclusion.working()).contains(ConditionId.of("subacromial-pain"));
        assertThat(conclusion.rivals())
                .as("the working diagnosis is no rival of itself")
                .containsExactly(ConditionId.of("frozen-shoulder"), ConditionId.of("acj"));
        assertThat(conclusion.sureness()).isEqualTo("very likely");
        assertThat(conclusion.why()).isEqualTo("Stiff as well");
        assertThat(conclusion.steps()).containsExactly(ConditionId.of("frozen-shoulder"));
        assertThat(conclusion.markers()).containsExactly(TestId.of("sh-rom"));
        assertThat(conclusion.again()).contains(LocalDate.of(2026, 12, 3));
        assertThat(conclusion.begun()).isTrue();
    }

    @Test
    void nothing_is_concluded_until_somebody_does() {
        assertThat(concluded().begun()).isFalse();
        assertThat(concluded(
                                Answer.of("working", "acj"),
                                new Answer("working", List.of(), OptionalDouble.empty(), Optional.empty(), ""))
                        .begun())
                .as("taken back")
                .isFalse();
        assertThat(concluded(Answer.of("working", "open"))).satisfies(conclusion -> {
            assertThat(conclusion.open()).isTrue();
            assertThat(conclusion.working()).isEmpty();
            assertThat(conclusion.begun()).isTrue();
        });
    }

    @ParameterizedTest(name = "{0} is {1}")
    @CsvSource({
        "0.1, a guess",
        "0.25, possible",
        "0.49, possible",
        "0.5, likely",
        "0.75, very likely",
        "0.949, very likely",
        "0.95, almost certain"
    })
    void a_chance_has_one_word(double chance, String word) {
        assertThat(Conclusion.words(chance)).isEqualTo(word);
    }

    @Test
    void the_ranking_is_named_where_it_puts_another_first() {
        History history = history(
                attempt("sh-neer", Side.RIGHT, chosen("pain", "familiar")),
                attempt("sh-hawkins", Side.RIGHT, chosen("pain", "familiar")),
                attempt("sh-arc", Side.RIGHT, chosen("pain", "familiar"), degrees("angle-worst", 90)));
        Ranking ranking = ranking(history);
        assertThat(Difference.between(concluded(Answer.of("working", "acj")), ranking, THRESHOLDS, CATALOGUE))
                .hasValueSatisfying(
                        first -> assertThat(first.condition().id()).isEqualTo(ConditionId.of("subacromial-pain")));
        assertThat(Difference.between(
                        concluded(Answer.of("working", "subacromial-pain")), ranking, THRESHOLDS, CATALOGUE))
                .isEmpty();
        assertThat(Difference.between(
                        concluded(Answer.of("working", "supraspinatus-tendinopathy")), ranking, THRESHOLDS, CATALOGUE))
                .as("a narrower name of the same")
                .isEmpty();
        assertThat(Difference.between(concluded(Answer.of("working", "open")), ranking, THRESHOLDS, CATALOGUE))
                .isEmpty();
        assertThat(Difference.between(
                        concluded(Answer.of("working", "acj")), ranking(history()), THRESHOLDS, CATALOGUE))
                .as("nothing weighed")
                .isEmpty();
        assertThat(Markers.suggested(history, Side.RIGHT))
                .as("only where something was measured")
                .containsExactly(TestId.of("sh-arc"));
        assertThat(Markers.suggested(history, Side.LEFT)).isEmpty();
    }

    @Test
    void candidates_come_by_what_was_weighed_then_by_picture_then_by_start_and_what_is_set_aside_last() {
        History history = history(
                attempt("sh-neer", Side.RIGHT, chosen("pain", "familiar")),
                attempt("sh-behind-back", Side.RIGHT, chosen("pain", "familiar")),
                attempt("sh-er-lag-0", Side.RIGHT, degrees("lag", 0)),
                attempt("sh-er-resist", Side.RIGHT, chosen("pain", "none"), chosen("strength", "full")),
                attempt("sh-wall-push", Side.RIGHT, chosen("winging", "clear")));
        Ranking ranking = ranking(history);
        List<ConditionId> order = Candidates.inOrder(ranking, THRESHOLDS);
        assertThat(order).hasSameSizeAs(ranking.standings()).startsWith(ConditionId.of("subacromial-pain"));
        assertThat(ranking.of(ConditionId.of("winging")).zone(THRESHOLDS))
                .as("what defines it is there")
                .isNotEqualTo(Thresholds.Zone.SET_ASIDE);
        List<Integer> shelves = order.stream()
                .map(ranking::of)
                .map(standing -> standing.pattern().unlikely()
                                || standing.informed() && standing.zone(THRESHOLDS) == Thresholds.Zone.SET_ASIDE
                        ? 3
                        : standing.informed() ? 0 : standing.pattern().present().isEmpty() ? 2 : 1)
                .toList();
        assertThat(shelves).isSorted().contains(3);
    }

    @Test
    void negatives_that_weighed_against_what_was_in_play_are_worth_a_word_and_a_quiet_inspection_is_not() {
        History history = history(
                attempt("sh-look", Side.RIGHT, chosen("wasting", "none")),
                attempt("sh-neer", Side.RIGHT, chosen("pain", "none")),
                attempt("sh-arc", Side.RIGHT, chosen("pain", "familiar"), degrees("angle-worst", 90)));
        assertThat(TellingNegatives.of(ranking(history), THRESHOLDS))
                .contains(TestId.of("sh-neer"))
                .doesNotContain(TestId.of("sh-look"), TestId.of("sh-arc"));
        assertThat(TellingNegatives.of(ranking(history()), THRESHOLDS)).isEmpty();
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', textBlock = """
            working | tfc | 'tfc' is not an answer
            rivals  | tfc | 'tfc' is not an answer
            markers | sh-nobody | 'sh-nobody' is not an answer
            """)
    void what_the_catalogue_does_not_have_cannot_be_concluded(String question, String value, String message) {
        assertThat(CHECK.fault("shoulder", Answer.of(question, value)))
                .hasValueSatisfying(fault -> assertThat(fault.message()).contains(message));
    }

    @Test
    void a_condition_of_another_region_and_words_of_ones_own_can_be_concluded() {
        assertThat(CHECK.fault("shoulder", Answer.of("working", "tfcc"))).isEmpty();
        Conclusion inWords = concluded(Answer.because("diagnosis-in-words", "Overuse after a move of house"));
        assertThat(inWords.named()).isTrue();
        assertThat(inWords.working()).isEmpty();
        assertThat(inWords.begun()).isTrue();
    }

    @Test
    void sureness_is_a_chance_and_never_certainty_and_reasons_are_words() {
        assertThat(CHECK.fault("shoulder", Answer.number("confidence", 1)))
                .hasValueSatisfying(fault -> assertThat(fault.field()).isEqualTo("number"));
        assertThat(CHECK.fault("shoulder", Answer.number("confidence", 0.9))).isEmpty();
        assertThat(CHECK.fault("shoulder", Answer.because("advice", "x"))).isPresent();
        assertThat(CHECK.fault("shoulder", Answer.of("again-on", "soon")))
                .hasValueSatisfying(
                        fault -> assertThat(fault.message()).isEqualTo("allowed: a day from 1900-01-01 to 2199-12-31"));
        assertThat(CHECK.fault("shoulder", Answer.of("working", "open"))).isEmpty();
    }

    private static Conclusion concluded(Answer... answers) {
        return Conclusion.of(IntakeAnswers.of(Arrays.stream(answers)
                .map(answer -> new History.Heard(answer, "dale", Instant.EPOCH))
                .toList()));
    }

    private static Ranking ranking(History history) {
        List<TestReading> readings = CATALOGUE.routine("shoulder").order().stream()
                .map(test ->
                        new ResponseReader(CATALOGUE.test(test), CATALOGUE.usualSchools()).read(history, Side.RIGHT))
                .toList();
        return WEIGHING.weigh("shoulder", CareSetting.FIRST_CONTACT, readings, 1);
    }
}
