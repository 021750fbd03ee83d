package lexicor.server.examinations.assessment;

import io.swagger.v3.oas.annotations.media.Schema;
import java.util.ArrayList;
import java.util.List;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.Pattern;
import lexicor.core.catalogue.Thresholds;
import lexicor.core.dependence.Correlation;
import lexicor.core.evidence.AccuracyRecord;
import lexicor.core.examination.Reading;
import lexicor.core.findings.Unweighed;
import lexicor.core.findings.WeighedGroup;
import lexicor.core.findings.WeightedFinding;
import lexicor.core.posttest.NaturalFrequencies;
import lexicor.core.weighing.Lens;
import lexicor.core.weighing.LensResult;
import lexicor.core.weighing.PatternReading;
import lexicor.core.weighing.Standing;
import lexicor.core.weighing.Tally;

/**
 * Where a condition stands. Chances are 0..1, weights in decibans: above 0 for, below against. In the answer to a tap
 * ({@link #brief}) some of it is left out, and stands in the closer look alone.
 *
 * @param within the nearest wider condition that is ranked; absent where none is
 * @param previous where it stood without the test recorded last
 * @param leads share of plausible readings of the evidence in which it ranks first; never its chance
 * @param byWay what findings about other conditions have moved here
 * @param link what findings share with each other, or take from each other
 * @param lensesDisagree whether the ways of adding up leave it on different sides of a threshold
 * @param serious why it must not be missed; empty where it is not of that kind
 * @param refer how soon it is to be imaged or referred, to consider; absent where nothing that was found or told calls
 *     for it
 */
public record StandingJson(
        String conditionId,
        String name,
        String shortName,
        String scope,
        @Schema(nullable = true) String within,
        Shelf shelf,
        boolean informed,
        double before,
        double previous,
        double now,
        double lower,
        double upper,
        double leads,
        Thresholds.Zone zone,
        Lens lens,
        double likelihoodRatio,
        List<GroupJson> groups,
        List<LoadJson> loads,
        List<ByWayJson> byWay,
        double link,
        List<LoadJson> held,
        List<UnweighedJson> unweighed,
        List<LensJson> lenses,
        boolean lensesDisagree,
        TallyJson tally,
        String serious,
        @Schema(nullable = true) String refer,
        PatternJson pattern) {

    /** Where in the list a condition stands. */
    public enum Shelf {
        WEIGHED,
        WAITING,
        UNMEASURED,
        UNLIKELY
    }

    private static String within(Condition condition, Assessment here, Catalogue catalogue) {
        return catalogue.widerThan(condition.id()).stream()
                .filter(here.visit().starts()::containsKey)
                .findFirst()
                .map(ConditionId::value)
                .orElse(null);
    }

    /**
     * A standing as it is shown.
     *
     * @param byLens the same findings by every way of adding up that gives a chance
     * @param previous the chance before the last answer, 0..1
     */
    public static StandingJson of(
            Standing standing, List<LensResult> byLens, double previous, Assessment here, Catalogue catalogue) {
        Thresholds thresholds = here.thresholds();
        List<GroupJson> groups = new ArrayList<>();
        List<LoadJson> loads = new ArrayList<>();
        for (WeighedGroup group : standing.sum().groups()) {
            String id = group.correlation().map(known -> known.group().id()).orElse(null);
            if (id != null) {
                groups.add(GroupJson.of(group));
            }
            group.members().forEach(member -> loads.add(LoadJson.of(member.load(), member.decibans(), id)));
        }
        var condition = standing.condition();
        List<LensJson> lenses = byLens.stream()
                .map(result -> LensJson.of(result, thresholds.zone(result.chance())))
                .toList();
        return new StandingJson(
                condition.id().value(),
                condition.name(),
                condition.shortName(),
                condition.scope(),
                within(condition, here, catalogue),
                shelf(standing),
                standing.informed(),
                standing.before(),
                previous,
                standing.now(),
                standing.range().lower(),
                standing.range().upper(),
                standing.leads(),
                here.referred(condition.id()).isPresent() ? Thresholds.Zone.REFER : standing.zone(thresholds),
                standing.lens(),
                standing.likelihoodRatio(),
                groups,
                loads,
                standing.sum().byWay().stream().map(ByWayJson::of).toList(),
                standing.sum().link(),
                standing.held().stream()
                        .map(load -> LoadJson.of(load, load.decibans(), null))
                        .toList(),
                standing.unweighed().stream().map(UnweighedJson::of).toList(),
                lenses,
                lenses.stream().map(LensJson::zone).distinct().count() > 1,
                TallyJson.of(standing.tally()),
                condition.serious().orElse(""),
                here.referred(condition.id()).map(referral -> referral.soon()).orElse(null),
                PatternJson.of(standing.pattern(), catalogue));
    }

    /**
     * Without what only a closer look at the condition shows: where each weight comes from and what it means in people,
     * what findings about others have moved, why findings are not weighed, and the other ways of adding up, with
     * whether they disagree. It is sent at every tap.
     */
    public StandingJson brief() {
        return new StandingJson(
                conditionId,
                name,
                shortName,
                scope,
                within,
                shelf,
                informed,
                before,
                previous,
                now,
                lower,
                upper,
                leads,
                zone,
                lens,
                likelihoodRatio,
                groups,
                loads.stream().map(LoadJson::brief).toList(),
                List.of(),
                link,
                held.stream().map(LoadJson::brief).toList(),
                unweighed.stream().map(UnweighedJson::brief).toList(),
                List.of(),
                false,
                tally,
                serious,
                refer,
                pattern);
    }

    private static Shelf shelf(Standing standing) {
        if (standing.pattern().unlikely()) {
            return Shelf.UNLIKELY;
        }
        return !standing.measured() ? Shelf.UNMEASURED : standing.informed() ? Shelf.WEIGHED : Shelf.WAITING;
    }

    /**
     * Findings that share a factor.
     *
     * @param decibans what they add beside all the others
     * @param apart what they would add if each were news
     */
    @Schema(name = "SharedGroupJson")
    public record GroupJson(
            String id, String name, double rho, Correlation.Origin origin, double decibans, double apart) {
        public static GroupJson of(WeighedGroup group) {
            var correlation = group.correlation().orElseThrow();
            return new GroupJson(
                    correlation.group().id(),
                    correlation.group().name(),
                    correlation.present(),
                    correlation.origin(),
                    group.decibans(),
                    group.apart());
        }
    }

    /**
     * A weight.
     *
     * @param likelihoodRatio of the finding alone
     * @param decibans of the finding alone
     * @param part what it adds here, in decibans, after what it shares with others
     * @param group id of its group; absent where it stands by itself
     * @param estimate whether it is the clinic's own estimate
     * @param borrowed whether nobody has measured it, so that it weighs like an average test
     * @param people absent where only a ratio is known
     * @param source absent where it is the clinic's own estimate
     */
    public record LoadJson(
            List<String> testIds,
            boolean positive,
            String phrase,
            double likelihoodRatio,
            double decibans,
            double part,
            @Schema(nullable = true) String group,
            boolean worthless,
            boolean estimate,
            boolean borrowed,
            String caution,
            @Schema(nullable = true) PeopleJson people,
            @Schema(nullable = true) SourceJson source) {
        public static LoadJson of(WeightedFinding load, double part, String group) {
            return new LoadJson(
                    load.tests().stream().map(test -> test.value()).toList(),
                    load.positive(),
                    load.phrase(),
                    load.likelihoodRatio(),
                    load.decibans(),
                    part,
                    group,
                    load.worthless(),
                    load.estimate(),
                    load.borrowed(),
                    load.caution(),
                    load.frequencies().map(PeopleJson::of).orElse(null),
                    load.record().map(SourceJson::of).orElse(null));
        }

        LoadJson brief() {
            return new LoadJson(
                    testIds,
                    positive,
                    phrase,
                    likelihoodRatio,
                    decibans,
                    part,
                    group,
                    worthless,
                    estimate,
                    borrowed,
                    caution,
                    null,
                    null);
        }
    }

    /** What a finding about another condition has moved, in decibans. */
    public record ByWayJson(List<String> testIds, String phrase, double decibans) {
        public static ByWayJson of(WeighedGroup.Member member) {
            return new ByWayJson(
                    member.load().tests().stream().map(test -> test.value()).toList(),
                    member.load().phrase(),
                    member.decibans());
        }
    }

    /** Of 1000 people, how many have it, and how many with and without it answer like this. */
    public record PeopleJson(int have, int haveAndAnswer, int haveNotAndAnswer) {
        public static PeopleJson of(NaturalFrequencies people) {
            return new PeopleJson(people.have(), people.haveAndAnswer(), people.haveNotAndAnswer());
        }
    }

    /** Where a figure comes from, as published. Sizes are absent where they were not published. */
    public record SourceJson(
            String record,
            String citation,
            String population,
            String referenceStandard,
            String reviewState,
            String transcription,
            boolean byInventors,
            @Schema(nullable = true) Double sensitivity,
            @Schema(nullable = true) Double specificity,
            @Schema(nullable = true) Integer with,
            @Schema(nullable = true) Integer without,
            String note) {
        public static SourceJson of(AccuracyRecord record) {
            return new SourceJson(
                    record.id().value(),
                    record.citation(),
                    record.population(),
                    record.referenceStandard(),
                    record.reviewState(),
                    record.transcription(),
                    record.originator(),
                    record.sensitivity().isPresent() ? record.sensitivity().getAsDouble() : null,
                    record.specificity().isPresent() ? record.specificity().getAsDouble() : null,
                    record.with().isPresent() ? record.with().getAsInt() : null,
                    record.without().isPresent() ? record.without().getAsInt() : null,
                    record.note());
        }
    }

    /** A finding on the table. */
    public record UnweighedJson(String testId, Reading.Result result, String phrase, String because) {
        public static UnweighedJson of(Unweighed finding) {
            return new UnweighedJson(finding.test().value(), finding.result(), finding.phrase(), finding.because());
        }

        UnweighedJson brief() {
            return new UnweighedJson(testId, result, "", "");
        }
    }

    /** One way of adding up, and what it added. */
    public record LensJson(Lens lens, double chance, double likelihoodRatio, Thresholds.Zone zone, String by) {
        public static LensJson of(LensResult result, Thresholds.Zone zone) {
            return new LensJson(result.lens(), result.chance(), result.likelihoodRatio(), zone, result.by());
        }
    }

    /** Positives counted; {@code needed} is about half of the battery. */
    public record TallyJson(int positives, int counted, int battery, int needed, Tally.Verdict verdict) {
        public static TallyJson of(Tally tally) {
            return new TallyJson(tally.positives(), tally.counted(), tally.battery(), tally.needed(), tally.verdict());
        }
    }

    /** How far the findings look like what is expected: never a chance. */
    public record PatternJson(
            List<ExpectedJson> present,
            List<ExpectedJson> missing,
            List<ExpectedJson> against,
            List<ExpectedJson> notExamined,
            List<ExpectedJson> defining) {
        public static PatternJson of(PatternReading pattern, Catalogue catalogue) {
            return new PatternJson(
                    those(pattern.present(), catalogue),
                    those(pattern.missing(), catalogue),
                    those(pattern.against(), catalogue),
                    those(pattern.notExamined(), catalogue),
                    those(pattern.defining(), catalogue));
        }

        private static List<ExpectedJson> those(List<Pattern.Expected> expected, Catalogue catalogue) {
            return expected.stream()
                    .map(each -> new ExpectedJson(
                            each.test().value(), catalogue.test(each.test()).shortName(), each.says()))
                    .toList();
        }
    }

    /** A finding of a pattern, with the short name of the test that shows it. */
    @Schema(name = "ExpectedFindingJson")
    public record ExpectedJson(String testId, String test, String says) {}
}
