package lexicor.server.examinations.outcomes;

import static lexicor.server.json.OrNull.orNull;

import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.evidence.Belief;
import lexicor.core.outcomes.ClinicAccuracy;
import lexicor.core.outcomes.PartialVerification;
import lexicor.core.synthesis.StudyRecord;
import lexicor.server.audit.CurrentUser;
import lexicor.server.evidence.LivingEvidence;
import lexicor.server.evidence.OwnResults;
import lexicor.server.examinations.outcomes.OutcomesJson.AccuracyJson;
import lexicor.server.examinations.outcomes.OutcomesJson.AnsweredJson;
import lexicor.server.examinations.outcomes.OutcomesJson.OwnJson;
import lexicor.server.examinations.outcomes.OutcomesJson.TestAccuracyJson;
import lexicor.server.examinations.outcomes.SignedVisits.Judged;
import lexicor.server.examinations.outcomes.SpokenComplaints.Spoken;
import lexicor.server.json.EstimateJson;
import lexicor.server.problems.NotFound;
import org.springframework.stereotype.Component;

/** Counts how often the clinic's tests were right. */
@Component
class OwnAccuracy implements OwnResults {

    private final SpokenComplaints complaints;
    private final SignedVisits signed;
    private final Outcomes outcomes;
    private final Catalogue catalogue;
    private final LivingEvidence living;
    private final CriterionNames names;

    OwnAccuracy(
            SpokenComplaints complaints,
            SignedVisits signed,
            Outcomes outcomes,
            Catalogue catalogue,
            LivingEvidence living,
            CriterionNames names) {
        this.complaints = complaints;
        this.signed = signed;
        this.outcomes = outcomes;
        this.catalogue = catalogue;
        this.living = living;
        this.names = names;
    }

    /** Conditions of which something is known, those that most is known of first. */
    List<AnsweredJson> answered() {
        List<Spoken> spoken = complaints.all();
        return catalogue.conditions().values().stream()
                .map(condition -> {
                    Map<Boolean, Long> known = spoken.stream()
                            .flatMap(each -> each.truths().of(condition.id()).stream())
                            .collect(Collectors.groupingBy(Function.identity(), Collectors.counting()));
                    return new AnsweredJson(
                            condition.id().value(),
                            condition.name(),
                            condition.region(),
                            known.getOrDefault(true, 0L).intValue(),
                            known.getOrDefault(false, 0L).intValue());
                })
                .filter(each -> each.present() + each.absent() > 0)
                .sorted(Comparator.comparingInt((AnsweredJson each) -> each.present() + each.absent())
                        .reversed())
                .toList();
    }

    /**
     * @param id of a condition of the library, or {@link NotFound}
     * @param setting where the patients were seen; empty for all
     * @param mine whether only what the person at work has signed counts
     */
    AccuracyJson of(String id, Optional<CareSetting> setting, boolean mine) {
        ConditionId condition = catalogue.conditions().keySet().stream()
                .filter(each -> each.value().equals(id))
                .findFirst()
                .orElseThrow(() -> new NotFound("There is no condition '" + id + "'."));
        String me = CurrentUser.isHere();
        Map<UUID, Spoken> byVisit = complaints
                .where(visit -> (setting.isEmpty() || setting.get() == visit.setting())
                        && (!mine || visit.signedBy().equals(me)))
                .stream()
                .collect(Collectors.toMap(each -> each.visit().examination(), Function.identity()));
        Map<UUID, Boolean> spokeOf = new HashMap<>();
        Map<Judged, Count> counts = counts(condition, byVisit, spokeOf);
        List<TestAccuracyJson> tests = counts.entrySet().stream()
                .filter(each -> inUse(condition, each.getKey()))
                .map(each -> test(condition, each.getKey(), each.getValue()))
                .sorted(Comparator.comparingInt((TestAccuracyJson each) ->
                                each.truePositive() + each.falsePositive() + each.falseNegative() + each.trueNegative())
                        .reversed()
                        .thenComparing(TestAccuracyJson::name))
                .toList();
        return new AccuracyJson(
                condition.value(),
                outcomes.name(condition),
                spokeOf.size(),
                (int) spokeOf.values().stream().filter(known -> known).count(),
                tests);
    }

    /** @param spokeOf takes the examinations that spoke of the condition, and whether its result is known */
    private Map<Judged, Count> counts(ConditionId condition, Map<UUID, Spoken> byVisit, Map<UUID, Boolean> spokeOf) {
        Map<Judged, Count> counts = new LinkedHashMap<>();
        for (SignedVisits.Finding finding : signed.findings(condition)) {
            Spoken each = byVisit.get(finding.examination());
            if (each != null && catalogue.tests().containsKey(finding.judged().test())) {
                Optional<Boolean> present = each.truths().of(condition);
                spokeOf.put(finding.examination(), present.isPresent());
                counts.computeIfAbsent(finding.judged(), key -> new Count()).add(finding.positive(), present);
            }
        }
        return counts;
    }

    @Override
    public Map<StudyRecord.Criterion, StudyRecord.Counts> now() {
        Map<UUID, Spoken> byVisit = complaints.all().stream()
                .collect(Collectors.toMap(each -> each.visit().examination(), Function.identity()));
        Map<StudyRecord.Criterion, StudyRecord.Counts> own = new LinkedHashMap<>();
        for (ConditionId condition : catalogue.conditions().keySet()) {
            if (byVisit.values().stream()
                    .noneMatch(each -> each.truths().of(condition).isPresent())) {
                continue;
            }
            counts(condition, byVisit, new HashMap<>()).forEach((judged, count) -> {
                if (inUse(condition, judged)) {
                    count.verified()
                            .ifPresent(verified -> own.put(
                                    new StudyRecord.Criterion(
                                            condition.value(),
                                            judged.test().value(),
                                            judged.criterion().value()),
                                    verified.asFullyVerified()));
                }
            });
        }
        return own;
    }

    /** Answers of one test, by what turned out. */
    private static final class Count {
        private final int[][] known = new int[2][2];
        private final int[] open = new int[2];

        void add(boolean positive, Optional<Boolean> present) {
            int answer = positive ? 1 : 0;
            if (present.isEmpty()) {
                open[answer]++;
            } else {
                known[answer][present.get() ? 1 : 0]++;
            }
        }

        Optional<PartialVerification> verified() {
            return known[1][0] + known[1][1] == 0 || known[0][0] + known[0][1] == 0
                    ? Optional.empty()
                    : Optional.of(new PartialVerification(
                            known[1][1], known[1][0], known[0][1], known[0][0], open[1], open[0]));
        }
    }

    /** Of the criteria of a test the one that is weighed, or the usual one where none is. */
    private boolean inUse(ConditionId condition, Judged judged) {
        TestId test = judged.test();
        return catalogue
                .test(test)
                .readingFor(condition)
                .map(reading -> living.evidence()
                        .inUse(test, condition)
                        .map(each -> each.criterion())
                        .orElse(reading.by().get(0)))
                .filter(judged.criterion()::equals)
                .isPresent();
    }

    private TestAccuracyJson test(ConditionId condition, Judged judged, Count count) {
        TestId test = judged.test();
        Belief.Expected expected =
                (Belief.Expected) living.evidence().asPublished().expected(test, judged.criterion(), condition);
        ClinicAccuracy published = ClinicAccuracy.expected(expected.all(), expected.place());
        return new TestAccuracyJson(
                test.value(),
                catalogue.test(test).shortName(),
                names.of(judged),
                count.known[1][1],
                count.known[1][0],
                count.known[0][1],
                count.known[0][0],
                count.open[1],
                count.open[0],
                count.verified().map(own -> own(own, expected)).orElse(null),
                EstimateJson.of(published.sensitivity()),
                EstimateJson.of(published.specificity()),
                living.evidence().inUse(test, condition).isEmpty());
    }

    private static OwnJson own(PartialVerification verified, Belief.Expected expected) {
        ClinicAccuracy together = ClinicAccuracy.after(expected.all(), expected.place(), verified);
        return new OwnJson(
                EstimateJson.orNull(verified.sensitivity()),
                EstimateJson.orNull(verified.specificity()),
                orNull(verified.uncorrectedSensitivity()),
                orNull(verified.uncorrectedSpecificity()),
                EstimateJson.of(together.sensitivity()),
                EstimateJson.of(together.specificity()));
    }
}
