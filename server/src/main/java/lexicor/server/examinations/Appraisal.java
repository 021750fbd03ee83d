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
import lexicor.core.examination.History;
import lexicor.core.examination.Reading;
import lexicor.core.examination.ResponseReader;
import lexicor.core.examination.TestReading;
import lexicor.core.weighing.ClusterCount;
import lexicor.core.weighing.Interpreter;
import lexicor.core.weighing.Ranking;
import lexicor.core.weighing.Weighing;
import org.springframework.stereotype.Component;

/** Asks the core where an examination stands. */
@Component
class Appraisal {

    private final Catalogue catalogue;
    private final Evidence evidence;
    private final Weighing weighing;
    private final Interpreter interpreter;

    Appraisal(Catalogue catalogue, Evidence evidence, Weighing weighing, Interpreter interpreter) {
        this.catalogue = catalogue;
        this.evidence = evidence;
        this.weighing = weighing;
        this.interpreter = interpreter;
    }

    /** The readings of the region's tests in the order of the routine. */
    List<TestReading> readings(ExaminationRow row, History history) {
        return catalogue.routine(row.region()).order().stream()
                .map(test -> new ResponseReader(catalogue.test(test), catalogue.usualSchools()).read(history, row.side())).toList();
    }

    Ranking ranking(ExaminationRow row, List<TestReading> readings) {
        return weighing.weigh(row.region(), row.setting(), readings, row.seed());
    }

    /** The whole of it for the page. */
    WeighingJson weigh(ExaminationService.Recorded recorded) {
        ExaminationRow row = recorded.row();
        List<TestReading> readings = readings(row, recorded.history());
        Ranking ranking = ranking(row, readings);
        Optional<TestId> last = recorded.history().lastTest();
        Ranking previous = last.map(test -> weighing.withoutRanges()
                .weigh(row.region(), row.setting(), readings(row, recorded.history().without(test)), row.seed())).orElse(ranking);
        List<WeighingJson.OutlookJson> outlooks = readings.stream().filter(reading -> !reading.answered())
                .map(reading -> WeighingJson.OutlookJson.of(weighing.outlook(ranking, row.region(), row.setting(), readings, reading.test()))).toList();
        return new WeighingJson(recorded.lastNumber(), last.map(TestId::value).orElse(null),
                readings.stream().map(reading -> state(reading, recorded.history(), row)).toList(),
                ranking.standings().stream().map(standing -> WeighingJson.StandingJson.of(standing, previous.of(standing.condition().id()).now())).toList(),
                ranking.clusters().stream().map(this::cluster).toList(), outlooks);
    }

    /** A line of the list. */
    ExaminationJson.Line line(ExaminationService.Recorded recorded) {
        ExaminationRow row = recorded.row();
        List<TestReading> readings = readings(row, recorded.history());
        Ranking ranking = weighing.withoutRanges().weigh(row.region(), row.setting(), readings, row.seed());
        var leader = ranking.standings().stream().filter(standing -> standing.informed()).findFirst();
        int done = (int) readings.stream().filter(TestReading::complete).count();
        var lastAt = recorded.commands().isEmpty() ? row.startedAt() : recorded.commands().get(recorded.commands().size() - 1).at();
        return new ExaminationJson.Line(row.getId(), row.caseFile().code(), row.age(), row.occupation(), row.region(), row.side(), row.setting(),
                row.startedAt(), lastAt, done, readings.size(), leader.map(standing -> standing.condition().name()).orElse(null),
                leader.map(standing -> standing.now()).orElse(null));
    }

    private WeighingJson.TestState state(TestReading reading, History history, ExaminationRow row) {
        return new WeighingJson.TestState(reading.test().value(), progress(reading, history, row),
                interpreter.say(row.region(), reading).stream().map(WeighingJson.StatementJson::of).toList());
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
