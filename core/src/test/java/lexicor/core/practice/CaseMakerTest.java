package lexicor.core.practice;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.examination.Answer;
import lexicor.core.intake.AnswerCheck;
import lexicor.core.intake.IntakeFolder;
import lexicor.core.intake.IntakeForm;
import lexicor.core.intake.Person;
import lexicor.core.pathway.PathwayReader;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class CaseMakerTest {

    private static final PracticeGround GROUND = PracticeGrounds.SHIPPED;
    private static final Catalogue CATALOGUE = GROUND.catalogue();
    private static final CaseMaker MAKER = new CaseMaker(GROUND);
    private static final LocalDate DAY = LocalDate.of(2026, 3, 2);
    private static final int EACH = 25;

    @Test
    void the_same_seed_gives_the_same_patient() {
        assertThat(MAKER.make("wrist", Optional.of(PracticeKind.PLAIN), 5, DAY))
                .isEqualTo(MAKER.make("wrist", Optional.of(PracticeKind.PLAIN), 5, DAY));
        assertThat(cases("shoulder", PracticeKind.PLAIN).stream()
                        .map(PracticeCase::present)
                        .distinct())
                .as("different patients have different things")
                .hasSizeGreaterThan(5);
    }

    @ParameterizedTest
    @EnumSource(PracticeKind.class)
    void a_case_is_of_the_kind_that_was_asked_for(PracticeKind kind) {
        for (String region : CATALOGUE.routines().keySet()) {
            for (PracticeCase made : cases(region, kind)) {
                assertThat(CATALOGUE.narrowest(made.present()))
                        .as("%s %s", region, kind)
                        .hasSize(
                                switch (kind) {
                                    case NOTHING -> 0;
                                    case TWO -> 2;
                                    default -> 1;
                                });
                PracticeExamination fresh = new PracticeExamination(GROUND, made, List.of());
                assertThat(fresh.flagged()).isEqualTo(kind == PracticeKind.FLAG);
                List<String> facts =
                        made.tells(IntakeFolder.FACTS).orElseThrow().values();
                assertThat(facts.contains(IntakeForm.NONE)).isEqualTo(kind != PracticeKind.LOCK);
                assertThat(fresh.locked().isEmpty() && kind == PracticeKind.LOCK)
                        .isFalse();
            }
        }
    }

    /** What an invented patient tells could be entered at any intake, and nothing in it contradicts anything else. */
    @Test
    void what_a_patient_tells_passes_every_check_of_the_intake() {
        AnswerCheck check = new AnswerCheck(
                CATALOGUE,
                GROUND.form(),
                PathwayReader.shipped(CATALOGUE, GROUND.form().zoneNames()));
        for (String region : CATALOGUE.routines().keySet()) {
            for (PracticeKind kind : PracticeKind.values()) {
                for (PracticeCase made : cases(region, kind)) {
                    made.tells()
                            .forEach(answer -> assertThat(check.fault(region, answer))
                                    .as("%s %s", region, answer)
                                    .isEmpty());
                    assertThat(MAKER.fault(made)).isEmpty();
                    assertThat(made.present())
                            .allSatisfy(condition -> assertThat(made.present())
                                    .containsAll(CATALOGUE.widerThan(condition).stream()
                                            .filter(wider -> CATALOGUE.conditionsOf(region).stream()
                                                    .anyMatch(each -> each.id().equals(wider)))
                                            .toList()));
                }
            }
        }
    }

    /** A story that makes a condition likelier is told more often by those who have it. */
    @Test
    void what_makes_a_condition_likelier_is_told_more_often_by_those_who_have_it() {
        List<PracticeCase> all = new ArrayList<>();
        for (long seed = 0; seed < 400; seed++) {
            all.add(MAKER.make("hand", Optional.of(PracticeKind.PLAIN), seed, DAY));
        }
        ConditionId carpal = ConditionId.of("carpal-tunnel");
        List<PracticeCase> with =
                all.stream().filter(each -> each.present().contains(carpal)).toList();
        List<PracticeCase> without =
                all.stream().filter(each -> !each.present().contains(carpal)).toList();
        assertThat(with).hasSizeGreaterThan(30);
        assertThat(share(with, "clues", "night-tingling")).isGreaterThan(2 * share(without, "clues", "night-tingling"));
    }

    private static double share(List<PracticeCase> cases, String question, String value) {
        return cases.stream()
                        .filter(each -> each.tells(question)
                                .map(Answer::values)
                                .orElse(List.of())
                                .contains(value))
                        .count()
                / (double) cases.size();
    }

    @Test
    void nobody_tells_what_only_others_can() {
        for (long seed = 0; seed < 200; seed++) {
            PracticeCase made = MAKER.make("hand", Optional.of(PracticeKind.PLAIN), seed, DAY);
            List<String> clues = made.tells("clues").map(Answer::values).orElse(List.of());
            if (clues.contains("pregnancy")) {
                assertThat(made.sex()).isEqualTo(Person.Sex.WOMAN);
                assertThat(made.age()).isBetween(18, 45);
            }
            assertThat(made.occupation().startsWith("Retired")).isEqualTo(made.age() >= 67);
        }
    }

    @Test
    void red_flags_and_locks_are_answered_in_every_case() {
        PracticeCase made = MAKER.make("elbow", Optional.of(PracticeKind.NOTHING), 3, DAY);
        assertThat(made.tells(IntakeFolder.RED_FLAGS).orElseThrow().values()).containsExactly(IntakeForm.NONE);
        assertThat(made.tells(IntakeFolder.FACTS).orElseThrow().values()).containsExactly(IntakeForm.NONE);
    }

    @Test
    void a_region_that_is_not_known_is_refused_by_name() {
        assertThatThrownBy(() -> MAKER.make("knee", Optional.empty(), 1, DAY)).hasMessageContaining("knee");
    }

    private static List<PracticeCase> cases(String region, PracticeKind kind) {
        List<PracticeCase> cases = new ArrayList<>();
        for (long seed = 0; seed < EACH; seed++) {
            cases.add(MAKER.make(region, Optional.of(kind), seed, DAY));
        }
        return cases;
    }
}
