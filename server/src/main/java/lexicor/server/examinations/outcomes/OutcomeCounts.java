package lexicor.server.examinations.outcomes;

import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import lexicor.core.catalogue.CareSetting;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.evidence.Belief;
import lexicor.core.evidence.Estimate;
import lexicor.core.evidence.Evidence;
import lexicor.core.outcomes.Calibration;
import lexicor.core.outcomes.ClinicAccuracy;
import lexicor.core.outcomes.PartialVerification;
import lexicor.core.outcomes.Truths;
import lexicor.core.synthesis.StudyRecord;
import lexicor.server.audit.CurrentUser;
import lexicor.server.cases.CaseService;
import lexicor.server.examinations.outcomes.OutcomesJson.AccuracyJson;
import lexicor.server.examinations.outcomes.OutcomesJson.AnsweredJson;
import lexicor.server.examinations.outcomes.OutcomesJson.CalibrationJson;
import lexicor.server.examinations.outcomes.OutcomesJson.EstimateJson;
import lexicor.server.examinations.outcomes.OutcomesJson.HeldJson;
import lexicor.server.examinations.outcomes.OutcomesJson.OwnJson;
import lexicor.server.examinations.outcomes.OutcomesJson.TestAccuracyJson;
import lexicor.server.examinations.outcomes.OutcomesJson.WaitingJson;
import lexicor.server.examinations.outcomes.OutcomesJson.WaitsJson;
import lexicor.server.problems.NotFound;
import org.springframework.stereotype.Service;

/**
 * Counts what turned out beside what was found and said. One examination speaks for a complaint: of those signed, the
 * one of the last day on or before that of the first result, or of the last day where there is none; of a day the
 * first, which a second examiner's never is.
 */
@Service
class OutcomeCounts {

    private static final int MOST_WAITING = 200;

    private final SignedVisits signed;
    private final ResultStore store;
    private final Outcomes outcomes;
    private final CaseService cases;
    private final Catalogue catalogue;
    private final Evidence evidence;
    private final CriterionNames names;
    private final Clock clock;

    OutcomeCounts(
            SignedVisits signed,
            ResultStore store,
            Outcomes outcomes,
            CaseService cases,
            Catalogue catalogue,
            Evidence evidence,
            CriterionNames names,
            Clock clock) {
        this.signed = signed;
        this.store = store;
        this.outcomes = outcomes;
        this.cases = cases;
        this.catalogue = catalogue;
        this.evidence = evidence;
        this.names = names;
        this.clock = clock;
    }

    /** A complaint with the examination that speaks for it, and what turned out. */
    private record Spoken(SignedVisits.Visit visit, Truths truths) {}

    private List<Spoken> spoken() {
        return spoken(visit -> true);
    }

    /** @param speaks which of the examinations may */
    private List<Spoken> spoken(Predicate<SignedVisits.Visit> speaks) {
        signed.settle();
        Map<UUID, List<ResultStore.Kept>> results =
                store.standing().stream().collect(Collectors.groupingBy(ResultStore.Kept::complaint));
        Map<UUID, List<SignedVisits.Visit>> visits = signed.visits().stream()
                .filter(speaks)
                .collect(Collectors.groupingBy(SignedVisits.Visit::complaint, LinkedHashMap::new, Collectors.toList()));
        List<Spoken> spoken = new ArrayList<>();
        visits.forEach((complaint, each) -> {
            List<ResultStore.Kept> known = results.getOrDefault(complaint, List.of());
            Optional<LocalDate> first =
                    known.stream().map(result -> result.result().day()).min(Comparator.naturalOrder());
            each.stream()
                    .filter(visit -> first.isEmpty() || !visit.day().isAfter(first.get()))
                    .reduce((earlier, later) -> later.day().isAfter(earlier.day()) ? later : earlier)
                    .ifPresent(visit -> spoken.add(new Spoken(
                            visit,
                            outcomes.truths(
                                    known.stream().map(ResultStore.Kept::result).toList()))));
        });
        return spoken;
    }

    WaitingJson waiting() {
        List<Spoken> spoken = spoken();
        LocalDate today = LocalDate.ofInstant(clock.instant(), ZoneId.systemDefault());
        List<Spoken> waiting = spoken.stream().filter(OutcomeCounts::waits).toList();
        Map<UUID, CaseService.Complaint> complaints = cases.complaints(
                waiting.stream().map(each -> each.visit().complaint()).toList());
        List<WaitsJson> list = waiting.stream()
                .map(each -> waits(each.visit(), complaints.get(each.visit().complaint()), today))
                .sorted(Comparator.comparing((WaitsJson each) -> each.askedFor().isEmpty())
                        .thenComparing(each -> each.due() == null ? LocalDate.MAX : each.due())
                        .thenComparing(WaitsJson::visited))
                .limit(MOST_WAITING)
                .toList();
        return new WaitingJson(
                list,
                waiting.size(),
                (int) spoken.stream()
                        .filter(each -> catalogue.conditions().keySet().stream()
                                .anyMatch(
                                        condition -> each.truths().of(condition).isPresent()))
                        .count(),
                spoken.size());
    }

    /** Whether what was asked for has no answer yet; where nothing was, what was concluded. */
    private static boolean waits(Spoken each) {
        List<ConditionId> asked = each.visit().askedFor();
        return (asked.isEmpty() ? each.visit().working().stream() : asked.stream())
                .anyMatch(condition -> each.truths().of(condition).isEmpty());
    }

    private WaitsJson waits(SignedVisits.Visit visit, CaseService.Complaint complaint, LocalDate today) {
        return new WaitsJson(
                complaint.caseId(),
                visit.complaint(),
                complaint.code(),
                complaint.region(),
                complaint.side().name(),
                visit.day(),
                visit.working().map(outcomes::name).orElse(""),
                visit.askedFor().stream().map(outcomes::name).toList(),
                visit.again().orElse(null),
                visit.again().filter(day -> day.isBefore(today)).isPresent());
    }

    List<AnsweredJson> answered() {
        List<Spoken> spoken = spoken();
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
    AccuracyJson accuracy(String id, Optional<CareSetting> setting, boolean mine) {
        ConditionId condition = catalogue.conditions().keySet().stream()
                .filter(each -> each.value().equals(id))
                .findFirst()
                .orElseThrow(() -> new NotFound("There is no condition '" + id + "'."));
        String me = CurrentUser.isHere();
        Map<UUID, Spoken> byVisit = spoken(visit -> (setting.isEmpty() || setting.get() == visit.setting())
                        && (!mine || visit.signedBy().equals(me)))
                .stream()
                .collect(Collectors.toMap(each -> each.visit().examination(), Function.identity()));
        Map<StudyRecord.Criterion, Count> counts = new LinkedHashMap<>();
        Map<UUID, Boolean> spokeOf = new HashMap<>();
        for (SignedVisits.Finding finding : signed.findings(condition)) {
            Spoken each = byVisit.get(finding.examination());
            if (each != null && catalogue.tests().containsKey(finding.test())) {
                Optional<Boolean> present = each.truths().of(condition);
                spokeOf.put(finding.examination(), present.isPresent());
                counts.computeIfAbsent(
                                new StudyRecord.Criterion(
                                        condition.value(),
                                        finding.test().value(),
                                        finding.criterion().value()),
                                key -> new Count())
                        .add(finding.positive(), present);
            }
        }
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
    private boolean inUse(ConditionId condition, StudyRecord.Criterion criterion) {
        TestId test = TestId.of(criterion.test());
        return catalogue
                .test(test)
                .readingFor(condition)
                .map(reading -> evidence.inUse(test, condition)
                        .map(each -> each.criterion())
                        .orElse(reading.by().get(0)))
                .filter(CriterionId.of(criterion.criterion())::equals)
                .isPresent();
    }

    private TestAccuracyJson test(ConditionId condition, StudyRecord.Criterion criterion, Count count) {
        TestId test = TestId.of(criterion.test());
        Belief.Expected expected =
                (Belief.Expected) evidence.expected(test, CriterionId.of(criterion.criterion()), condition);
        ClinicAccuracy published = ClinicAccuracy.expected(expected.all(), expected.place());
        return new TestAccuracyJson(
                test.value(),
                catalogue.test(test).shortName(),
                names.of(test, CriterionId.of(criterion.criterion())),
                count.known[1][1],
                count.known[1][0],
                count.known[0][1],
                count.known[0][0],
                count.open[1],
                count.open[0],
                count.verified().map(own -> own(own, expected)).orElse(null),
                EstimateJson.of(published.sensitivity()),
                EstimateJson.of(published.specificity()),
                evidence.inUse(test, condition).isEmpty());
    }

    private static OwnJson own(PartialVerification verified, Belief.Expected expected) {
        ClinicAccuracy together = ClinicAccuracy.after(expected.all(), expected.place(), verified);
        return new OwnJson(
                json(verified.sensitivity()),
                json(verified.specificity()),
                orNull(verified.uncorrectedSensitivity()),
                orNull(verified.uncorrectedSpecificity()),
                EstimateJson.of(together.sensitivity()),
                EstimateJson.of(together.specificity()));
    }

    private static EstimateJson json(Estimate estimate) {
        return Double.isNaN(estimate.estimate()) ? null : EstimateJson.of(estimate);
    }

    private static Double orNull(double value) {
        return Double.isNaN(value) ? null : value;
    }

    /** Of everybody's weighings, and of the conclusions of the person at work. */
    CalibrationJson calibration() {
        Map<UUID, Spoken> byVisit =
                spoken().stream().collect(Collectors.toMap(each -> each.visit().examination(), Function.identity()));
        Map<UUID, Map<ConditionId, Double>> starts = new HashMap<>();
        List<Calibration.Claim> weighed = new ArrayList<>();
        for (SignedVisits.Claim claim : signed.claims()) {
            starts.computeIfAbsent(claim.examination(), id -> new HashMap<>()).put(claim.condition(), claim.start());
            Optional.ofNullable(byVisit.get(claim.examination()))
                    .flatMap(each -> each.truths().of(claim.condition()))
                    .ifPresent(present -> weighed.add(claim.turnedOut(present)));
        }
        String me = CurrentUser.isHere();
        List<Calibration.Claim> own = new ArrayList<>();
        for (Spoken each : spoken(visit -> visit.signedBy().equals(me))) {
            each.visit()
                    .working()
                    .flatMap(working ->
                            own(each, working, starts.getOrDefault(each.visit().examination(), Map.of())))
                    .ifPresent(own::add);
        }
        return new CalibrationJson(held(weighed), held(own), Calibration.NEEDED);
    }

    /** The sureness of a conclusion with what turned out; empty where either is missing. */
    private static Optional<Calibration.Claim> own(Spoken each, ConditionId working, Map<ConditionId, Double> starts) {
        OptionalDouble sure = each.visit().confidence();
        Double start = starts.get(working);
        return sure.isEmpty() || start == null
                ? Optional.empty()
                : each.truths().of(working).map(present -> new Calibration.Claim(start, sure.getAsDouble(), present));
    }

    private static HeldJson held(List<Calibration.Claim> claims) {
        if (claims.isEmpty()) {
            return null;
        }
        Calibration calibration = new Calibration(claims);
        return new HeldJson(
                calibration.claims(),
                calibration.present(),
                calibration.brier(),
                calibration.brierOfStart(),
                calibration.logLoss(),
                calibration.logLossOfStart(),
                calibration.groups().stream()
                        .map(group -> new OutcomesJson.GroupJson(
                                group.stated(), group.claims(), group.present(), EstimateJson.of(group.share())))
                        .toList(),
                calibration
                        .line()
                        .map(line -> new OutcomesJson.LineJson(
                                EstimateJson.of(line.intercept()), EstimateJson.of(line.slope())))
                        .orElse(null));
    }
}
