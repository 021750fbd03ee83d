package lexicor.server.examinations.paper;

import java.util.ArrayList;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.PartDefinition;
import lexicor.core.catalogue.Retired;
import lexicor.core.catalogue.Routine;
import lexicor.core.catalogue.Schools;
import lexicor.core.catalogue.TestId;
import lexicor.core.examination.Attempt;
import lexicor.core.examination.ForceTries;
import lexicor.core.examination.History;
import lexicor.core.examination.Part;
import lexicor.core.examination.Side;
import lexicor.core.examination.TestReading;
import lexicor.core.examination.WholeAnswer;
import lexicor.core.intake.ContentWords;
import lexicor.core.weighing.Statement;
import lexicor.server.examinations.assessment.Assessment;
import lexicor.server.examinations.assessment.OpenTests;
import lexicor.server.examinations.planning.PlanService;
import lexicor.server.examinations.record.Recorded;
import lexicor.server.examinations.weighing.TestStates;
import lexicor.server.examinations.weighing.WeighingJson;
import lexicor.server.words.Typed;
import lexicor.server.words.Words;
import org.springframework.stereotype.Component;

/**
 * Writes what the hands found: findings in full, sheets that were all normal in a line, what was not done at the end.
 */
@Component
public class FindingsNote {

    private final Catalogue catalogue;
    private final ContentWords words;

    FindingsNote(Catalogue catalogue, ContentWords words) {
        this.catalogue = catalogue;
        this.words = words;
    }

    /**
     * What was found.
     *
     * @param notDone tests that were not done, each with the reason where there is one
     */
    record Findings(List<Finding> findings, List<String> notDone) {}

    /**
     * One test, or a sheet of them that was normal throughout.
     *
     * @param involved response of the side in question; of a quiet sheet, what was looked at
     * @param other response of the other side; empty where there is none
     * @param says what it means, in sentences
     * @param quiet whether nothing at all was found
     */
    record Finding(String name, String involved, String other, List<String> says, boolean quiet) {}

    List<String> lines(Recorded recorded, Assessment here) {
        Findings found = findings(recorded, here);
        Side side = recorded.row().side();
        List<String> lines = new ArrayList<>();
        for (Finding finding : found.findings()) {
            lines.add(
                    finding.quiet()
                            ? "- " + finding.name() + ": nothing found (" + finding.involved() + ")"
                            : "- " + finding.name() + ", " + word(side) + ": " + finding.involved()
                                    + (finding.other().isEmpty()
                                            ? ""
                                            : "; " + word(side.other()) + ": " + finding.other()));
            finding.says().forEach(sentence -> lines.add("  " + sentence));
        }
        if (!found.notDone().isEmpty()) {
            lines.add("- Not done: " + String.join("; ", found.notDone()));
        }
        return lines;
    }

    Findings findings(Recorded recorded, Assessment here) {
        OpenTests open = here.open();
        List<Routine.Together> sheets = catalogue.routine(recorded.row().region()).steps().stream()
                .flatMap(step -> step.together().stream())
                .toList();
        List<Finding> found = new ArrayList<>();
        Set<TestId> written = new LinkedHashSet<>();
        Set<TestId> planned = PlanService.planned(recorded);
        List<String> notDone = new ArrayList<>();
        for (TestReading reading : here.readings()) {
            ExaminationTest test = catalogue.test(reading.test());
            Optional<Routine.Together> sheet = sheets.stream()
                    .filter(each -> each.tests().contains(test.id()) && quiet(test.id(), recorded))
                    .findFirst();
            if (sheet.isPresent()) {
                List<TestId> quiet = sheet.get().tests().stream()
                        .filter(each -> quiet(each, recorded))
                        .toList();
                if (written.addAll(quiet)) {
                    found.add(new Finding(
                            sheet.get().name()
                                    + (quiet.size() == sheet.get().tests().size() ? "" : ", elsewhere"),
                            quiet.stream()
                                    .map(id ->
                                            Words.inSentence(catalogue.test(id).shortName()))
                                    .collect(Collectors.joining(", ")),
                            "",
                            List.of(),
                            true));
                }
            } else if (recorded.history()
                    .attempts(test.id(), recorded.row().side())
                    .isEmpty()) {
                boolean wanted = planned.contains(test.id());
                if (open.closed(test.id()) && (wanted || planned.isEmpty())) {
                    notDone.add(Words.inSentence(test.shortName()) + " ("
                            + Words.inSentence(open.whyClosed(test.id()).get(0)) + ")");
                } else if (wanted && open.offered(test.id())) {
                    notDone.add(Words.inSentence(test.shortName()));
                }
            } else {
                found.add(finding(test, reading, recorded, here));
            }
        }
        return new Findings(found, notDone);
    }

    /** Whether both sides were answered with "nothing" and no more. */
    private boolean quiet(TestId id, Recorded recorded) {
        Set<Part> nothing = Set.copyOf(WholeAnswer.nothing(catalogue.test(id)).parts());
        List<Attempt> involved = recorded.history().attempts(id, recorded.row().side());
        return !involved.isEmpty()
                && !nothing.isEmpty()
                && involved.stream()
                        .allMatch(attempt -> Set.copyOf(attempt.parts()).equals(nothing))
                && recorded.history().attempts(id, recorded.row().side().other()).stream()
                        .allMatch(attempt -> nothing.containsAll(attempt.parts()));
    }

    private Finding finding(ExaminationTest test, TestReading reading, Recorded recorded, Assessment here) {
        Schools schools = here.schools();
        History history = recorded.history();
        Side side = recorded.row().side();
        List<String> says = new ArrayList<>();
        WeighingJson.ForceJson force = TestStates.force(test, history, side, schools);
        if (force != null && force.percent() != null) {
            says.add("Force " + Math.round(force.percent()) + "% of the " + word(side.other()) + " side, by the "
                    + (force.counts() == ForceTries.Counts.BEST ? "best" : "mean") + " of the tries.");
        }
        here.figures().interpreter().say(recorded.row().region(), schools, reading, here.ranking()).stream()
                .map(Statement::text)
                .forEach(says::add);
        return new Finding(
                test.name()
                        + test.names().usual().map(usual -> " (" + usual + ")").orElse("")
                        + history.last(test.id(), side)
                                .flatMap(attempt -> test.wayInWords(attempt.variant()))
                                .map(way -> ", done " + Words.inSentence(way))
                                .orElse(""),
                history.attempts(test.id(), side).stream()
                        .map(attempt -> response(test, attempt))
                        .collect(Collectors.joining("; repeated: ")),
                history.last(test.id(), side.other())
                        .map(attempt -> response(test, attempt))
                        .orElse(""),
                says,
                false);
    }

    /** What one go at a test came to, as a colleague writes it. */
    public String response(ExaminationTest test, Attempt attempt) {
        List<String> said = new ArrayList<>();
        for (PartDefinition definition : test.parts()) {
            List<String> given = attempt.parts().stream()
                    .filter(part -> part.key().equals(definition.key()))
                    .map(part -> word(definition, part))
                    .distinct()
                    .toList();
            boolean everywhere = given.size() == 1
                    && !definition.taken().positions().isEmpty()
                    && attempt.parts().stream()
                                    .filter(part -> part.key().equals(definition.key()))
                                    .count()
                            == definition.taken().positions().size();
            attempt.parts().stream()
                    .filter(part -> part.key().equals(definition.key()))
                    .limit(everywhere ? 1 : Integer.MAX_VALUE)
                    .forEach(part -> said.add(context(part, everywhere) + word(definition, part)));
        }
        attempt.parts().stream()
                .filter(part ->
                        !(part instanceof Part.Said) && test.part(part.key()).isEmpty())
                .forEach(part -> said.add(gone(test.id(), part)));
        attempt.parts().stream()
                .filter(Part.Said.class::isInstance)
                .map(Part.Said.class::cast)
                .forEach(remark -> said.add(Typed.oneLine(remark.text())));
        return String.join(", ", said);
    }

    private static String measure(Part.Measured measured) {
        double value = measured.value();
        return (value == Math.rint(value) ? String.valueOf(Math.round(value)) : String.valueOf(value))
                + ("°%".contains(measured.unit()) ? "" : " ")
                + measured.unit();
    }

    /** A part that the test no longer records, by the words it had. */
    private String gone(TestId test, Part part) {
        String label = Words.inSentence(words.part(test, part.key()));
        return (part instanceof Part.Measured measured
                        ? label + " " + measure(measured)
                        : label + " " + Words.inSentence(words.option(test, part.key(), ((Part.Chosen) part).choice())))
                + Retired.MARK;
    }

    private static String context(Part part, boolean everywhere) {
        Part.Context context = part.context();
        String position = everywhere ? "" : context.position().replace('-', ' ');
        return (position.isEmpty() ? "" : position + ": ")
                + (context.direction().isEmpty() ? "" : "on the way back ");
    }

    private static String word(PartDefinition definition, Part part) {
        if (part instanceof Part.Measured measured) {
            return Words.inSentence(definition.label()) + " " + measure(measured);
        }
        if (part instanceof Part.Chosen chosen && definition instanceof PartDefinition.Measure byEye) {
            return Words.inSentence(definition.label()) + " "
                    + byEye.byEye().stream()
                            .filter(option -> option.value().equals(chosen.choice()))
                            .map(option -> Words.inSentence(option.label()))
                            .findFirst()
                            .orElse(chosen.choice());
        }
        if (part instanceof Part.Chosen chosen && definition instanceof PartDefinition.Choice choice) {
            String label = choice.option(chosen.choice())
                    .map(PartDefinition.Option::label)
                    .orElse(chosen.choice())
                    .toLowerCase(Locale.UK);
            return switch (definition.key()) {
                case "pain" -> chosen.choice().equals("none") ? "no pain" : label;
                case "strength" -> chosen.choice().equals("full") ? "full strength" : label;
                case "quality", "site", "press", "lift", "held", "lowering" -> label;
                case "tender" -> chosen.choice().equals("none") ? label : "tender, " + label.replace("tender, ", "");
                default -> said(Words.inSentence(definition.label()), label);
            };
        }
        return part instanceof Part.Said said ? Typed.oneLine(said.text()) : "";
    }

    /** A part and its answer as a colleague writes them: "no tingling", "tingling", "end point firm". */
    private static String said(String part, String answer) {
        if (answer.equals("none") || answer.equals("no")) {
            return "no " + part;
        }
        if (answer.equals("yes") || answer.contains(part)) {
            return answer.equals("yes") ? part : answer;
        }
        return part + " " + answer;
    }

    private static String word(Side side) {
        return side.name().toLowerCase(Locale.UK);
    }
}
