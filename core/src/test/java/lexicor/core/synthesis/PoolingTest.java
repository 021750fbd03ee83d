package lexicor.core.synthesis;

import static lexicor.core.worked.Worked.list;
import static lexicor.core.worked.Worked.map;
import static lexicor.core.worked.Worked.number;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import java.util.List;
import java.util.Map;
import java.util.stream.Stream;
import lexicor.core.synthesis.StudyRecord.Counts;
import lexicor.core.worked.Worked;
import org.junit.jupiter.api.Named;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class PoolingTest {

    static Stream<Named<Map<String, Object>>> cases() {
        return list(map(Worked.read("synthesis.json")).get("pool")).stream()
                .map(each -> Named.of(map(each).get("id").toString(), map(each)));
    }

    private static void same(Pooled.Proportion actual, Object expected, boolean fitted, String what) {
        assertThat(actual.estimate())
                .as(what)
                .isCloseTo(number(map(expected).get("estimate")), within(fitted ? 1e-4 : 1e-6));
        assertThat(actual.lower()).as(what).isCloseTo(number(map(expected).get("lower")), within(fitted ? 1e-3 : 1e-6));
        assertThat(actual.upper()).as(what).isCloseTo(number(map(expected).get("upper")), within(fitted ? 1e-3 : 1e-6));
    }

    @ParameterizedTest
    @MethodSource("cases")
    void agrees_with_the_worked_case(Map<String, Object> worked) {
        List<Counts> studies = list(map(worked.get("input")).get("studies")).stream()
                .map(Worked::map)
                .map(each -> new Counts(
                        number(each.get("tp")), number(each.get("fn")), number(each.get("tn")), number(each.get("fp"))))
                .toList();
        Map<String, Object> expected = map(worked.get("expected"));
        Pooled pooled = Pooling.pool(studies);
        assertThat(pooled.method()).as(pooled.reason().orElse("")).isEqualTo(expected.get("method"));
        boolean fitted = pooled.logLikelihood().isPresent();
        same(pooled.sensitivity(), expected.get("sensitivity"), fitted, "sensitivity");
        same(pooled.specificity(), expected.get("specificity"), fitted, "specificity");
        Map<String, Object> between = map(expected.get("betweenStudy"));
        assertThat(pooled.between().orElseThrow().sdSensitivity())
                .isCloseTo(number(between.get("sdSensitivity")), within(fitted ? 1e-2 : 1e-6));
        assertThat(pooled.between().orElseThrow().sdSpecificity())
                .isCloseTo(number(between.get("sdSpecificity")), within(fitted ? 1e-2 : 1e-6));
        if (fitted) {
            assertThat(pooled.between().orElseThrow().correlation().orElseThrow())
                    .isCloseTo(number(between.get("correlation")), within(1e-2));
            assertThat(pooled.logLikelihood().orElseThrow())
                    .isCloseTo(number(expected.get("logLikelihood")), within(1e-4));
        } else {
            Map<String, Object> heterogeneity = map(expected.get("heterogeneity"));
            assertThat(pooled.between().orElseThrow().floored().orElseThrow())
                    .containsExactly((Boolean) list(between.get("floored")).get(0), (Boolean)
                            list(between.get("floored")).get(1));
            assertThat(pooled.heterogeneity().orElseThrow().qSensitivity())
                    .isCloseTo(number(heterogeneity.get("qSensitivity")), within(1e-6));
            assertThat(pooled.heterogeneity().orElseThrow().i2Specificity())
                    .isCloseTo(number(heterogeneity.get("i2Specificity")), within(1e-6));
        }
    }

    @Test
    void one_study_keeps_its_proportions() {
        Pooled one = Pooling.pool(List.of(new Counts(18, 2, 30, 10)));
        assertThat(one.method()).isEqualTo("single");
        assertThat(one.sensitivity().estimate()).isEqualTo(0.9);
        assertThat(one.sensitivity().lower()).as("Wilson").isCloseTo(0.698966, within(1e-5));
        assertThat(one.between()).isEmpty();
    }

    @Test
    void studies_that_agree_have_no_spread() {
        Pooled four = Pooling.pool(List.of(
                new Counts(40, 10, 45, 5),
                new Counts(80, 20, 90, 10),
                new Counts(16, 4, 18, 2),
                new Counts(160, 40, 180, 20)));
        assertThat(four.method()).isEqualTo("bivariate, correlation 0");
        assertThat(four.between().orElseThrow().sdSensitivity()).isZero();
        assertThat(four.sensitivity().estimate()).isCloseTo(0.8, within(1e-9));
    }

    @Test
    void no_study_and_a_side_without_patients_are_refused() {
        assertThatThrownBy(() -> Pooling.pool(List.of())).hasMessageContaining("no study");
        assertThatThrownBy(() -> Pooling.pool(List.of(new Counts(3, 1, 0, 0))))
                .hasMessageContaining("without the condition");
    }
}
