package lexicor.core.safety;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.util.HashMap;
import java.util.HashSet;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import lexicor.core.catalogue.Answers;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.Pattern;
import lexicor.core.catalogue.Schools;
import lexicor.core.catalogue.TestId;
import lexicor.core.intake.IntakeForm;
import lexicor.core.source.SourceNode;
import lexicor.core.story.HeardStory;
import lexicor.core.story.Weeks;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SafetyRulesTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final IntakeForm FORM = IntakeForm.shipped(CATALOGUE);
    private static final SafetyRules RULES = SafetyReader.shipped(CATALOGUE, FORM.clues());

    /** What is known of a made-up examination. */
    private static final class Made implements Known {
        private final String region;
        private final Map<String, Boolean> clues = new HashMap<>();
        private Optional<Pattern.Ages> ages = Optional.empty();
        private Optional<Weeks> weeks = Optional.empty();
        private final Set<String> found = new HashSet<>();
        private final Map<String, Double> measures = new HashMap<>();
        private final Map<String, Double> raised = new HashMap<>();

        Made(String region) {
            this.region = region;
        }

        Made told(String... told) {
            for (String clue : told) {
                assertThat(FORM.clues()).contains(clue);
                clues.put(clue, true);
            }
            return this;
        }

        Made aged(int age) {
            ages = Optional.of(new Pattern.Ages(age, age));
            return this;
        }

        Made since(int since) {
            weeks = Optional.of(new Weeks(since, since));
            return this;
        }

        Made found(String... tests) {
            found.addAll(Set.of(tests));
            return this;
        }

        Made measured(String test, String part, double value) {
            measures.put(test + " " + part, value);
            return this;
        }

        Made raised(String condition, double chance) {
            raised.put(condition, chance);
            return this;
        }

        @Override
        public String region() {
            return region;
        }

        @Override
        public HeardStory story() {
            return new HeardStory(clues, ages, weeks);
        }

        @Override
        public boolean found(TestId test, CriterionId criterion, boolean positive) {
            return positive && found.contains(test + " " + criterion);
        }

        @Override
        public Optional<Answers> answers(TestId test) {
            return measures.keySet().stream().anyMatch(key -> key.startsWith(test + " "))
                    ? Optional.of(new Measures(test))
                    : Optional.empty();
        }

        @Override
        public boolean recorded(TestId test) {
            return found.stream().anyMatch(each -> each.startsWith(test + " "))
                    || answers(test).isPresent();
        }

        @Override
        public boolean ranked(ConditionId condition) {
            return CATALOGUE.routine(region).conditions().contains(condition);
        }

        @Override
        public double chance(ConditionId condition) {
            return raised.getOrDefault(condition.value(), 0.0);
        }

        @Override
        public boolean raised(ConditionId condition) {
            return raised.containsKey(condition.value());
        }

        private final class Measures implements Answers {
            private final TestId test;

            Measures(TestId test) {
                this.test = test;
            }

            @Override
            public Set<String> choices(Asked side, String part) {
                return Set.of();
            }

            @Override
            public OptionalDouble measure(Asked side, String part) {
                Double value = side == Asked.THIS ? measures.get(test + " " + part) : null;
                return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
            }

            @Override
            public OptionalDouble repeat(String part, int number) {
                return OptionalDouble.empty();
            }

            @Override
            public Answers at(String position) {
                return this;
            }

            @Override
            public Schools schools() {
                return CATALOGUE.usualSchools();
            }
        }

        boolean refers(String condition) {
            return RULES.referred(this).stream()
                    .anyMatch(each -> each.condition().value().equals(condition));
        }

        Set<String> closed() {
            Set<String> closed = new HashSet<>();
            RULES.suspected(this).forEach(suspicion -> suspicion.closes().forEach(test -> closed.add(test.value())));
            return closed;
        }

        Set<String> waiting() {
            Set<String> waiting = new HashSet<>();
            RULES.waiting(this).keySet().forEach(test -> waiting.add(test.value()));
            return waiting;
        }
    }

    private static Made fallOnTheHand() {
        return new Made("wrist")
                .told("onset:injury", "mechanism:outstretched-fall")
                .since(0);
    }

    @Test
    void after_a_fresh_fall_the_bone_is_felt_before_it_is_loaded() {
        assertThat(fallOnTheHand().waiting())
                .contains(
                        "ha-grip",
                        "wr-scaphoid-shift",
                        "wr-cmc-adduction",
                        "wr-midcarpal-clunk",
                        "wr-press",
                        "wr-thumb-axial")
                .doesNotContain("wr-palp-snuffbox", "wr-palp-scaphoid-tubercle", "wr-look");
        assertThat(fallOnTheHand().since(20).waiting())
                .as("five months later it is not fresh")
                .isEmpty();
        assertThat(fallOnTheHand()
                        .measured("wr-palp-snuffbox", "tender", 0)
                        .measured("wr-palp-scaphoid-tubercle", "tender", 0)
                        .measured("wr-palp-radius", "tender", 0)
                        .waiting())
                .as("felt and quiet")
                .isEmpty();
    }

    @Test
    void a_suspected_scaphoid_closes_what_loads_it() {
        Made one = fallOnTheHand().found("wr-palp-snuffbox tender");
        assertThat(one.refers("scaphoid-fracture")).isTrue();
        assertThat(one.closed()).contains("ha-grip", "wr-scaphoid-shift");
        Made both = fallOnTheHand().found("wr-palp-snuffbox tender", "wr-palp-scaphoid-tubercle tender");
        assertThat(both.closed())
                .contains(
                        "ha-grip",
                        "ha-pinch",
                        "wr-scaphoid-shift",
                        "wr-cmc-adduction",
                        "wr-cmc-grind",
                        "wr-finkelstein",
                        "wr-press",
                        "wr-thumb-axial")
                .doesNotContain("wr-palp-sl", "wr-palp-radius", "wr-palp-snuffbox");
        assertThat(both.since(30).closed()).isEmpty();
        assertThat(new Made("wrist")
                        .told("onset:slowly")
                        .found("wr-palp-snuffbox tender", "wr-palp-scaphoid-tubercle tender")
                        .closed())
                .as("no fall")
                .isEmpty();
    }

    @Test
    void a_seizure_calls_for_a_picture_before_anything_is_stressed() {
        Made seizure =
                new Made("shoulder").told("onset:sudden", "mechanism:seizure").since(3);
        assertThat(seizure.refers("posterior-instability")).isTrue();
        assertThat(seizure.closed())
                .contains("sh-jerk", "sh-kim", "sh-posterior-apprehension", "sh-apprehension", "sh-load-shift")
                .doesNotContain("sh-look", "sh-percussion", "sh-palp-clavicle");
        Made cleared = seizure.told("pictures:xray-clear");
        assertThat(cleared.refers("posterior-instability")).isFalse();
        assertThat(cleared.closed()).isEmpty();
        assertThat(cleared.measured("sh-rom", "external-rotation", 5).refers("posterior-instability"))
                .isTrue();
    }

    @Test
    void a_fall_on_the_shoulder_makes_stress_wait_for_percussion_and_a_dull_note_closes_it() {
        Made fall = new Made("shoulder")
                .told("onset:injury", "mechanism:other-fall")
                .aged(79)
                .since(0);
        assertThat(fall.refers("shoulder-fracture")).isFalse();
        assertThat(fall.waiting())
                .contains("sh-apprehension", "sh-crank-labral", "sh-load-shift")
                .doesNotContain("sh-percussion", "sh-look", "sh-palp-clavicle");
        Made dull = fall.found("sh-percussion duller");
        assertThat(dull.refers("shoulder-fracture")).isTrue();
        assertThat(dull.closed()).contains("sh-apprehension", "sh-crank-labral", "sh-load-shift", "sh-er-resist");
    }

    @ParameterizedTest
    @CsvSource({
        "shoulder, sh-palp-clavicle tender, shoulder-fracture",
        "elbow, el-palp-radial-head tender, elbow-fracture",
        "elbow, el-extension not-full, elbow-fracture",
        "wrist, wr-palp-radius tender, distal-radius-fracture",
        "wrist, wr-palp-triquetrum tender, triquetral-fracture"
    })
    void a_tender_bone_speaks_for_a_fracture_only_after_an_injury(String region, String finding, String fracture) {
        assertThat(new Made(region).found(finding).refers(fracture))
                .as("nothing told")
                .isFalse();
        assertThat(new Made(region).told("onset:slowly").found(finding).closed())
                .as("begun slowly")
                .isEmpty();
        assertThat(new Made(region).told("onset:injury").since(1).found(finding).refers(fracture))
                .isTrue();
    }

    @Test
    void a_torn_tendon_is_not_loaded_at_its_strongest() {
        Made torn = new Made("elbow").told("onset:injury").found("el-hook no-cord");
        assertThat(torn.refers("distal-biceps")).isTrue();
        assertThat(torn.closed())
                .contains("el-radial-tunnel", "sh-yergason")
                .doesNotContain("el-hook", "el-biceps-squeeze", "sh-palp-groove");
    }

    @Test
    void a_start_alone_never_refers_and_a_chance_that_a_finding_raised_does() {
        Made neck = new Made("shoulder").told("clues:neck-moves-arm", "clues:care-unchanged");
        assertThat(neck.refers("cervical-radiculopathy")).isFalse();
        assertThat(neck.raised("cervical-radiculopathy", 0.6).refers("cervical-radiculopathy"))
                .isTrue();
        assertThat(new Made("shoulder")
                        .told("clues:neck-moves-arm")
                        .raised("cervical-radiculopathy", 0.6)
                        .refers("cervical-radiculopathy"))
                .as("six weeks without gain are not told")
                .isFalse();
    }

    @Test
    void the_median_nerve_is_referred_for_wasting_or_constant_numbness_not_for_its_chance() {
        Made night = new Made("hand").told("clues:night-tingling").raised("carpal-tunnel", 0.9);
        assertThat(night.refers("carpal-tunnel")).isFalse();
        assertThat(new Made("hand").found("wr-thenar wasted").refers("carpal-tunnel"))
                .isTrue();
        assertThat(new Made("hand").told("facts:constant-numbness").refers("carpal-tunnel"))
                .isTrue();
    }

    @Test
    void what_the_range_does_not_reach_is_said_with_both_angles() {
        Made stiff = new Made("shoulder")
                .measured("sh-rom", "abduction", 80)
                .measured("sh-rom", "flexion-passive", 100)
                .measured("sh-rom", "external-rotation", 15);
        assertThat(RULES.outOfReach(CATALOGUE.test(TestId.of("sh-biceps-load-2")), stiff))
                .hasValue("it takes the arm to 120°; recorded: 80°");
        assertThat(RULES.outOfReach(CATALOGUE.test(TestId.of("sh-neer")), stiff))
                .hasValue("it takes the arm to 165°; recorded: 100°");
        assertThat(RULES.outOfReach(CATALOGUE.test(TestId.of("sh-yergason")), stiff))
                .isEmpty();
        Made torn = new Made("shoulder")
                .measured("sh-rom", "abduction", 80)
                .measured("sh-rom", "flexion-passive", 165)
                .measured("sh-rom", "external-rotation", 55);
        assertThat(RULES.outOfReach(CATALOGUE.test(TestId.of("sh-er-lag-90")), torn))
                .as("weak, not stiff")
                .isEmpty();
    }

    @ParameterizedTest(name = "{1} for {0}")
    @CsvSource(
            delimiter = '|',
            value = {
                "when: {found: {test: el-tip-pinch, criterion: collapses}} | when: {found: {test: el-tip-pinch, criterion: folds}} | criterion 'folds' of 'el-tip-pinch' is not read; allowed: [collapses]",
                "when: {found: {test: el-tip-pinch, criterion: collapses}} | when: {seen: {test: el-tip-pinch}} | 'seen' is not a circumstance; allowed: all, any, not, told",
                "when: {found: {test: el-tip-pinch, criterion: collapses}} | when: {all: [{age: {to: 20}}, {age: {from: 60}}]} | can never hold",
                "when: {found: {test: el-tip-pinch, criterion: collapses}} | when: {all: [{told: ['onset:injury']}, {not: {told: ['onset:injury']}}]} | can never hold",
                "told: ['clues:pinch-weak'] | told: ['clues:pinch'] | clue 'clues:pinch' is not known",
                "locks: [growing-elbow] | | suspicion 'growing-elbow-suspected' closes nothing; allowed: 'locks' or 'closes' with a test",
                "locks: [growing-elbow] | locks: [growing-knee] | lock 'growing-knee' is not known",
                "closes: ['group:ac-loading'] | closes: ['group:ac'] | group 'ac' is not known",
                "of: epl | of: acj | condition 'acj' has no rule to image or refer",
                "look-for: 0.08 | look-for: 1.08 | field 'look-for' is 1.08; allowed: 0.001 to 0.999"
            })
    void faulty_rules_are_named_with_file_line_and_what_is_allowed(String right, String wrong, String message) {
        String text = SourceNode.resourceText("/lexicor/catalogue/safety.yaml");
        assertThat(text).contains(right);
        assertThatThrownBy(() ->
                        SafetyReader.read(CATALOGUE, FORM.clues(), text.replace(right, wrong == null ? "" : wrong)))
                .hasMessageStartingWith("safety.yaml:")
                .hasMessageContaining(message);
    }
}
