package lexicor.core.planning;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.Setting;
import lexicor.core.catalogue.Stage;
import lexicor.core.catalogue.TestId;
import lexicor.core.evidence.EvidenceReader;
import lexicor.core.weighing.Visit;
import lexicor.core.weighing.Weighing;
import lexicor.core.weighing.WeighingSettings;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class PlanTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Weighing WEIGHING = new Weighing(CATALOGUE, EvidenceReader.shipped(CATALOGUE), new WeighingSettings(0, 0.8, 0.5, 0.1));

    private static Set<TestId> doable(String region) {
        Set<TestId> tests = new LinkedHashSet<>(CATALOGUE.routine(region).order());
        tests.addAll(CATALOGUE.beyondRoutine(region));
        tests.removeIf(test -> !CATALOGUE.test(test).conduct().after().isEmpty());
        return tests;
    }

    private static Plan plan(String region, double minutes, Set<TestId> doable) {
        Visit visit = Visit.usual(CATALOGUE, region, Setting.FIRST_CONTACT);
        return Plan.of(CATALOGUE, WEIGHING, new Plan.Situation(visit, List.of(), WEIGHING.weigh(visit, List.of(), 1), doable, 60 * minutes, Optional.empty()));
    }

    @ParameterizedTest
    @CsvSource({"shoulder, 5", "shoulder, 10", "elbow, 10", "wrist, 10", "wrist, 20", "hand, 5", "hand, 15"})
    void it_keeps_to_the_time_names_every_test_once_and_says_why(String region, double minutes) {
        Set<TestId> doable = doable(region);
        Plan plan = plan(region, minutes, doable);
        assertThat(plan.seconds()).isLessThanOrEqualTo(60 * minutes);
        assertThat(plan.steps()).isNotEmpty().extracting(Plan.Step::test).contains(TestId.of("nk-screen")).doesNotHaveDuplicates();
        assertThat(plan.steps().size() + plan.out().size()).isEqualTo(doable.size());
        assertThat(plan.steps()).filteredOn(step -> step.why() == Why.INFORMATION).isNotEmpty().allSatisfy(step -> assertThat(step.bits()).isPositive());
        assertThat(plan.out()).filteredOn(out -> out.why() != Plan.WhyNot.NO_TIME).allSatisfy(out -> assertThat(out.bits()).isLessThan(CATALOGUE.effort().leastBits()));
    }

    @Test
    void instability_is_last_and_grip_is_before_what_provokes() {
        List<TestId> shoulder = plan("shoulder", 15, doable("shoulder")).steps().stream().map(Plan.Step::test).toList();
        List<Boolean> unstable = shoulder.stream().map(test -> CATALOGUE.test(test).stage() == Stage.INSTABILITY || CATALOGUE.test(test).provocation() >= 3).toList();
        assertThat(unstable).isSorted().contains(true);
        List<TestId> hand = plan("hand", 15, doable("hand")).steps().stream().map(Plan.Step::test).toList();
        assertThat(hand.indexOf(TestId.of("ha-grip"))).isGreaterThanOrEqualTo(0);
        int firstProvoking = hand.indexOf(hand.stream().filter(test -> CATALOGUE.test(test).provocation() >= 2).findFirst().orElseThrow());
        assertThat(hand.indexOf(TestId.of("ha-grip"))).isLessThan(firstProvoking);
    }

    @Test
    void what_has_no_figures_comes_in_by_the_picture_once_figures_are_served() {
        assertThat(plan("wrist", 15, doable("wrist")).steps()).extracting(Plan.Step::why).contains(Why.INFORMATION, Why.PICTURE);
    }

    @Test
    void more_time_tells_no_less() {
        double last = 0;
        for (double minutes : new double[] {5, 10, 15, 20}) {
            double bits = plan("hand", minutes, doable("hand")).bits();
            assertThat(bits).isGreaterThanOrEqualTo(last - 0.01);
            last = bits;
        }
    }

    @ParameterizedTest
    @ValueSource(strings = {"shoulder", "wrist"})
    void without_time_or_with_everything_locked_there_is_no_step_and_every_test_says_why_not(String region) {
        Plan none = plan(region, 0, doable(region));
        assertThat(none.steps()).isEmpty();
        assertThat(none.out()).hasSameSizeAs(doable(region));
        assertThat(plan(region, 20, Set.of()).steps()).isEmpty();
    }
}
