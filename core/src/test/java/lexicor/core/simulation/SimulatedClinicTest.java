package lexicor.core.simulation;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Set;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.evidence.EvidenceReader;
import lexicor.core.examination.Reading;
import lexicor.core.examination.TestReading;
import lexicor.core.findings.Visit;
import lexicor.core.findings.WeighingSettings;
import lexicor.core.findings.WeightedFindings;
import lexicor.core.outcomes.Calibration;
import lexicor.core.weighing.Weighing;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class SimulatedClinicTest {

    private static final int PATIENTS = 6000;
    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Weighing WEIGHING =
            new Weighing(CATALOGUE, EvidenceReader.shipped(CATALOGUE), new WeighingSettings(0, 0.8, 0.5, 0.1));
    private static final Visit VISIT = Visit.usual(CATALOGUE, "shoulder", CareSetting.FIRST_CONTACT);
    private static final List<TestId> TESTS = List.of(
            TestId.of("sh-neer"),
            TestId.of("sh-hawkins"),
            TestId.of("sh-arc"),
            TestId.of("sh-er-resist"),
            TestId.of("sh-speed"));
    private static final ConditionId SUBACROMIAL = ConditionId.of("subacromial-pain");
    private static final ConditionId TEAR = ConditionId.of("cuff-tear-any");

    @Test
    void conditions_come_as_often_as_they_start_and_the_narrower_never_without_the_wider() {
        for (double association : new double[] {0, 0.5}) {
            SimulatedClinic clinic = clinic(new Departure(association, 0, 0, 0));
            int[] present = new int[2];
            for (int p = 0; p < PATIENTS; p++) {
                Set<ConditionId> truth = clinic.patient(p).present();
                present[0] += truth.contains(SUBACROMIAL) ? 1 : 0;
                present[1] += truth.contains(TEAR) ? 1 : 0;
                truth.forEach(condition -> assertThat(truth).containsAll(ranked(CATALOGUE.widerThan(condition))));
            }
            double start = WEIGHING.weigh(VISIT, List.of(), 1).of(SUBACROMIAL).now();
            double tear = WEIGHING.weigh(VISIT, List.of(), 1).of(TEAR).now();
            assertThat(present[0] / (double) PATIENTS).isCloseTo(start, within(4 * deviation(start)));
            assertThat(present[1] / (double) PATIENTS).isCloseTo(tear, within(4 * deviation(tear)));
        }
    }

    private static List<ConditionId> ranked(List<ConditionId> conditions) {
        return conditions.stream().filter(VISIT.starts()::containsKey).toList();
    }

    private static double deviation(double share) {
        return Math.sqrt(share * (1 - share) / PATIENTS);
    }

    /** The share of positives over all patients is what the weighing expects before the test. */
    @Test
    void tests_are_positive_as_often_as_the_weighing_expects() {
        SimulatedClinic clinic = clinic(Departure.NONE);
        for (TestId test : TESTS) {
            int positive = 0;
            for (int p = 0; p < PATIENTS; p++) {
                positive += result(clinic.patient(p).answer(test), SUBACROMIAL) == Reading.Result.POSITIVE ? 1 : 0;
            }
            double expected = WEIGHING
                    .jointModel(VISIT, List.of())
                    .ahead(new WeightedFindings(CATALOGUE, WEIGHING.evidence(), WEIGHING.settings(), VISIT)
                            .open(test, WEIGHING.ranked(VISIT)))
                    .stream()
                    .filter(each -> each.after().containsKey(SUBACROMIAL))
                    .findFirst()
                    .orElseThrow()
                    .positive();
            assertThat(positive / (double) PATIENTS)
                    .as("%s", test)
                    .isCloseTo(expected, within(4 * deviation(expected)));
        }
    }

    @Test
    void answers_of_one_group_agree_more_often_the_more_alike_they_are() {
        double[] agree = new double[2];
        Departure[] each = {new Departure(0, -0.9, 0, 0), new Departure(0, 0.5, 0, 0)};
        for (int d = 0; d < 2; d++) {
            SimulatedClinic clinic = clinic(each[d]);
            for (int p = 0; p < PATIENTS; p++) {
                SimulatedPatient patient = clinic.patient(p);
                agree[d] += result(patient.answer(TESTS.get(0)), SUBACROMIAL)
                                == result(patient.answer(TESTS.get(1)), SUBACROMIAL)
                        ? 1.0 / PATIENTS
                        : 0;
            }
        }
        assertThat(agree[1] - agree[0]).isGreaterThan(0.05);
    }

    /** Patients drawn as the weighing assumes them: among those of whom 70 in 100 is said, 70 in 100 have it. */
    @Test
    void the_weighing_is_calibrated_on_patients_drawn_by_its_own_model() {
        SimulatedClinic clinic = clinic(Departure.NONE);
        List<Calibration.Claim> claims = new ArrayList<>();
        double start = WEIGHING.weigh(VISIT, List.of(), 1).of(SUBACROMIAL).now();
        for (int p = 0; p < PATIENTS; p++) {
            SimulatedPatient patient = clinic.patient(p);
            double now = WEIGHING.chances(
                            VISIT, TESTS.stream().map(patient::answer).toList())
                    .get(SUBACROMIAL);
            claims.add(new Calibration.Claim(start, now, patient.present().contains(SUBACROMIAL)));
        }
        Calibration.Line line = new Calibration(claims).line().orElseThrow();
        assertThat(line.slope().lower()).isLessThan(1.02);
        assertThat(line.slope().upper()).isGreaterThan(0.98);
        assertThat(new Calibration(claims).logLoss()).isLessThan(new Calibration(claims).logLossOfStart());
    }

    @Test
    void a_patient_answers_alike_whenever_and_in_whatever_order_he_is_asked() {
        SimulatedClinic clinic = clinic(new Departure(0.2, 0.1, 0.4, 0.1));
        List<TestId> turned = new ArrayList<>(TESTS);
        Collections.reverse(turned);
        for (int p = 0; p < 50; p++) {
            SimulatedPatient first = clinic.patient(p);
            SimulatedPatient again = clinic(new Departure(0.2, 0.1, 0.4, 0.1)).patient(p);
            assertThat(again.present()).isEqualTo(first.present());
            List<TestReading> backwards =
                    new ArrayList<>(turned.stream().map(again::answer).toList());
            Collections.reverse(backwards);
            assertThat(backwards).isEqualTo(TESTS.stream().map(first::answer).toList());
        }
    }

    @Test
    void a_test_without_figures_is_refused_by_name() {
        assertThatThrownBy(() -> clinic(Departure.NONE).patient(1).answer(TestId.of("ha-grip")))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining("ha-grip");
    }

    @ParameterizedTest
    @CsvSource({"-0.1, 0, 0, 0, association", "0, 1, 0, 0, moreAlike", "0, 0, 4, 0, shift", "0, 0, 0, 1, blunting"})
    void a_departure_out_of_range_is_named(double a, double b, double c, double d, String name) {
        assertThatThrownBy(() -> new Departure(a, b, c, d))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(name + " is ")
                .hasMessageContaining("allowed: ");
    }

    private static SimulatedClinic clinic(Departure departure) {
        return new SimulatedClinic(WEIGHING, VISIT, TESTS, departure, 7);
    }

    private static Reading.Result result(TestReading test, ConditionId condition) {
        return test.readings().stream()
                .filter(reading -> reading.condition().equals(condition))
                .findFirst()
                .orElseThrow()
                .result();
    }
}
