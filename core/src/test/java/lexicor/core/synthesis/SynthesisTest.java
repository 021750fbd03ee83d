package lexicor.core.synthesis;

import static lexicor.core.worked.Worked.close;
import static lexicor.core.worked.Worked.list;
import static lexicor.core.worked.Worked.map;
import static lexicor.core.worked.Worked.number;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import java.util.ArrayList;
import java.util.Collections;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.stream.Stream;
import lexicor.core.synthesis.StudyRecord.Counts;
import lexicor.core.synthesis.StudyRecord.Criterion;
import lexicor.core.worked.Worked;
import org.junit.jupiter.api.Named;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class SynthesisTest {

    private static final double CLOSE = 1e-6;

    static Stream<Named<Map<String, Object>>> cases() {
        return list(map(Worked.read("synthesis.json")).get("cases")).stream()
                .map(each -> Named.of(map(each).get("id").toString(), map(each)));
    }

    private static List<StudyRecord> records(Map<String, Object> worked) {
        return list(map(worked.get("input")).get("records")).stream()
                .map(each -> record(map(each)))
                .toList();
    }

    private static StudyRecord record(Map<String, Object> one) {
        return new StudyRecord(
                one.get("id").toString(),
                criterion(one, one.get("condition").toString()),
                one.get("study").toString(),
                (Boolean) one.get("originator"),
                counts(one));
    }

    private static Criterion criterion(Map<String, Object> one, String condition) {
        return new Criterion(
                condition, one.get("test").toString(), one.get("criterion").toString());
    }

    private static Counts counts(Map<String, Object> one) {
        return new Counts(number(one.get("tp")), number(one.get("fn")), number(one.get("tn")), number(one.get("fp")));
    }

    private static void same(PredictedAccuracy.Of actual, Map<String, Object> expected, boolean posterior) {
        String what = expected.get("test") + "/" + expected.get("criterion");
        assertThat(actual.criterion())
                .isEqualTo(criterion(expected, expected.get("condition").toString()));
        close(actual.mean(), expected.get("mean"), CLOSE, what + " mean");
        if (posterior) {
            close(actual.posterior(), expected.get("posterior"), CLOSE, what + " posterior");
        }
        close(actual.predictive(), expected.get("predictive"), CLOSE, what + " predictive");
        close(
                new double[] {actual.sensitivity(), actual.specificity(), actual.ratioPositive(), actual.ratioNegative()
                },
                List.of(
                        expected.get("sensitivity"),
                        expected.get("specificity"),
                        expected.get("lrPositive"),
                        expected.get("lrNegative")),
                CLOSE,
                what);
    }

    @ParameterizedTest
    @MethodSource("cases")
    void agrees_with_the_worked_case(Map<String, Object> worked) {
        Synthesis synthesis = Synthesis.of(records(worked));
        Map<String, Object> expected = map(worked.get("expected"));
        assertThat(synthesis.settled()).isTrue();
        close(synthesis.beta(), new ArrayList<>(map(expected.get("beta")).values()), CLOSE, "beta");
        close(synthesis.betaCovariance(), expected.get("betaCovariance"), CLOSE, "covariance of beta");
        close(
                synthesis.spread().deviations(),
                new ArrayList<>(map(expected.get("spread")).values()),
                CLOSE,
                "spread");
        close(synthesis.spread().clinicShared().getData(), expected.get("clinicShared"), CLOSE, "shared in a clinic");
        close(synthesis.spread().clinicOwn().getData(), expected.get("clinicOwn"), CLOSE, "own in a clinic");
        List<PredictedAccuracy.Of> predicted = synthesis.conditions().stream()
                .flatMap(each -> synthesis.predict(each).each().stream())
                .toList();
        List<Object> criteria = list(expected.get("criteria"));
        assertThat(predicted).hasSameSizeAs(criteria);
        for (int at = 0; at < criteria.size(); at++) {
            same(predicted.get(at), map(criteria.get(at)), true);
        }
        if (expected.get("jointPredictive") != null) {
            Map<String, Object> joint = map(expected.get("jointPredictive"));
            PredictedAccuracy all = synthesis.predict(joint.get("condition").toString());
            close(all.mean(), joint.get("mean"), CLOSE, "joint mean");
            close(all.predictive(), joint.get("covariance"), CLOSE, "joint covariance");
        }
        if (expected.get("here") != null) {
            Map<String, Object> own = map(map(worked.get("input")).get("here"));
            String condition = own.get("condition").toString();
            Map<Criterion, Counts> here = new LinkedHashMap<>();
            list(own.get("counts")).forEach(each -> here.put(criterion(map(each), condition), counts(map(each))));
            List<PredictedAccuracy.Of> after =
                    synthesis.predict(condition).after(here).each();
            List<Object> wanted = list(expected.get("here"));
            assertThat(after).hasSameSizeAs(wanted);
            for (int at = 0; at < wanted.size(); at++) {
                same(after.get(at), map(wanted.get(at)), false);
            }
        }
    }

    private static List<StudyRecord> eight() {
        return cases().filter(each -> each.getName().equals("eight-records"))
                .map(Named::getPayload)
                .map(SynthesisTest::records)
                .findFirst()
                .orElseThrow();
    }

    @Test
    void the_order_of_the_records_does_not_matter() {
        List<StudyRecord> mixed = new ArrayList<>(eight());
        Collections.shuffle(mixed, new Random(4));
        assertThat(Synthesis.of(mixed).predict("cond-a").mean())
                .containsExactly(Synthesis.of(eight()).predict("cond-a").mean(), within(1e-9));
    }

    @Test
    void an_unseen_criterion_is_predicted_as_the_population_of_its_condition() {
        Synthesis synthesis = Synthesis.of(eight());
        Criterion unseen = new Criterion("cond-a", "t-unseen", "pain");
        PredictedAccuracy all = synthesis.predict("cond-a", List.of(unseen));
        int place = all.criteria().indexOf(unseen);
        PredictedAccuracy.Of one = all.at(place);
        PredictedAccuracy.Of seen = synthesis.predict("cond-a").at(0);
        assertThat(one.predictive()[0][0]).as("wider than a studied one").isGreaterThan(seen.predictive()[0][0]);
        assertThat(all.at(all.criteria().indexOf(seen.criterion())).mean())
                .as("the studied ones stay")
                .containsExactly(seen.mean(), within(1e-12));
        PredictedAccuracy.Of nowhere = synthesis
                .predict("cond-new", List.of(new Criterion("cond-new", "t", "pain")))
                .at(0);
        assertThat(nowhere.mean())
                .containsExactly(new double[] {synthesis.beta()[0], synthesis.beta()[1]}, within(1e-12));
    }

    @Test
    void a_perfect_study_of_its_inventors_promises_little() {
        StudyRecord perfect =
                new StudyRecord("r", new Criterion("c", "t", "pain"), "s", true, new Counts(20, 0, 20, 0));
        PredictedAccuracy.Of found = Synthesis.of(List.of(perfect)).predict("c").at(0);
        assertThat(found.ratioPositive()).isBetween(1.0, 5.0);
        assertThat(found.ratioNegative()).isBetween(0.1, 1.0);
    }

    @Test
    void counts_of_a_side_without_patients_say_nothing_of_it() {
        PredictedAccuracy before = Synthesis.of(eight()).predict("cond-a");
        PredictedAccuracy none = before.after(Map.of(before.criteria().get(0), new Counts(0, 0, 0, 0)));
        assertThat(none.mean()).containsExactly(before.mean());
    }
}
