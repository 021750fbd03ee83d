package lexicor.server.examinations.weighing;

import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.TestId;
import lexicor.core.evidence.ClusterLevels;
import lexicor.core.evidence.Evidence;
import lexicor.core.evidence.RecordId;
import lexicor.core.examination.History;
import lexicor.core.examination.TestReading;
import lexicor.core.findings.ClusterCount;
import lexicor.core.nexttest.ExpectedInformation;
import lexicor.core.nexttest.TestValue;
import lexicor.core.weighing.LeadingPair;
import lexicor.core.weighing.LensResult;
import lexicor.core.weighing.Ranking;
import lexicor.core.weighing.Weighing;
import lexicor.server.cases.VisitState;
import lexicor.server.examinations.assessment.AheadJson;
import lexicor.server.examinations.assessment.Assessment;
import lexicor.server.examinations.assessment.Assessments;
import lexicor.server.examinations.assessment.OpenTests;
import lexicor.server.examinations.assessment.SafetyJson;
import lexicor.server.examinations.assessment.StandingJson;
import lexicor.server.examinations.planning.PlanService;
import lexicor.server.examinations.record.ExaminationRecords;
import lexicor.server.examinations.record.ExaminationRow;
import lexicor.server.examinations.record.Recorded;
import org.springframework.stereotype.Component;

/** Asks the core where an examination stands. */
@Component
public class ExaminationAssessment {

    /** Tests beyond the order that are worth showing beside it. */
    private static final int BEYOND_SHOWN = 8;

    /** Provocation that is likely to hurt or frighten. */
    private static final int FRIGHTENS = 3;

    private final ExaminationRecords records;
    private final Catalogue catalogue;
    private final TestStates states;
    private final Assessments assessments;
    private final PathwayGuide pathways;
    private final Cache<Assessment, WeighingJson> weighed =
            Caffeine.newBuilder().weakKeys().build();

    ExaminationAssessment(
            ExaminationRecords records,
            Catalogue catalogue,
            TestStates states,
            Assessments assessments,
            PathwayGuide pathways) {
        this.records = records;
        this.pathways = pathways;
        this.assessments = assessments;
        this.catalogue = catalogue;
        this.states = states;
    }

    /** How far an examination has got: tests read or left out, of those in the routine. */
    public record Stage(VisitState state, int done, int total) {}

    public Stage stage(Recorded recorded) {
        Assessment here = assessments.of(recorded);
        OpenTests open = here.open();
        Set<TestId> planned = PlanService.planned(recorded);
        List<TestReading> counted = here.readings().stream()
                .filter(reading -> reading.answered()
                        || open.offered(reading.test()) && (planned.isEmpty() || planned.contains(reading.test())))
                .toList();
        int total = counted.size();
        int done = (int) counted.stream()
                .filter(reading -> reading.complete() || open.closed(reading.test()))
                .count();
        boolean touched = here.readings().stream().anyMatch(TestReading::answered);
        VisitState state = switch (here.told().screen().state()) {
            case SUSPENDED -> VisitState.SUSPENDED;
            case NOT_YET_ASKED -> touched ? VisitState.TESTING : VisitState.BEGUN;
            case OPEN -> !touched ? VisitState.SCREENED : done == total ? VisitState.DONE : VisitState.TESTING;
        };
        if (recorded.versions().closed()) {
            return new Stage(VisitState.SIGNED, done, total);
        }
        return new Stage(
                touched && done == total && state == VisitState.TESTING ? VisitState.DONE : state, done, total);
    }

    /**
     * What the page is told at every tap, standings in brief; worked out once for as long as nothing is added. The
     * other ways of adding up are not worked out for it.
     */
    public WeighingJson brief(Recorded recorded) {
        return weighed.get(
                assessments.of(recorded),
                here -> weigh(recorded, here, condition -> List.of()).brief());
    }

    /** The whole of it, to be kept with a signature. */
    public WeighingJson whole(Recorded recorded) {
        Assessment here = assessments.of(recorded);
        return weigh(recorded, here, here.ranking().byLens());
    }

    private WeighingJson weigh(Recorded recorded, Assessment here, Function<ConditionId, List<LensResult>> byLens) {
        ExaminationRow row = recorded.row();
        Ranking ranking = here.ranking();
        Optional<TestId> last = recorded.history().lastTest();
        Map<ConditionId, Double> previous = last.map(test -> here.figures()
                        .weighing()
                        .chances(
                                here.visit(),
                                assessments.without(recorded, test).readings()))
                .orElse(Map.of());
        OpenTests open = here.open();
        Set<TestId> doable = open.of(row.region(), here.readings());
        List<TestValue> ahead = ahead(recorded, doable, here);
        List<TestId> order = catalogue.routine(row.region()).order(here.told().zones());
        return new WeighingJson(
                recorded.lastNumber(),
                last.map(TestId::value).orElse(null),
                states(recorded, here),
                SafetyJson.of(here.told().screen()),
                ranking.standings().stream()
                        .map(standing -> StandingJson.of(
                                standing,
                                byLens.apply(standing.condition().id()),
                                previous.getOrDefault(standing.condition().id(), standing.now()),
                                here,
                                catalogue))
                        .toList(),
                ranking.clusters().stream()
                        .map(count -> cluster(count, here.figures().evidence()))
                        .toList(),
                shown(ahead, Set.copyOf(order)),
                pathways.states(recorded, here.told(), open, here.readings(), ahead, ranking, here.thresholds()),
                LeadingPair.of(ranking, catalogue, doable::contains)
                        .map(contest -> ContestJson.of(contest, catalogue))
                        .orElse(null),
                order.stream().map(TestId::value).toList(),
                ranking.together().stream().map(WeighingJson.TogetherJson::of).toList(),
                ahead.stream().anyMatch(TestValue::worthDoing));
    }

    /** Open tests that may be done now, the best for its time first; what is likely to hurt or frighten comes last. */
    private List<TestValue> ahead(Recorded recorded, Set<TestId> doable, Assessment here) {
        Optional<String> position =
                recorded.history().standsAt().map(test -> catalogue.test(test).position());
        return ExpectedInformation.of(here.figures().weighing(), here.visit(), here.readings())
                .values(doable, position)
                .stream()
                .sorted(Comparator.comparing(
                        value -> catalogue.test(value.test()).provocation() >= FRIGHTENS))
                .toList();
    }

    /**
     * The tests of the order and those done, then those beyond that are closed, wait for another, or are done in a
     * school's way.
     */
    private List<WeighingJson.TestState> states(Recorded recorded, Assessment here) {
        Set<TestId> known = here.readings().stream().map(TestReading::test).collect(Collectors.toSet());
        Optional<History> before =
                recorded.row().follows().map(records::examination).map(Recorded::history);
        Stream<WeighingJson.TestState> beyond = catalogue.tests().keySet().stream()
                .filter(test -> !known.contains(test))
                .map(test -> states.of(new TestReading(test, false, List.of()), recorded, here, before))
                .filter(state -> state.waits() != null || state.lock() != null || state.variant() != null);
        return Stream.concat(
                        here.readings().stream().map(reading -> states.of(reading, recorded, here, before)), beyond)
                .toList();
    }

    /** Those of the order, and the best beyond it. */
    private List<AheadJson> shown(List<TestValue> ahead, Set<TestId> order) {
        Set<TestId> best = ahead.stream()
                .filter(value -> !order.contains(value.test()) && value.worthDoing())
                .limit(BEYOND_SHOWN)
                .map(TestValue::test)
                .collect(Collectors.toSet());
        return ahead.stream()
                .filter(value -> order.contains(value.test()) || best.contains(value.test()))
                .map(value ->
                        AheadJson.of(value, catalogue.test(value.test()).shortName(), order.contains(value.test())))
                .toList();
    }

    /** The informed condition that stands highest; empty before any finding is weighed. */
    public Optional<Weighing.Leader> leader(Recorded recorded) {
        Assessment here = assessments.of(recorded);
        return here.figures().weighing().leader(here.visit(), here.readings());
    }

    private static WeighingJson.ClusterJson cluster(ClusterCount count, Evidence evidence) {
        List<WeighingJson.LevelJson> levels = ClusterLevels.of(count.cluster(), evidence).stream()
                .map(WeighingJson.LevelJson::of)
                .toList();
        boolean byInventors = count.cluster().levels().stream()
                .filter(level -> !level.record().isEmpty())
                .allMatch(level -> evidence.record(RecordId.of(level.record())).originator());
        return WeighingJson.ClusterJson.of(count, levels, byInventors);
    }
}
