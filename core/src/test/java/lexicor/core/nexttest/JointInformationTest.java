package lexicor.core.nexttest;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.function.DoubleUnaryOperator;
import java.util.stream.Stream;
import lexicor.core.Responses;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.dependence.FactorQuadrature;
import lexicor.core.evidence.Evidence;
import lexicor.core.evidence.EvidenceReader;
import lexicor.core.examination.TestReading;
import lexicor.core.findings.Visit;
import lexicor.core.findings.WeighingSettings;
import lexicor.core.weighing.Weighing;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class JointInformationTest {

    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final Evidence EVIDENCE = EvidenceReader.shipped(CATALOGUE);
    private static final Weighing WEIGHING = new Weighing(CATALOGUE, EVIDENCE, new WeighingSettings(0, 0.8, 0.5, 0.1));
    private static final Visit VISIT = Visit.usual(CATALOGUE, "shoulder", CareSetting.FIRST_CONTACT);
    private static final ConditionId SUBACROMIAL = ConditionId.of("subacromial-pain");
    private static final Set<TestId> ALL =
            new LinkedHashSet<>(CATALOGUE.routine("shoulder").order());

    static {
        ALL.addAll(CATALOGUE.beyondRoutine("shoulder"));
    }

    private static JointInformation of(List<TestReading> found, FactorQuadrature.Rule rule, String... tests) {
        JointInformation information = JointInformation.of(WEIGHING, VISIT, found, ALL, rule);
        for (String test : tests) {
            information = information.with(TestId.of(test));
        }
        return information;
    }

    private static Weighing.Model model(List<TestReading> found) {
        return WEIGHING.models(VISIT, found).stream()
                .filter(each -> each.condition().id().equals(SUBACROMIAL))
                .findFirst()
                .orElseThrow();
    }

    /** Every answer in turn, each recorded as if it had been given and the condition's own chain weighed anew. */
    private static double enumerated(List<TestReading> found, List<String> tests, double chance) {
        return enumerated(found, tests, chance, JointInformationTest::entropy);
    }

    /** The mean of something about where the condition stands in the end. */
    private static double enumerated(
            List<TestReading> found, List<String> tests, double chance, DoubleUnaryOperator of) {
        double now = model(found).now();
        if (tests.isEmpty()) {
            return chance * of.applyAsDouble(now);
        }
        TestId next = TestId.of(tests.get(0));
        double yes = model(Stream.concat(found.stream(), Stream.of(Responses.answered(next.value(), true)))
                        .toList())
                .now();
        double no = model(Stream.concat(found.stream(), Stream.of(Responses.answered(next.value(), false)))
                        .toList())
                .now();
        double positive = (now - no) / (yes - no);
        double left = 0;
        for (boolean answer : new boolean[] {true, false}) {
            List<TestReading> further = Stream.concat(
                            found.stream(), Stream.of(Responses.answered(next.value(), answer)))
                    .toList();
            left += enumerated(
                    further, tests.subList(1, tests.size()), chance * (answer ? positive : 1 - positive), of);
        }
        return left;
    }

    private static double entropy(double chance) {
        return -(chance * Math.log(chance) + (1 - chance) * Math.log(1 - chance)) / Math.log(2);
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(delimiter = '|', textBlock = """
            sh-neer
            sh-neer sh-hawkins
            sh-neer sh-arc sh-er-resist
            sh-hawkins sh-empty-can sh-arc sh-neer
            """)
    void it_is_the_fall_of_entropy_over_all_answers_together(String tests) {
        List<String> set = List.of(tests.split(" "));
        double exact = entropy(model(List.of()).now()) - enumerated(List.of(), set, 1);
        assertThat(of(List.of(), FactorQuadrature.Rule.FINE, set.toArray(String[]::new))
                        .bits(SUBACROMIAL))
                .isCloseTo(exact, within(1e-7));
        assertThat(of(List.of(), FactorQuadrature.Rule.COARSE, set.toArray(String[]::new))
                        .bits(SUBACROMIAL))
                .as("by the coarse rule")
                .isCloseTo(exact, within(0.002));
    }

    @ParameterizedTest(name = "{0}: from {1} to {2}")
    @CsvSource(delimiter = '|', textBlock = """
            sh-neer                                 | 0.6  | 0.9
            sh-neer sh-arc sh-er-resist             | 0.25 | 0.75
            sh-hawkins sh-empty-can sh-arc sh-neer  | 0.1  | 0.6
            sh-hawkins sh-empty-can sh-arc sh-neer  | 0.6  | 1.01
            """)
    void the_chance_to_end_between_two_chances_is_that_of_all_answers_that_end_there(
            String tests, double low, double high) {
        List<String> set = List.of(tests.split(" "));
        double exact = enumerated(List.of(), set, 1, then -> then >= low && then < high ? 1 : 0);
        assertThat(exact).isBetween(0.02, 0.98);
        assertThat(of(List.of(), FactorQuadrature.Rule.FINE, set.toArray(String[]::new))
                        .between(SUBACROMIAL, low, high))
                .isCloseTo(exact, within(1e-7));
    }

    @Test
    void what_was_found_already_is_taken_into_account() {
        List<TestReading> found = List.of(Responses.answered("sh-hawkins", true));
        double exact = entropy(model(found).now()) - enumerated(found, List.of("sh-neer", "sh-arc"), 1);
        assertThat(of(found, FactorQuadrature.Rule.FINE, "sh-neer", "sh-arc").bits(SUBACROMIAL))
                .as("from where all conditions together put it")
                .isCloseTo(exact, within(0.03));
    }

    @Test
    void a_set_tells_less_than_its_tests_apart_where_they_are_of_one_tissue_and_never_less_than_its_best() {
        double neer = of(List.of(), FactorQuadrature.Rule.FINE, "sh-neer").bits(SUBACROMIAL);
        double hawkins = of(List.of(), FactorQuadrature.Rule.FINE, "sh-hawkins").bits(SUBACROMIAL);
        assertThat(of(List.of(), FactorQuadrature.Rule.FINE, "sh-neer", "sh-hawkins")
                        .bits(SUBACROMIAL))
                .isLessThan(neer + hawkins)
                .isGreaterThan(Math.max(neer, hawkins));
    }

    @Test
    void the_order_in_which_tests_are_added_is_nothing_and_one_alone_is_what_foresight_says() {
        assertThat(of(List.of(), FactorQuadrature.Rule.COARSE, "sh-arc", "sh-drop-arm", "sh-neer")
                        .bits())
                .isCloseTo(
                        of(List.of(), FactorQuadrature.Rule.COARSE, "sh-neer", "sh-arc", "sh-drop-arm")
                                .bits(),
                        within(1e-7));
        for (String test : List.of("sh-arc", "sh-drop-arm", "sh-cross-body", "nk-spurling-a")) {
            double alone = ExpectedInformation.of(WEIGHING, VISIT, List.of())
                    .value(TestId.of(test), Optional.empty())
                    .bits();
            assertThat(of(List.of(), FactorQuadrature.Rule.FINE).gain(TestId.of(test)))
                    .as(test)
                    .as("a condition by itself, so not quite what all together say")
                    .isCloseTo(alone, within(0.12));
        }
    }

    /** With more answers than are followed apart, information is lost, but little of it. */
    @Test
    void taking_answers_together_loses_little() {
        List<TestId> speaking = new ArrayList<>(ALL.stream()
                .filter(test -> EVIDENCE.inUse(test, SUBACROMIAL).isPresent()
                        && CATALOGUE.test(test).readingFor(SUBACROMIAL).isPresent())
                .limit(10)
                .toList());
        JointInformation followed = JointInformation.of(WEIGHING, VISIT, List.of(), ALL, FactorQuadrature.Rule.COARSE);
        double last = 0;
        for (TestId test : speaking) {
            followed = followed.with(test);
            assertThat(followed.bits(SUBACROMIAL))
                    .as("never less with a test more")
                    .isGreaterThanOrEqualTo(last - 1e-3);
            last = followed.bits(SUBACROMIAL);
        }
        assertThat(speaking).hasSizeGreaterThan(7);
        assertThat(last)
                .isLessThanOrEqualTo(entropy(WEIGHING.chances(VISIT, List.of()).get(SUBACROMIAL)));
    }
}
