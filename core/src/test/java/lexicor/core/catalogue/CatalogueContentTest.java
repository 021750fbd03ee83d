package lexicor.core.catalogue;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;
import java.util.stream.Stream;
import lexicor.core.evidence.Evidence;
import lexicor.core.evidence.EvidenceReader;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What has to hold of the shipped content as a whole, whoever writes it. */
class CatalogueContentTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Evidence EVIDENCE = EvidenceReader.shipped(CATALOGUE);
    private static final List<String> PEOPLE = List.of(
            "hawkins",
            "neer",
            "jobe",
            "kim",
            "codman",
            "gerber",
            "speed",
            "yergason",
            "kibler",
            "spurling",
            "phalen",
            "tinel",
            "finkelstein",
            "eichhoff",
            "watson",
            "cozen",
            "mill",
            "maudsley",
            "froment",
            "wartenberg",
            "durkan",
            "elson",
            "bunnell",
            "littler",
            "guyon",
            "allen",
            "katz",
            "lister",
            "reagan",
            "semmes",
            "weinstein",
            "adson",
            "roos",
            "wright",
            "gagey",
            "zaslav",
            "mimori",
            "yocum",
            "paxinos",
            "bakody",
            "liu",
            "napoleon",
            "patte",
            "o'brien",
            "apley");

    static Stream<ExaminationTest> tests() {
        return CATALOGUE.tests().values().stream();
    }

    static Stream<Condition> conditions() {
        return CATALOGUE.conditions().values().stream();
    }

    @ParameterizedTest
    @MethodSource("tests")
    void a_test_is_named_for_what_is_done_and_never_for_a_person(ExaminationTest test) {
        assertThat(test.name().toLowerCase(Locale.ROOT).split("[^a-z']+"))
                .as(test.name())
                .doesNotContainAnyElementsOf(PEOPLE);
        assertThat(test.shortName().toLowerCase(Locale.ROOT).split("[^a-z']+"))
                .as(test.shortName())
                .doesNotContainAnyElementsOf(PEOPLE);
    }

    @ParameterizedTest
    @MethodSource("tests")
    void a_card_can_be_read_at_a_glance(ExaminationTest test) {
        CueCard card = test.card();
        assertThat(List.of(card.patient(), card.you(), card.movement(), card.ask(), card.stop()))
                .as("%s", test.id())
                .allSatisfy(line -> assertThat(line.length()).as(line).isBetween(6, 150))
                .allSatisfy(line -> assertThat(line).doesNotEndWith("."));
        assertThat(test.shortName().length()).as(test.shortName()).isLessThanOrEqualTo(40);
        assertThat(card.watch()).as("%s has something to watch for", test.id()).isNotEmpty();
    }

    @ParameterizedTest
    @MethodSource("tests")
    void what_is_compared_between_the_sides_is_asked_of_the_well_side(ExaminationTest test) {
        Stream<Rule> rules = Stream.concat(
                test.criteria().stream().flatMap(criterion -> Stream.of(criterion.positive(), criterion.negative())),
                Stream.concat(
                                test.gates().stream(),
                                test.criteria().stream().flatMap(criterion -> criterion.gates().stream()))
                        .map(Gate::when));
        Set<String> compared = new HashSet<>();
        rules.flatMap(Rule::leaves).forEach(leaf -> {
            if (leaf instanceof Rule.SideDifference difference) {
                compared.add(difference.part());
            }
            if (leaf instanceof Rule.In in && in.side() == Answers.Asked.OTHER) {
                compared.add(in.part());
            }
        });
        assertThat(test.wellSideParts()).as("%s", test.id()).containsAll(compared);
    }

    @ParameterizedTest
    @MethodSource("tests")
    void a_test_that_asks_for_apprehension_stops_at_it(ExaminationTest test) {
        boolean asks = test.part("apprehension").isPresent()
                && test.reads().stream()
                        .anyMatch(reads -> reads.condition().value().endsWith("instability"));
        if (asks) {
            assertThat(test.conduct().stops()).as("%s", test.id()).isNotEmpty();
            assertThat(test.stage()).isEqualTo(Stage.INSTABILITY);
            assertThat(test.provocation()).isEqualTo(3);
        }
    }

    @ParameterizedTest
    @MethodSource("tests")
    void whatever_stresses_a_shoulder_is_locked_by_a_fresh_injury(ExaminationTest test) {
        boolean stresses = test.region().equals("shoulder")
                && (test.stage() == Stage.INSTABILITY
                        || test.stage() == Stage.STRENGTH && test.provocation() == 2
                        || test.stage() == Stage.SPECIAL && test.provocation() >= 2);
        if (stresses && !test.id().value().equals("sh-yocum")) { // the patient moves, nobody stresses
            assertThat(CATALOGUE.locksOf(test.id()))
                    .as("%s", test.id())
                    .extracting(Lock::id)
                    .contains("fresh-injury");
        }
    }

    @ParameterizedTest
    @MethodSource("tests")
    void whatever_stresses_the_distal_radioulnar_joint_is_locked_by_a_fresh_fracture_of_the_radius(
            ExaminationTest test) {
        if (test.region().equals("wrist")
                && test.provocation() >= 2
                && test.conduct().structures().stream().anyMatch(structure -> structure.contains("radioulnar"))) {
            assertThat(CATALOGUE.locksOf(test.id()))
                    .as("%s", test.id())
                    .extracting(Lock::id)
                    .contains("forearm-fracture");
        }
    }

    @ParameterizedTest
    @MethodSource("tests")
    void a_neck_that_is_not_safe_locks_every_movement_of_it(ExaminationTest test) {
        if (test.conduct().structures().contains("intervertebral foramen")
                || test.id().value().startsWith("nv-")) {
            assertThat(CATALOGUE.locksOf(test.id()))
                    .as("%s", test.id())
                    .extracting(Lock::id)
                    .contains("unsafe-neck");
        }
    }

    @ParameterizedTest
    @MethodSource("conditions")
    void every_condition_says_what_would_settle_it_and_what_to_expect(Condition condition) {
        Pattern pattern = CATALOGUE.patterns().get(condition.id());
        assertThat(pattern).as("%s", condition.id()).isNotNull();
        assertThat(pattern.settles().orElseThrow().by()).isNotBlank();
        assertThat(pattern.expects()).as("%s", condition.id()).isNotEmpty();
        assertThat(pattern.rivals()).as("%s", condition.id()).isNotEmpty();
    }

    @ParameterizedTest
    @MethodSource("conditions")
    void tests_that_separate_rivals_speak_about_one_of_them(Condition condition) {
        for (Pattern.Rival rival : CATALOGUE.patterns().get(condition.id()).rivals()) {
            assertThat(rival.condition()).isNotEqualTo(condition.id());
            assertThat(rival.tests()).allSatisfy(id -> {
                ExaminationTest test = CATALOGUE.test(id);
                assertThat(test.readingFor(condition.id()).isPresent()
                                || test.readingFor(rival.condition()).isPresent())
                        .as("%s separates %s from %s", id, condition.id(), rival.condition())
                        .isTrue();
            });
        }
    }

    @ParameterizedTest
    @MethodSource("conditions")
    void a_narrower_condition_starts_no_higher_than_its_wider_one(Condition condition) {
        CATALOGUE.widerThan(condition.id()).forEach(wider -> {
            for (CareSetting setting : CareSetting.values()) {
                assertThat(condition.start().get(setting))
                        .as("%s within %s", condition.id(), wider)
                        .isLessThanOrEqualTo(CATALOGUE.condition(wider).start().get(setting));
            }
        });
    }

    @Test
    void a_serious_condition_is_never_ruled_out_by_definition() {
        CATALOGUE.conditions().values().stream()
                .filter(condition ->
                        condition.serious().isPresent() && CATALOGUE.patterns().containsKey(condition.id()))
                .forEach(condition -> assertThat(
                                CATALOGUE.patterns().get(condition.id()).defining())
                        .as("%s", condition.id())
                        .isEmpty());
    }

    @Test
    void members_of_a_dependency_group_share_a_condition() {
        for (DependencyGroup group : CATALOGUE.groups()) {
            long speaking = group.tests().stream()
                    .filter(test -> group.conditions().isEmpty()
                            || group.conditions().stream()
                                    .anyMatch(condition -> CATALOGUE
                                            .test(test)
                                            .readingFor(condition)
                                            .isPresent()))
                    .count();
            assertThat(speaking).as(group.name()).isGreaterThanOrEqualTo(2);
            assertThat(group.rho()).isBetween(0.3, 0.6);
        }
    }

    /** Two clues of age hold together, so two records of age would be counted as two pieces of evidence. */
    @Test
    void age_is_weighed_once_for_a_condition() {
        for (Condition condition : CATALOGUE.conditions().values()) {
            assertThat(CATALOGUE.clues().values().stream()
                            .filter(clue -> clue.age().isPresent() && EVIDENCE.weighsClue(clue.id(), condition.id())))
                    .as("%s", condition.id())
                    .hasSizeLessThanOrEqualTo(1);
        }
    }

    @Test
    void the_usual_school_is_in_force_for_every_question_until_another_is_chosen() {
        Schools usual = CATALOGUE.usualSchools();
        CATALOGUE
                .schools()
                .forEach(question -> assertThat(usual.choice(question.id())).isEqualTo(question.usual()));
        assertThat(usual.with("wrist-flexion-hold", "thirty").choice("wrist-flexion-hold"))
                .isEqualTo("thirty");
        assertThat(usual.choice("wrist-flexion-hold")).isEqualTo("sixty");
    }
}
