package lexicor.server.examinations.weighing;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.Thresholds;
import lexicor.core.examination.TestReading;
import lexicor.core.intake.IntakeAnswers;
import lexicor.core.intake.IntakeState;
import lexicor.core.nexttest.SecondOpinion;
import lexicor.core.nexttest.TestValue;
import lexicor.core.pathway.Pathway;
import lexicor.core.pathway.PathwayWalk;
import lexicor.core.pathway.Pathways;
import lexicor.core.pathway.Step;
import lexicor.core.weighing.Ranking;
import lexicor.core.weighing.Standing;
import lexicor.server.examinations.assessment.OpenTests;
import lexicor.server.examinations.record.Recorded;
import lexicor.server.words.Words;
import org.springframework.stereotype.Component;

/** Says how far a patient has come on each pathway, and what the weighing makes of it. */
@Component
public class PathwayGuide {

    private final Pathways pathways;
    private final Catalogue catalogue;

    PathwayGuide(Pathways pathways, Catalogue catalogue) {
        this.pathways = pathways;
        this.catalogue = catalogue;
    }

    List<PathwayStateJson> states(
            Recorded recorded,
            IntakeState asked,
            OpenTests open,
            List<TestReading> readings,
            List<TestValue> ahead,
            Ranking ranking,
            Thresholds thresholds) {
        IntakeAnswers told = recorded.told();
        List<String> followed = told.values(Pathways.FOLLOWED);
        return pathways.of(recorded.row().region()).stream()
                .map(pathway -> {
                    PathwayWalk walk = walk(pathway, told, open, readings);
                    SecondOpinion opinion = SecondOpinion.on(walk.here(), ahead, ranking, thresholds);
                    return new PathwayStateJson(
                            pathway.id(),
                            pathway.starts(asked.zones(), asked.clues()),
                            followed.contains(pathway.id()),
                            walk.passed().stream()
                                    .map(passed -> new PathwayStateJson.PassedJson(
                                            passed.step().id(), passed.outcome(), passed.answer()))
                                    .toList(),
                            walk.here().id(),
                            opinion.kind(),
                            opinion.test().map(Object::toString).orElse(null),
                            words(opinion));
                })
                .toList();
    }

    /** What the note says of pathways on which a question was answered: the way gone and where it stands. */
    public List<String> lines(Recorded recorded, OpenTests open, List<TestReading> readings) {
        IntakeAnswers told = recorded.told();
        return pathways.of(recorded.row().region()).stream()
                .filter(pathway -> !answers(pathway, told).isEmpty())
                .map(pathway -> {
                    PathwayWalk walk = walk(pathway, told, open, readings);
                    String gone = walk.passed().stream().map(this::gone).collect(Collectors.joining("; "));
                    return "- " + pathway.name() + ": " + gone
                            + (walk.here() instanceof Step.End end
                                    ? "; ends: " + Words.inSentence(end.says())
                                    : "; not gone to its end");
                })
                .toList();
    }

    private static PathwayWalk walk(Pathway pathway, IntakeAnswers told, OpenTests open, List<TestReading> readings) {
        return PathwayWalk.of(
                pathway, answers(pathway, told), readings, test -> !open.closed(test) && open.offered(test));
    }

    private String gone(PathwayWalk.Passed passed) {
        String name = passed.step() instanceof Step.Examine examine
                ? Words.inSentence(catalogue.test(examine.test()).shortName())
                : "";
        return switch (passed.outcome()) {
            case ANSWERED -> Words.inSentence(passed.answer());
            case POSITIVE -> name + " positive";
            case NEGATIVE -> name + " negative";
            case UNCLEAR -> name + " not readable";
            case NOTED -> name + " noted";
            case CLOSED -> name + " closed";
        };
    }

    private static Map<String, String> answers(Pathway pathway, IntakeAnswers told) {
        Map<String, String> answers = new HashMap<>();
        for (Step step : pathway.steps()) {
            told.values(Pathways.ANSWER + ":" + Pathways.about(pathway, step)).stream()
                    .findFirst()
                    .ifPresent(value -> answers.put(step.id(), value));
        }
        return answers;
    }

    private String words(SecondOpinion opinion) {
        return switch (opinion.kind()) {
            case SAME -> "";
            case NO_FIGURES -> "Nobody has measured this test, so the weighing cannot rank it";
            case ANOTHER_TEST ->
                "The weighing would do "
                        + Words.inSentence(
                                catalogue.test(opinion.test().orElseThrow()).shortName()) + " next";
            case LITTLE_EXPECTED -> "The weighing expects next to nothing of it, nor of any other test";
            case ANOTHER_CONDITION -> {
                Standing standing = opinion.condition().orElseThrow();
                yield "The weighing puts "
                        + Words.inSentence(standing.condition().shortName()) + " first, "
                        + Math.round(100 * standing.now()) + " in 100";
            }
            case END_NOT_MEASURED -> "Nobody has measured it: only the pattern speaks for it";
        };
    }
}
