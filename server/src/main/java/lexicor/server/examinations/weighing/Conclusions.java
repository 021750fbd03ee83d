package lexicor.server.examinations.weighing;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Condition;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.Pattern;
import lexicor.core.catalogue.TestId;
import lexicor.core.catalogue.Thresholds;
import lexicor.core.conclusion.Candidates;
import lexicor.core.conclusion.Conclusion;
import lexicor.core.conclusion.Difference;
import lexicor.core.conclusion.Markers;
import lexicor.core.conclusion.SigningBlocker;
import lexicor.core.intake.IntakeState;
import lexicor.core.posttest.Percent;
import lexicor.core.weighing.Ranking;
import lexicor.core.weighing.Standing;
import lexicor.server.examinations.assessment.Assessment;
import lexicor.server.examinations.assessment.Assessments;
import lexicor.server.examinations.record.Recorded;
import lexicor.server.words.Typed;
import lexicor.server.words.Words;
import org.springframework.stereotype.Component;

/** Puts beside the therapist's conclusion what helps to make it, and writes it down. */
@Component
public class Conclusions {

    /** Conditions of the ranking whose settling step is offered before anything is concluded. */
    private static final int LEADING = 3;

    private final Catalogue catalogue;
    private final Assessments assessments;

    Conclusions(Catalogue catalogue, Assessments assessments) {
        this.catalogue = catalogue;
        this.assessments = assessments;
    }

    public ConclusionJson of(Recorded recorded) {
        Assessment here = assessments.of(recorded);
        IntakeState told = here.told();
        Ranking ranking = here.ranking();
        Conclusion conclusion = concluded(recorded);
        Thresholds thresholds = here.thresholds();
        return new ConclusionJson(
                recorded.lastNumber(),
                conclusion.sureness(),
                Difference.between(conclusion, ranking, thresholds, catalogue)
                        .map(first -> new ConclusionJson.DiffersJson(
                                first.condition().id().value(),
                                first.condition().name(),
                                first.now()))
                        .orElse(null),
                Candidates.inOrder(ranking, thresholds).stream()
                        .map(ConditionId::value)
                        .toList(),
                toSettle(conclusion, ranking).stream().map(this::toSettle).toList(),
                Markers.suggested(recorded.history(), recorded.row().side()).stream()
                        .map(test -> new ConclusionJson.MarkerJson(test.value(), name(test)))
                        .toList(),
                SigningBlocker.of(told, recorded.history(), conclusion, catalogue).stream()
                        .map(each ->
                                new ConclusionJson.HindranceJson(each.kind(), each.test(), each.what(), each.then()))
                        .toList());
    }

    /** What the note says of the conclusion; nothing where nothing was concluded. */
    public List<String> lines(Recorded recorded, Ranking ranking, Thresholds thresholds) {
        Conclusion conclusion = concluded(recorded);
        if (!conclusion.begun()) {
            return List.of();
        }
        List<String> lines = new ArrayList<>();
        String sure = conclusion.confidence().isEmpty()
                ? ""
                : ", " + conclusion.sureness() + " ("
                        + Percent.of(conclusion.confidence().getAsDouble()) + " in 100 by the therapist)";
        lines.add("- Working diagnosis: " + diagnosis(conclusion) + sure);
        if (!conclusion.rivals().isEmpty()) {
            lines.add("- It could also be: "
                    + conclusion.rivals().stream()
                            .map(rival -> catalogue.condition(rival).name())
                            .collect(Collectors.joining("; ")));
        }
        Difference.between(conclusion, ranking, thresholds, catalogue)
                .ifPresent(first -> lines.add("- The ranking puts "
                        + first.condition().name() + " first (" + Percent.of(first.now()) + " in 100)"
                        + (conclusion.why().isEmpty() ? "" : "; why otherwise: " + Typed.oneLine(conclusion.why()))));
        List<String> next = next(conclusion);
        if (!next.isEmpty()) {
            lines.add("- Next: " + String.join("; ", next));
        }
        if (!conclusion.advice().isEmpty()) {
            lines.add("- Advice: " + Typed.oneLine(conclusion.advice()));
        }
        if (!conclusion.markers().isEmpty() || conclusion.again().isPresent()) {
            lines.add("- Test again"
                    + conclusion.again().map(day -> " on " + Words.day(day)).orElse("")
                    + (conclusion.markers().isEmpty()
                            ? ""
                            : ": "
                                    + conclusion.markers().stream()
                                            .map(test -> Words.inSentence(name(test)))
                                            .collect(Collectors.joining(", "))));
        }
        return lines;
    }

    /** The steps that the therapist takes up, each with what it settles and how soon, then those in own words. */
    public List<String> next(Conclusion conclusion) {
        Stream<String> steps = conclusion.steps().stream()
                .flatMap(step -> settles(step).stream()
                        .map(settles -> settles.by() + " ("
                                + catalogue.condition(step).shortName() + ", " + settles.soon() + ")"));
        return Stream.concat(
                        steps, Stream.of(Typed.oneLine(conclusion.ownSteps())).filter(own -> !own.isEmpty()))
                .toList();
    }

    private String diagnosis(Conclusion conclusion) {
        String words = Typed.oneLine(conclusion.inWords());
        return conclusion
                .working()
                .map(working -> catalogue.condition(working).name() + (words.isEmpty() ? "" : ": " + words))
                .orElse(!words.isEmpty() ? words : conclusion.open() ? "still open" : "none named");
    }

    /** What stands in the way of signing; empty where nothing does. */
    public List<SigningBlocker> hindrances(Recorded recorded) {
        return SigningBlocker.of(assessments.of(recorded).told(), recorded.history(), concluded(recorded), catalogue);
    }

    /** What the record says of the conclusion so far. */
    public static Conclusion concluded(Recorded recorded) {
        return Conclusion.of(recorded.told());
    }

    /** The working diagnosis and its rivals; before there are any, those that lead, by figures or by their picture. */
    private Set<ConditionId> toSettle(Conclusion conclusion, Ranking ranking) {
        Set<ConditionId> conditions = new LinkedHashSet<>();
        conclusion.working().ifPresent(conditions::add);
        conditions.addAll(conclusion.rivals());
        if (conditions.isEmpty()) {
            Stream<Standing> fitting = ranking.standings().stream()
                    .filter(standing ->
                            standing.informed() || !standing.pattern().present().isEmpty());
            fitting.limit(LEADING)
                    .forEach(standing -> conditions.add(standing.condition().id()));
        }
        conditions.addAll(conclusion.steps());
        conditions.removeIf(condition -> settles(condition).isEmpty());
        return conditions;
    }

    private ConclusionJson.ToSettleJson toSettle(ConditionId id) {
        Condition condition = catalogue.condition(id);
        Pattern.Settles settles = settles(id).orElseThrow();
        return new ConclusionJson.ToSettleJson(id.value(), condition.shortName(), settles.by(), settles.soon());
    }

    private Optional<Pattern.Settles> settles(ConditionId condition) {
        return Optional.ofNullable(catalogue.patterns().get(condition)).flatMap(Pattern::settles);
    }

    private String name(TestId test) {
        return catalogue.test(test).shortName();
    }
}
