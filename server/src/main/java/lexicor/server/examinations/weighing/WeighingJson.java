package lexicor.server.examinations.weighing;

import static lexicor.server.json.OrNull.orNull;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import lexicor.core.catalogue.Cluster;
import lexicor.core.evidence.ClusterLevels;
import lexicor.core.examination.ForceTries;
import lexicor.core.examination.History;
import lexicor.core.findings.ClusterCount;
import lexicor.core.weighing.Ranking;
import lexicor.core.weighing.Statement;
import lexicor.server.examinations.assessment.AheadJson;
import lexicor.server.examinations.assessment.LockJson;
import lexicor.server.examinations.assessment.SafetyJson;
import lexicor.server.examinations.assessment.StandingJson;
import lexicor.server.examinations.record.AttemptJson;

/**
 * Where an examination stands. Chances are 0..1.
 *
 * @param knows number of the last command that is included
 * @param lastTest the test recorded last; absent before the first
 * @param safety whether testing is open
 * @param ahead what open tests could tell, the best for its time first: those of the order and the best beyond it
 * @param pathways how far this patient has come on each pathway of the region
 * @param contest the two whose pictures fit best; absent where fewer than two have begun to fit
 * @param order the usual order of the tests for where it hurts
 * @param together widest conditions that findings have joined, in pairs, with the chance of both
 * @param worthGoingOn whether any open test that may be done promises enough to be worth doing
 */
public record WeighingJson(
        long knows,
        @Schema(nullable = true) String lastTest,
        List<TestState> tests,
        SafetyJson safety,
        List<StandingJson> standings,
        List<ClusterJson> clusters,
        List<AheadJson> ahead,
        List<PathwayStateJson> pathways,
        @Schema(nullable = true) ContestJson contest,
        List<String> order,
        List<TogetherJson> together,
        boolean worthGoingOn) {

    /** What the bench shows of it: every standing in brief. */
    public WeighingJson brief() {
        return new WeighingJson(
                knows,
                lastTest,
                tests,
                safety,
                standings.stream().map(StandingJson::brief).toList(),
                clusters,
                ahead,
                pathways,
                contest,
                order,
                together,
                worthGoingOn);
    }

    /** Two conditions and the chance that both are there, 0..1. */
    @Schema(name = "BothAtOnceJson")
    public record TogetherJson(String one, String other, double both) {
        static TogetherJson of(Ranking.Together pair) {
            return new TogetherJson(pair.one().value(), pair.other().value(), pair.both());
        }
    }

    /** How far a test has got. */
    public enum Progress {
        OPEN,
        PARTLY,
        READ,
        VOID,
        LEFT_OUT
    }

    /**
     * A test and what its response means, in sentences.
     *
     * @param waits why it is not offered yet; absent where it is
     * @param lock why it is closed, by what was told before or by an answer that stopped the hands; absent where it is
     *     open
     * @param variant how the school does it; absent where it is the usual way
     * @param force what the tries of a gauge come to; absent where there are none
     * @param movements keys of the ranges of a table that matter here; empty where all of them do
     */
    public record TestState(
            String testId,
            Progress progress,
            List<StatementJson> statements,
            @Schema(nullable = true) String waits,
            @Schema(nullable = true) LockJson lock,
            List<RivalEntryJson> rivals,
            @Schema(nullable = true) WayJson variant,
            @Schema(nullable = true) ForceJson force,
            List<String> movements) {}

    /** The school's way of doing a test. {@code positions} is empty where it is taken in all. */
    public record WayJson(
            String value,
            String label,
            String differs,
            @Schema(nullable = true) HeldJson hold,
            List<String> positions) {}

    /** Held for so many seconds. */
    public record HeldJson(int from, int to, boolean endsAtOnset) {}

    /** Tries of a gauge; {@code counts} says which counts, {@code percent} what the involved side is of the other. */
    public record ForceJson(
            ForceTries.Counts counts,
            @Schema(nullable = true) TriesJson involved,
            @Schema(nullable = true) TriesJson well,
            @Schema(nullable = true) Double percent) {}

    /** The tries of one side, in newtons; {@code variation} in percent, absent below two tries. */
    public record TriesJson(
            List<Double> values,
            double best,
            double mean,
            @Schema(nullable = true) Double variation) {
        static TriesJson of(ForceTries tries) {
            return new TriesJson(
                    tries.values(),
                    tries.best(),
                    tries.mean(),
                    tries.variation().isPresent() ? tries.variation().getAsDouble() : null);
        }
    }

    /** One of several entries that contradict each other. */
    public record RivalEntryJson(AttemptJson attempt, String author, Instant at) {
        static RivalEntryJson of(History.Entry entry) {
            return new RivalEntryJson(AttemptJson.of(entry.attempt()), entry.author(), entry.at());
        }
    }

    /** One sentence: {@code lead} says what of which conditions, {@code phrase} why. */
    public record StatementJson(Statement.Kind kind, String lead, String phrase) {
        static StatementJson of(Statement statement) {
            return new StatementJson(statement.kind(), statement.lead(), statement.phrase());
        }
    }

    /**
     * How far a cluster has been counted.
     *
     * @param level name of the level once it is known; absent before
     * @param barred why its figure may not be used in this visit; empty where it may
     * @param byInventors whether only those who derived the rule have tested it
     */
    public record ClusterJson(
            String id,
            String name,
            String conditionId,
            int size,
            List<String> positives,
            List<String> negatives,
            List<String> voided,
            List<String> open,
            boolean decided,
            boolean outOfReach,
            boolean begun,
            @Schema(nullable = true) String level,
            String barred,
            List<LevelJson> levels,
            boolean byInventors) {
        static ClusterJson of(ClusterCount count, List<LevelJson> levels, boolean byInventors) {
            return new ClusterJson(
                    count.cluster().id().value(),
                    count.cluster().name(),
                    count.cluster().condition().value(),
                    count.cluster().components().size(),
                    ids(count.positives()),
                    ids(count.negatives()),
                    ids(count.voided()),
                    ids(count.open()),
                    count.alreadyDecided(),
                    count.outOfReach(),
                    count.begun(),
                    count.level().map(level -> level.name()).orElse(null),
                    count.barred(),
                    levels,
                    byInventors);
        }

        private static List<String> ids(List<Cluster.Component> components) {
            return components.stream().map(Cluster.Component::key).toList();
        }
    }

    /**
     * A level of a cluster. {@code published} is absent where none was, {@code likelihoodRatio} where it is not used
     * for exactly this count.
     */
    @Schema(name = "CountLevelJson")
    public record LevelJson(
            String name,
            int from,
            int to,
            @Schema(nullable = true) Double likelihoodRatio,
            @Schema(nullable = true) Double published,
            String how) {
        static LevelJson of(ClusterLevels.Shown shown) {
            return new LevelJson(
                    shown.level().name(),
                    shown.level().from(),
                    shown.level().to(),
                    orNull(shown.exact()),
                    orNull(shown.published()),
                    shown.how());
        }
    }
}
