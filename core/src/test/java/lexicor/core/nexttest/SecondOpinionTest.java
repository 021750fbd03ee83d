package lexicor.core.nexttest;

import static lexicor.core.Responses.answered;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.catalogue.Thresholds;
import lexicor.core.evidence.EvidenceReader;
import lexicor.core.examination.Reading;
import lexicor.core.examination.TestReading;
import lexicor.core.findings.Visit;
import lexicor.core.findings.WeighingSettings;
import lexicor.core.pathway.Step;
import lexicor.core.weighing.Ranking;
import lexicor.core.weighing.Weighing;
import org.junit.jupiter.api.Test;

class SecondOpinionTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Thresholds THRESHOLDS = new Thresholds(0.05, 0.25, 0.75, 0.1);
    private static final Weighing WEIGHING =
            new Weighing(CATALOGUE, EvidenceReader.shipped(CATALOGUE), WeighingSettings.USUAL);
    private static final Visit VISIT = Visit.usual(CATALOGUE, "wrist", CareSetting.FIRST_CONTACT);
    private static final List<TestId> OPEN =
            List.of(TestId.of("wr-cmc-grind"), TestId.of("wr-cmc-adduction"), TestId.of("wr-ecu-synergy"));

    @Test
    void a_question_and_a_measure_leave_nothing_to_say() {
        assertThat(on(new Step.Ask("q", "Where?", List.of()))).isEqualTo(SecondOpinion.Kind.SAME);
        assertThat(on(new Step.Examine("g", TestId.of("ha-grip"), "first", List.of(), "q")))
                .isEqualTo(SecondOpinion.Kind.SAME);
    }

    @Test
    void a_test_that_nobody_has_measured_cannot_be_ranked() {
        Visit noted = VISIT.with(VISIT.assumptions().borrowing(false));
        List<TestValue> ahead =
                ExpectedInformation.of(WEIGHING, noted, List.of()).values(new LinkedHashSet<>(OPEN), Optional.empty());
        assertThat(SecondOpinion.on(
                                examine("wr-ecu-synergy", "ecu-tendinopathy", "along-tendon"),
                                ahead,
                                ranking(),
                                THRESHOLDS)
                        .kind())
                .isEqualTo(SecondOpinion.Kind.NO_FIGURES);
        assertThat(on(examine("wr-ecu-synergy", "ecu-tendinopathy", "along-tendon")))
                .as("weighed like an average test it can")
                .isNotEqualTo(SecondOpinion.Kind.NO_FIGURES);
    }

    @Test
    void the_test_that_promises_most_is_the_same_in_both_and_another_names_it() {
        TestId best = ahead().stream()
                .filter(TestValue::worthDoing)
                .findFirst()
                .orElseThrow()
                .test();
        TestId other = OPEN.stream()
                .filter(test -> test.value().startsWith("wr-cmc") && !test.equals(best))
                .findFirst()
                .orElseThrow();
        assertThat(on(examine(best.value(), "thumb-cmc-oa", "base-pain"))).isEqualTo(SecondOpinion.Kind.SAME);
        SecondOpinion opinion =
                SecondOpinion.on(examine(other.value(), "thumb-cmc-oa", "base-pain"), ahead(), ranking(), THRESHOLDS);
        assertThat(opinion.kind()).isEqualTo(SecondOpinion.Kind.ANOTHER_TEST);
        assertThat(opinion.test()).contains(best);
    }

    @Test
    void where_nothing_is_worth_doing_it_says_so() {
        TestValue idle = ahead().stream()
                .filter(value -> !value.changes().isEmpty())
                .findFirst()
                .orElseThrow();
        TestValue little = new TestValue(idle.test(), 0, idle.seconds(), idle.moves(), false, idle.changes());
        assertThat(SecondOpinion.on(
                                examine(idle.test().value(), "thumb-cmc-oa", "base-pain"),
                                List.of(little),
                                ranking(),
                                THRESHOLDS)
                        .kind())
                .isEqualTo(SecondOpinion.Kind.LITTLE_EXPECTED);
    }

    @Test
    void at_an_end_another_leader_is_named() {
        Ranking ranking = WEIGHING.weigh(
                VISIT, List.of(answered("wr-cmc-adduction", true), answered("wr-cmc-extension", true)), 1);
        assertThat(SecondOpinion.on(end("thumb-cmc-oa"), List.of(), ranking, THRESHOLDS)
                        .kind())
                .isEqualTo(SecondOpinion.Kind.SAME);
        SecondOpinion opinion = SecondOpinion.on(end("de-quervain"), List.of(), ranking, THRESHOLDS);
        assertThat(opinion.kind()).isEqualTo(SecondOpinion.Kind.ANOTHER_CONDITION);
        assertThat(opinion.condition())
                .map(standing -> standing.condition().id().value())
                .contains("thumb-cmc-oa");
    }

    @Test
    void an_end_that_nobody_has_measured_is_said_to_go_by_its_picture() {
        assertThat(SecondOpinion.on(end("ecu-instability"), List.of(), ranking(), THRESHOLDS)
                        .kind())
                .isEqualTo(SecondOpinion.Kind.END_NOT_MEASURED);
        assertThat(SecondOpinion.on(new Step.End("e", "Nothing", List.of(), ""), List.of(), ranking(), THRESHOLDS)
                        .kind())
                .isEqualTo(SecondOpinion.Kind.SAME);
    }

    private static SecondOpinion.Kind on(Step step) {
        return SecondOpinion.on(step, ahead(), ranking(), THRESHOLDS).kind();
    }

    private static Ranking ranking() {
        return WEIGHING.weigh(VISIT, List.<TestReading>of(), 1);
    }

    private static List<TestValue> ahead() {
        return ExpectedInformation.of(WEIGHING, VISIT, List.of()).values(new LinkedHashSet<>(OPEN), Optional.empty());
    }

    private static Step.Examine examine(String test, String condition, String criterion) {
        return new Step.Examine(
                "t",
                TestId.of(test),
                "now",
                List.of(new Step.Branch(
                        ConditionId.of(condition), CriterionId.of(criterion), Reading.Result.POSITIVE, "e")),
                "e");
    }

    private static Step.End end(String condition) {
        return new Step.End("e", condition, List.of(ConditionId.of(condition)), "");
    }
}
