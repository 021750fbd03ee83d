package lexicor.core.nexttest;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.SplittableRandom;
import lexicor.core.Responses;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.evidence.EvidenceReader;
import lexicor.core.findings.Visit;
import lexicor.core.findings.WeighingSettings;
import lexicor.core.weighing.Weighing;
import org.junit.jupiter.api.Test;

class SimulatedPatientTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Weighing WEIGHING =
            new Weighing(CATALOGUE, EvidenceReader.shipped(CATALOGUE), new WeighingSettings(0, 0.8, 0.5, 0.1));
    private static final Visit VISIT = Visit.usual(CATALOGUE, "shoulder", CareSetting.FIRST_CONTACT);
    private static final ConditionId SUBACROMIAL = ConditionId.of("subacromial-pain");
    private static final List<TestId> TESTS =
            List.of(TestId.of("sh-neer"), TestId.of("sh-hawkins"), TestId.of("sh-arc"), TestId.of("sh-sulcus"));

    @Test
    void answers_that_are_all_drawn_positive_or_negative_are_weighed_as_if_they_had_been_found() {
        SimulatedPatient rehearsal = SimulatedPatient.of(WEIGHING, VISIT, List.of(), SUBACROMIAL);
        for (boolean positive : new boolean[] {true, false}) {
            double found = WEIGHING.chances(
                            VISIT,
                            TESTS.subList(0, 3).stream()
                                    .map(test -> Responses.answered(test.value(), positive))
                                    .toList())
                    .get(SUBACROMIAL);
            assertThat(rehearsal.after(TESTS, true, () -> positive ? 0 : 1))
                    .as("of one condition by itself, so not quite what all together say")
                    .isCloseTo(found, within(0.06));
        }
    }

    @Test
    void over_many_patients_the_chance_afterwards_is_on_average_the_chance_before() {
        SimulatedPatient rehearsal = SimulatedPatient.of(WEIGHING, VISIT, List.of(), SUBACROMIAL);
        SplittableRandom random = new SplittableRandom(3);
        double sum = 0;
        int patients = 8000;
        for (int i = 0; i < patients; i++) {
            sum += rehearsal.after(TESTS, random.nextDouble() < rehearsal.now(), random::nextDouble);
        }
        assertThat(sum / patients).isCloseTo(rehearsal.now(), within(0.01));
    }

    @Test
    void a_condition_of_another_region_is_refused() {
        assertThatThrownBy(() -> SimulatedPatient.of(WEIGHING, VISIT, List.of(), ConditionId.of("trigger-finger")))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("trigger-finger");
    }
}
