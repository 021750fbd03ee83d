package lexicor.server.examinations;

import io.swagger.v3.oas.annotations.media.Schema;
import java.time.Instant;
import java.util.List;
import lexicor.core.evidence.EvidenceInUse;
import lexicor.core.examination.History;
import lexicor.core.examination.Reading;
import lexicor.core.weighing.ClusterCount;
import lexicor.core.weighing.Lens;
import lexicor.core.weighing.LensResult;
import lexicor.core.weighing.Load;
import lexicor.core.weighing.NaturalFrequencies;
import lexicor.core.weighing.Outlook;
import lexicor.core.weighing.Standing;
import lexicor.core.weighing.Statement;
import lexicor.core.weighing.Unweighed;

/**
 * Where an examination stands. Chances are 0..1.
 *
 * @param knows     number of the last command that is included
 * @param lastTest  the test recorded last; absent before the first
 * @param safety    whether testing is open
 */
public record WeighingJson(long knows, @Schema(nullable = true) String lastTest, List<TestState> tests, SafetyJson safety, List<StandingJson> standings,
        List<ClusterJson> clusters, List<OutlookJson> outlooks) {

    /** How far a test has got. */
    public enum Progress { OPEN, PARTLY, READ, VOID, LEFT_OUT }

    /** A test and what its response means, in sentences. */
    public record TestState(String testId, Progress progress, List<StatementJson> statements, @Schema(nullable = true) LockJson lock,
            List<RivalEntryJson> rivals) {
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
     * Where a condition stands.
     *
     * @param previous where it stood without the test recorded last
     * @param above    name of the wider condition, where this narrower one stands higher than it; absent otherwise
     */
    public record StandingJson(String conditionId, String name, String shortName, String scope, boolean informed, double before, double previous,
            double now, double lower, double upper, Lens lens, double likelihoodRatio, List<LoadJson> loads, List<LoadJson> held,
            List<UnweighedJson> unweighed, List<LensJson> lenses, @Schema(nullable = true) String above) {

        static StandingJson of(Standing standing, double previous) {
            return new StandingJson(standing.condition().id().value(), standing.condition().name(), standing.condition().shortName(),
                    standing.condition().scope(), standing.informed(), standing.before(), previous, standing.now(), standing.range().lower(),
                    standing.range().upper(), standing.lens(), standing.likelihoodRatio(), standing.loads().stream().map(LoadJson::of).toList(),
                    standing.held().stream().map(LoadJson::of).toList(), standing.unweighed().stream().map(UnweighedJson::of).toList(),
                    standing.lenses().stream().map(LensJson::of).toList(), standing.above().map(wider -> wider.name()).orElse(null));
        }
    }

    /** A weight: above 0 decibans for, below against. {@code caution} is empty where there is none. */
    public record LoadJson(List<String> testIds, boolean positive, String phrase, double likelihoodRatio, double decibans, boolean worthless,
            String caution, PeopleJson people, SourceJson source) {
        static LoadJson of(Load load) {
            return new LoadJson(load.tests().stream().map(test -> test.value()).toList(), load.positive(), load.phrase(), load.likelihoodRatio(),
                    load.decibans(), load.worthless(), load.caution(), PeopleJson.of(load.frequencies()), SourceJson.of(load.evidence()));
        }
    }

    /** Of 1000 people, how many have it, and how many with and without it answer like this. */
    public record PeopleJson(int have, int haveAndAnswer, int haveNotAndAnswer) {
        static PeopleJson of(NaturalFrequencies people) {
            return new PeopleJson(people.have(), people.haveAndAnswer(), people.haveNotAndAnswer());
        }
    }

    /** Where a figure comes from, as published. Sizes are absent where they were not published. */
    public record SourceJson(String record, String citation, String population, String referenceStandard, String reviewState, String transcription,
            boolean byInventors, @Schema(nullable = true) Double sensitivity, @Schema(nullable = true) Double specificity,
            @Schema(nullable = true) Integer with, @Schema(nullable = true) Integer without, String note) {
        static SourceJson of(EvidenceInUse use) {
            var record = use.record();
            return new SourceJson(record.id().value(), record.citation(), record.population(), record.referenceStandard(), record.reviewState(),
                    record.transcription(), record.originator(), record.sensitivity().isPresent() ? record.sensitivity().getAsDouble() : null,
                    record.specificity().isPresent() ? record.specificity().getAsDouble() : null,
                    record.with().isPresent() ? record.with().getAsInt() : null, record.without().isPresent() ? record.without().getAsInt() : null, record.note());
        }
    }

    /** A finding on the table. */
    public record UnweighedJson(String testId, Reading.Result result, String phrase, String because) {
        static UnweighedJson of(Unweighed finding) {
            return new UnweighedJson(finding.test().value(), finding.result(), finding.phrase(), finding.because());
        }
    }

    /** One way of adding up. */
    public record LensJson(Lens lens, double chance, double likelihoodRatio) {
        static LensJson of(LensResult result) {
            return new LensJson(result.lens(), result.chance(), result.likelihoodRatio());
        }
    }

    /**
     * How far a cluster has been counted.
     *
     * @param level       name of the level once it is known; absent before
     * @param byInventors whether only those who derived the rule have tested it
     */
    public record ClusterJson(String id, String name, String conditionId, int size, List<String> positives, List<String> negatives,
            List<String> voided, List<String> open, boolean decided, boolean outOfReach, @Schema(nullable = true) String level,
            List<LevelJson> levels, boolean byInventors) {
        static ClusterJson of(ClusterCount count, List<LevelJson> levels, boolean byInventors) {
            return new ClusterJson(count.cluster().id().value(), count.cluster().name(), count.cluster().condition().value(),
                    count.cluster().components().size(), ids(count.positives()), ids(count.negatives()), ids(count.voided()), ids(count.open()),
                    count.alreadyDecided(), count.outOfReach(), count.level().map(level -> level.name()).orElse(null), levels, byInventors);
        }

        private static List<String> ids(List<lexicor.core.catalogue.TestId> tests) {
            return tests.stream().map(test -> test.value()).toList();
        }
    }

    /** A level of a cluster. The published ratio is absent where none was published. */
    public record LevelJson(String name, int from, int to, double likelihoodRatio, @Schema(nullable = true) Double published) {
    }

    /** What an open test would change, the condition it would move most first. */
    public record OutlookJson(String testId, List<ChangeJson> changes) {
        static OutlookJson of(Outlook outlook) {
            return new OutlookJson(outlook.test().value(), outlook.changes().stream().map(change -> new ChangeJson(change.condition().id().value(),
                    change.condition().name(), change.now(), change.ifPositive(), change.ifNegative(), change.positiveDecides(),
                    change.negativeDecides())).toList());
        }
    }

    /** Where a condition would stand after either answer, and whether the answer would decide its cluster. */
    public record ChangeJson(String conditionId, String name, double now, double ifPositive, double ifNegative, boolean positiveDecides,
            boolean negativeDecides) {
    }
}
