package lexicor.server.examinations;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Cluster;
import lexicor.core.catalogue.TestId;
import lexicor.core.evidence.Evidence;
import lexicor.core.evidence.EvidenceInUse;
import lexicor.core.catalogue.Schools;
import lexicor.core.examination.History;
import lexicor.core.examination.OtherSide;
import lexicor.core.examination.Reading;
import lexicor.core.examination.ResponseReader;
import lexicor.core.examination.TestReading;
import lexicor.core.intake.IntakeState;
import lexicor.core.weighing.ClusterCount;
import lexicor.core.weighing.Interpreter;
import lexicor.core.weighing.Ranking;
import lexicor.core.weighing.Standing;
import lexicor.core.weighing.Visit;
import lexicor.core.weighing.Weighing;
import lexicor.server.cases.VisitState;
import org.springframework.stereotype.Component;

/** Asks the core where an examination stands. */
@Component
class Appraisal {

    private final Catalogue catalogue;
    private final Evidence evidence;
    private final Weighing weighing;
    private final Interpreter interpreter;
    private final VisitIntake intake;

    Appraisal(Catalogue catalogue, Evidence evidence, Weighing weighing, Interpreter interpreter, VisitIntake intake) {
        this.intake = intake;
        this.catalogue = catalogue;
        this.evidence = evidence;
        this.weighing = weighing;
        this.interpreter = interpreter;
    }

    /** How far an examination has got: tests read or left out, of those in the routine. */
    record Stage(VisitState state, int done, int total) {
    }

    Stage stage(ExaminationService.Recorded recorded) {
        IntakeState told = intake.of(recorded);
        List<TestReading> readings = readings(recorded.row(), recorded.history(), told);
        int done = (int) readings.stream().filter(reading -> reading.complete() || told.closed(reading.test())).count();
        boolean touched = readings.stream().anyMatch(TestReading::answered);
        VisitState state = switch (told.screen().state()) {
            case SUSPENDED -> VisitState.SUSPENDED;
            case NOT_YET_ASKED -> touched ? VisitState.TESTING : VisitState.BEGUN;
            case OPEN -> !touched ? VisitState.SCREENED : done == readings.size() ? VisitState.DONE : VisitState.TESTING;
        };
        return new Stage(touched && done == readings.size() && state == VisitState.TESTING ? VisitState.DONE : state, done, readings.size());
    }

    /** The readings of the region's tests in the order of the routine. */
    List<TestReading> readings(ExaminationRow row, History history, IntakeState told) {
        Schools schools = intake.schools(row, told);
        OtherSide other = row.otherSideInvolved() ? OtherSide.INVOLVED : OtherSide.WELL;
        return catalogue.routine(row.region()).order().stream().map(test -> new ResponseReader(catalogue.test(test), schools).read(history, row.side(), other)).toList();
    }

    Ranking ranking(ExaminationRow row, IntakeState told, List<TestReading> readings) {
        return weighing.weigh(intake.visit(row, told), readings, row.seed());
    }

    /** The whole of it for the page. */
    WeighingJson weigh(ExaminationService.Recorded recorded) {
        ExaminationRow row = recorded.row();
        IntakeState told = intake.of(recorded);
        Visit visit = intake.visit(row, told);
        List<TestReading> readings = readings(row, recorded.history(), told);
        Ranking ranking = weighing.weigh(visit, readings, row.seed());
        Optional<TestId> last = recorded.history().lastTest();
        Ranking previous = last.map(test -> weighing.withoutRanges()
                .weigh(visit, readings(row, recorded.history().without(test), told), row.seed())).orElse(ranking);
        List<WeighingJson.OutlookJson> outlooks = readings.stream().filter(reading -> !reading.answered())
                .map(reading -> WeighingJson.OutlookJson.of(weighing.outlook(ranking, visit, readings, reading.test()))).toList();
        return new WeighingJson(recorded.lastNumber(), last.map(TestId::value).orElse(null),
                readings.stream().map(reading -> state(reading, recorded.history(), row, told)).toList(),
                SafetyJson.of(told.screen()),
                ranking.standings().stream().map(standing -> WeighingJson.StandingJson.of(standing, previous.of(standing.condition().id()).now())).toList(),
                ranking.clusters().stream().map(this::cluster).toList(), outlooks);
    }

    /** The informed condition that stands highest; empty before any finding is weighed. */
    Optional<Standing> leader(ExaminationService.Recorded recorded) {
        IntakeState told = intake.of(recorded);
        return weighing.withoutRanges().weigh(intake.visit(recorded.row(), told), readings(recorded.row(), recorded.history(), told), recorded.row().seed())
                .standings().stream().filter(Standing::informed).findFirst();
    }

    private WeighingJson.TestState state(TestReading reading, History history, ExaminationRow row, IntakeState told) {
        return new WeighingJson.TestState(reading.test().value(), progress(reading, history, row),
                interpreter.say(row.region(), intake.schools(row, told), reading).stream().map(WeighingJson.StatementJson::of).toList(),
                LockJson.of(reading.test(), told), history.rivals(reading.test()).stream().map(WeighingJson.RivalEntryJson::of).toList());
    }

    private static WeighingJson.Progress progress(TestReading reading, History history, ExaminationRow row) {
        if (!reading.answered()) {
            return history.attempts(reading.test(), row.side().other()).isEmpty() ? WeighingJson.Progress.OPEN : WeighingJson.Progress.PARTLY;
        }
        if (history.attempts(reading.test(), row.side()).stream().allMatch(attempt -> attempt.choices("quality").contains("skipped"))) {
            return WeighingJson.Progress.LEFT_OUT;
        }
        if (reading.readings().stream().allMatch(each -> each.result() == Reading.Result.NOT_INTERPRETABLE)) {
            return WeighingJson.Progress.VOID;
        }
        return reading.complete() ? WeighingJson.Progress.READ : WeighingJson.Progress.PARTLY;
    }

    private WeighingJson.ClusterJson cluster(ClusterCount count) {
        List<WeighingJson.LevelJson> levels = new ArrayList<>();
        boolean byInventors = true;
        for (Cluster.Level level : count.cluster().levels()) {
            Optional<EvidenceInUse> inUse = evidence.inUse(level);
            if (inUse.isPresent()) {
                boolean positive = level.direction() == Cluster.Direction.POSITIVE;
                OptionalDouble published = positive ? inUse.get().record().lrPositive() : inUse.get().record().lrNegative();
                levels.add(new WeighingJson.LevelJson(level.name(), level.from(), level.to(), inUse.get().belief().likelihoodRatio(positive),
                        published.isPresent() ? published.getAsDouble() : null));
                byInventors &= inUse.get().record().originator();
            }
        }
        return WeighingJson.ClusterJson.of(count, levels, byInventors);
    }
}
