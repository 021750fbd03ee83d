package lexicor.server.examinations.weighing;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.PartDefinition;
import lexicor.core.catalogue.Schools;
import lexicor.core.catalogue.TestId;
import lexicor.core.conclusion.Conclusion;
import lexicor.core.conclusion.Markers;
import lexicor.core.examination.Part;
import lexicor.core.examination.Side;
import lexicor.core.intake.IntakeAnswers;
import lexicor.core.intake.IntakeForm;
import lexicor.core.tracking.Change;
import lexicor.core.tracking.MeasureWords;
import lexicor.core.tracking.NoiseTable;
import lexicor.core.tracking.PositiveBefore;
import lexicor.core.tracking.Retest;
import lexicor.server.examinations.assessment.Assessments;
import lexicor.server.examinations.assessment.VisitIntake;
import lexicor.server.examinations.record.ExaminationRecords;
import lexicor.server.examinations.record.PartJson;
import lexicor.server.examinations.record.Recorded;
import lexicor.server.settings.ClinicSettings;
import lexicor.server.words.Words;
import org.springframework.stereotype.Component;

/** Sets the measures of a visit beside those of the visit that it follows. */
@Component
public class Retests {

    /** What was seen, which has to be seen again. */
    private static final String SEEN = "quality";

    private final ExaminationRecords examinations;
    private final Assessments assessments;
    private final VisitIntake intake;
    private final Catalogue catalogue;
    private final IntakeForm form;
    private final NoiseTable noise;
    private final ClinicSettings settings;

    Retests(
            ExaminationRecords examinations,
            Assessments assessments,
            VisitIntake intake,
            Catalogue catalogue,
            IntakeForm form,
            NoiseTable noise,
            ClinicSettings settings) {
        this.examinations = examinations;
        this.assessments = assessments;
        this.intake = intake;
        this.catalogue = catalogue;
        this.form = form;
        this.noise = noise;
        this.settings = settings;
    }

    /** Empty where the examination follows no other. */
    public Optional<AgainJson> of(Recorded now) {
        return now.row().follows().map(examinations::examination).map(before -> between(before, now));
    }

    private AgainJson between(Recorded before, Recorded now) {
        NoiseTable table = settings.at(now.row().settingsRevision()).noise(noise);
        List<TestId> chosen = Conclusion.of(before.told()).markers();
        List<TestId> measured = Markers.suggested(before.history(), now.row().side()).stream()
                .filter(test -> now.history().last(test, now.row().side()).isPresent())
                .toList();
        List<AgainJson.RetestJson> tests = (chosen.isEmpty() ? measured : chosen)
                .stream()
                        .map(test -> {
                            Retest retest = Retest.of(
                                    catalogue.test(test), visit(before, test, now), visit(now, test, now), table);
                            return new AgainJson.RetestJson(
                                    test.value(),
                                    retest.test().shortName(),
                                    retest.done(),
                                    retest.changes().stream()
                                            .map(AgainJson.ChangeJson::of)
                                            .toList());
                        })
                        .toList();
        return new AgainJson(
                before.row().startedAt(),
                !chosen.isEmpty(),
                tests,
                positives(before, now),
                scales(before.told(), now.told(), now.row().region(), table),
                table.entries().equals(noise.entries()));
    }

    private List<AgainJson.PositiveJson> positives(Recorded before, Recorded now) {
        return PositiveBefore.of(
                        assessments.of(before).readings(), assessments.of(now).readings())
                .stream()
                .map(each -> {
                    Side side = now.row().side();
                    List<PartJson> involved = asBefore(before, each.test(), side);
                    return new AgainJson.PositiveJson(
                            each.test().value(),
                            catalogue.test(each.test()).shortName(),
                            each.phrase(),
                            each.now(),
                            involved,
                            involved.isEmpty() ? involved : asBefore(before, each.test(), side.other()));
                })
                .toList();
    }

    /** Answers of a side that can be recorded again as they were; none where a measure is among them. */
    private List<PartJson> asBefore(Recorded before, TestId test, Side side) {
        List<Part> parts = before.history().last(test, side).stream()
                .flatMap(attempt -> attempt.parts().stream())
                .filter(part -> !(part instanceof Part.Said) && !part.key().equals(SEEN))
                .toList();
        boolean known = parts.stream()
                .allMatch(part -> part instanceof Part.Chosen chosen
                        && catalogue.test(test).part(part.key()).stream()
                                .anyMatch(each -> each instanceof PartDefinition.Choice choice
                                        && choice.options().stream()
                                                .anyMatch(
                                                        option -> option.value().equals(chosen.choice()))));
        return known ? parts.stream().map(PartJson::of).toList() : List.of();
    }

    private List<AgainJson.ChangeJson> scales(
            IntakeAnswers before, IntakeAnswers now, String region, NoiseTable table) {
        List<AgainJson.ChangeJson> scales = new ArrayList<>();
        for (IntakeForm.Question question : form.questionsOf(region)) {
            if (question.scale().isPresent() && before.whole(question.id()).isPresent()) {
                scales.add(AgainJson.ChangeJson.of(Change.ofScale(
                        question.ask(),
                        "of " + question.scale().get().to(),
                        before.whole(question.id()).getAsInt(),
                        now.whole(question.id()),
                        table.of(question.id()))));
            }
        }
        return scales;
    }

    /** What the other visit has of a test, on the side that is in question now. */
    private Retest.Visit visit(Recorded recorded, TestId test, Recorded now) {
        return visit(recorded, test, now.row().side(), intake.schools(recorded.row(), intake.of(recorded)));
    }

    /** What a visit has of a test on a side; of several tries of a gauge that counts which the schools count. */
    public static Retest.Visit visit(Recorded recorded, TestId test, Side side, Schools schools) {
        return new Retest.Visit(recorded.history().last(test, side), TestStates.counts(schools));
    }

    /** The same in words, for a note; none where nothing was measured again. */
    public static List<String> lines(AgainJson again) {
        List<String> lines = new ArrayList<>();
        List<AgainJson.PositiveJson> followed = again.positives().stream()
                .filter(test -> test.now() != PositiveBefore.Now.OPEN)
                .toList();
        followed.forEach(test ->
                lines.add("- " + test.name() + ": positive then (" + test.phrase() + "), " + words(test.now())));
        again.scales().forEach(change -> lines.add("- " + change.label() + ": " + words(change)));
        for (AgainJson.RetestJson test : again.tests()) {
            test.changes()
                    .forEach(change -> lines.add(
                            "- " + test.name() + ", " + Words.inSentence(change.label()) + ": " + words(change)));
            boolean told = followed.stream().anyMatch(each -> each.testId().equals(test.testId()));
            if (test.changes().isEmpty() && !told) {
                lines.add("- " + test.name() + (test.done() ? ": nothing measured" : ": not done yet"));
            }
        }
        if (again.estimate() && !(again.scales().isEmpty() && again.tests().isEmpty())) {
            lines.add("- What counts as a change is judged by working estimates of measurement noise.");
        }
        return lines;
    }

    private static String words(PositiveBefore.Now now) {
        return switch (now) {
            case STILL_POSITIVE -> "still positive";
            case NEGATIVE -> "negative now";
            case NOT_INTERPRETABLE -> "not interpretable now";
            case OPEN -> "not done yet";
        };
    }

    /** A change in words: both measures, and what the difference is. */
    static String words(AgainJson.ChangeJson change) {
        String both = Stream.of(
                        measure(change.before(), change.unit(), " then"), measure(change.now(), change.unit(), " now"))
                .filter(each -> !each.isEmpty())
                .collect(Collectors.joining(", "));
        String verdict = switch (change.verdict()) {
            case BETTER -> "better";
            case WORSE -> "worse";
            case WITHIN_NOISE ->
                change.least() == null
                        ? "no change"
                        : "within noise, which is " + measure(change.least(), change.unit(), "");
            case NO_NOISE_KNOWN -> "no estimate of the noise";
            case NOT_COMPARABLE -> "";
        };
        return Stream.of(both, verdict, change.because())
                .filter(each -> !each.isEmpty())
                .collect(Collectors.joining(": "));
    }

    private static String measure(Double value, String unit, String when) {
        return value == null ? "" : MeasureWords.of(value, unit) + when;
    }
}
