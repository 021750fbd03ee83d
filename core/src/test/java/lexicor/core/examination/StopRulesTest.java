package lexicor.core.examination;

import static lexicor.core.Responses.history;
import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Stream;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.Stage;
import lexicor.core.catalogue.TestId;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class StopRulesTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final StopRules RULES = new StopRules(CATALOGUE);

    private static Attempt answered(String test, Side side, String part, String choice) {
        return new Attempt(
                UUID.randomUUID(),
                TestId.of(test),
                "usual",
                side,
                1,
                Set.of(),
                List.of(new Part.Chosen(part, choice, Part.Context.PLAIN)));
    }

    private static Set<TestId> stopped(Attempt... attempts) {
        return RULES.stopped(history(attempts), Side.RIGHT).keySet();
    }

    @ParameterizedTest
    @CsvSource({
        "sh-fulcrum",
        "sh-jerk",
        "sh-anterior-drawer",
        "sh-load-shift",
        "sh-posterior-apprehension",
        "sh-biceps-load-1",
        "sh-dynamic-shear"
    })
    void apprehension_closes_further_provocation_of_the_joint(String test) {
        assertThat(stopped(answered("sh-apprehension", Side.RIGHT, "apprehension", "yes")))
                .contains(TestId.of(test));
    }

    @ParameterizedTest
    @CsvSource({"sh-relocation", "sh-release", "sh-sulcus", "sh-er-resist", "sh-neer", "nk-spurling-a"})
    void it_leaves_open_what_relieves_it_and_what_does_not_provoke_the_joint(String test) {
        assertThat(stopped(answered("sh-apprehension", Side.RIGHT, "apprehension", "yes")))
                .doesNotContain(TestId.of(test));
    }

    @Test
    void pain_without_apprehension_closes_nothing() {
        assertThat(stopped(
                        answered("sh-apprehension", Side.RIGHT, "apprehension", "none"),
                        answered("sh-neer", Side.RIGHT, "pain", "familiar")))
                .isEmpty();
    }

    @Test
    void apprehension_of_the_other_shoulder_closes_nothing_here() {
        assertThat(stopped(answered("sh-apprehension", Side.LEFT, "apprehension", "yes")))
                .isEmpty();
    }

    @Test
    void what_was_done_before_stays_done() {
        assertThat(stopped(
                        answered("sh-fulcrum", Side.RIGHT, "apprehension", "none"),
                        answered("sh-apprehension", Side.RIGHT, "apprehension", "yes")))
                .doesNotContain(TestId.of("sh-fulcrum"))
                .contains(TestId.of("sh-jerk"));
    }

    @Test
    void a_push_that_settles_nothing_closes_the_release_as_well() {
        assertThat(RULES.stopped(
                        history(
                                answered("sh-apprehension", Side.RIGHT, "apprehension", "yes"),
                                answered("sh-relocation", Side.RIGHT, "relief", "none")),
                        Side.RIGHT))
                .containsKey(TestId.of("sh-release"))
                .hasEntrySatisfying(
                        TestId.of("sh-jerk"), stop -> assertThat(stop.because()).contains("did not settle it"));
    }

    @Test
    void after_apprehension_nothing_brings_the_arm_back_to_where_it_was() {
        assertThat(stopped(answered("sh-apprehension", Side.RIGHT, "apprehension", "yes")))
                .extracting(TestId::value)
                .contains(
                        "sh-apprehension-sitting",
                        "sh-fulcrum",
                        "sh-biceps-load-1",
                        "sh-biceps-load-2",
                        "sh-pain-provocation",
                        "sh-resisted-throw",
                        "sh-dynamic-shear",
                        "sh-posterior-impingement",
                        "sh-resisted-supination-er",
                        "sh-clunk",
                        "sh-crank-labral",
                        "sh-compression-rotation",
                        "sh-hyperabduction")
                .doesNotContain(
                        "sh-relocation", "sh-speed", "sh-er-resist", "sh-cross-body", "sh-er-lag-90", "sh-full-can");
    }

    @Test
    void tingling_ends_a_hold_and_closes_no_other_test() {
        assertThat(stopped(answered("wr-phalen", Side.RIGHT, "median-tingling", "present")))
                .isEmpty();
    }

    @Test
    void a_stop_never_closes_a_test_of_another_joint_nor_one_that_neither_hurts_nor_frightens() {
        for (ExaminationTest test : CATALOGUE.tests().values()) {
            Stream<TestId> closed = test.conduct().stops().stream().flatMap(stop -> RULES.closes(test, stop).stream());
            assertThat(closed.map(CATALOGUE::test)).allSatisfy(other -> {
                assertThat(other.region()).isEqualTo(test.region());
                assertThat(other.provocation()).isGreaterThanOrEqualTo(2);
                boolean comesBack = test.conduct().stops().stream()
                        .flatMap(stop -> stop.position().stream())
                        .anyMatch(position ->
                                other.reach().filter(position::includes).isPresent());
                assertThat(other.provocation() == 3
                                || other.stage() == test.stage() && other.stage() != Stage.STRENGTH
                                || comesBack)
                        .isTrue();
            });
        }
    }
}
