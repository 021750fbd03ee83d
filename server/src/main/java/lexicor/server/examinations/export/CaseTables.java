package lexicor.server.examinations.export;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.UUID;
import java.util.function.BiConsumer;
import java.util.stream.Stream;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.conclusion.Conclusion;
import lexicor.core.examination.Attempt;
import lexicor.core.examination.Part;
import lexicor.core.examination.Reading;
import lexicor.core.examination.TestReading;
import lexicor.core.intake.ContentWords;
import lexicor.core.weighing.Standing;
import lexicor.server.audit.CurrentUser;
import lexicor.server.cases.CaseService;
import lexicor.server.examinations.assessment.Assessments;
import lexicor.server.examinations.record.Blinding;
import lexicor.server.examinations.record.ExaminationRecords;
import lexicor.server.examinations.record.ExaminationRow;
import lexicor.server.examinations.record.People;
import lexicor.server.examinations.record.Recorded;
import lexicor.server.page.CsvText;
import lexicor.server.words.Words;
import org.springframework.stereotype.Service;

/**
 * All visits of a case as tables. Every row begins with the case, the visit and by whom it was begun; what was
 * corrected or taken back is left out, and so is a visit that the person may not see yet.
 */
@Service
class CaseTables {

    private static final List<String> VISIT = List.of("case", "visit", "date", "region", "side", "setting", "examiner");

    private final CaseService cases;
    private final ExaminationRecords examinations;
    private final Assessments assessments;
    private final People people;
    private final Catalogue catalogue;
    private final ContentWords words;

    CaseTables(
            CaseService cases,
            ExaminationRecords examinations,
            Assessments assessments,
            People people,
            Catalogue catalogue,
            ContentWords words) {
        this.cases = cases;
        this.examinations = examinations;
        this.assessments = assessments;
        this.people = people;
        this.catalogue = catalogue;
        this.words = words;
    }

    /** A table with the name of its file. */
    record Table(String file, String text) {}

    /** One row for each answer of a list, and for each that was given in words. */
    Table findings(UUID caseId) {
        return table(caseId, "findings", this::answers, ofParts("answer", "answer_name", "words"));
    }

    /** One row for each measure. */
    Table measures(UUID caseId) {
        return table(caseId, "measures", this::measured, ofParts("value", "unit"));
    }

    /** Columns of a table of parts of responses, around those of its own. */
    private static String[] ofParts(String... own) {
        return Stream.of(
                        Stream.of("test", "test_name", "way", "tested_side", "try", "part", "part_name"),
                        Stream.of(own),
                        Stream.of("position", "repeat", "direction"))
                .flatMap(columns -> columns)
                .toArray(String[]::new);
    }

    /** One row for each condition for which an answered test is read, by each criterion. */
    Table readings(UUID caseId) {
        return table(
                caseId,
                "readings",
                this::read,
                "test",
                "test_name",
                "condition",
                "condition_name",
                "criterion",
                "result");
    }

    /** One row for each condition that is concluded, and for each that is ranked, with its chance. */
    Table conclusions(UUID caseId) {
        return table(
                caseId,
                "conclusions",
                this::concluded,
                "role",
                "condition",
                "condition_name",
                "chance",
                "lower",
                "upper",
                "start",
                "words",
                "signed");
    }

    private Table table(UUID caseId, String name, BiConsumer<Recorded, Rows> visit, String... columns) {
        String code = cases.file(caseId).code();
        List<String> header = new ArrayList<>(VISIT);
        header.addAll(Arrays.asList(columns));
        CsvText table = new CsvText(header.toArray(String[]::new));
        for (Recorded each : Blinding.seen(examinations.ofCase(caseId), CurrentUser.isHere())) {
            visit.accept(each, cells -> table.row(row(each.row(), cells)));
        }
        return new Table(code + "-" + name + ".csv", table.toString());
    }

    /** Takes the cells of a row that follow on those of the visit. */
    private interface Rows {

        void add(Object... cells);
    }

    private Object[] row(ExaminationRow visit, Object... cells) {
        List<Object> row = new ArrayList<>(List.of(
                visit.caseFile().code(),
                visit.getId(),
                visit.day(),
                visit.region(),
                Words.of(visit.side()),
                Words.of(visit.setting()),
                people.name(visit.author())));
        row.addAll(Arrays.asList(cells));
        return row.toArray();
    }

    private void answers(Recorded visit, Rows rows) {
        eachPart(visit, (attempt, part) -> {
            if (part instanceof Part.Chosen chosen) {
                String called = words.option(attempt.test(), part.key(), chosen.choice());
                add(rows, attempt, part, chosen.choice(), called, "");
            } else if (part instanceof Part.Said said) {
                add(rows, attempt, part, "", "", said.text());
            }
        });
    }

    private void measured(Recorded visit, Rows rows) {
        eachPart(visit, (attempt, part) -> {
            if (part instanceof Part.Measured measured) {
                add(rows, attempt, part, measured.value(), measured.unit());
            }
        });
    }

    private static void eachPart(Recorded visit, BiConsumer<Attempt, Part> add) {
        visit.history().attempts().forEach(attempt -> attempt.parts().forEach(part -> add.accept(attempt, part)));
    }

    private void add(Rows rows, Attempt attempt, Part part, Object... values) {
        List<Object> cells = new ArrayList<>(List.of(
                attempt.test().value(),
                catalogue.test(attempt.test()).name(),
                attempt.variant(),
                Words.of(attempt.side()),
                attempt.tryNumber(),
                part.key(),
                words.part(attempt.test(), part.key())));
        cells.addAll(Arrays.asList(values));
        cells.addAll(List.of(
                part.context().position(),
                part.context().repeat(),
                part.context().direction()));
        rows.add(cells.toArray());
    }

    private void read(Recorded visit, Rows rows) {
        for (TestReading test : assessments.of(visit).readings()) {
            for (Reading reading : test.answered() ? test.readings() : List.<Reading>of()) {
                rows.add(
                        test.test().value(),
                        catalogue.test(test.test()).name(),
                        reading.condition().value(),
                        catalogue.condition(reading.condition()).name(),
                        reading.criterion().value(),
                        Words.of(reading.result()));
            }
        }
    }

    private void concluded(Recorded visit, Rows rows) {
        Conclusion conclusion = Conclusion.of(visit.told());
        String signed = visit.versions().closed()
                ? visit.versions().last().map(last -> last.at().toString()).orElse("")
                : "";
        conclusion
                .working()
                .ifPresent(condition -> rows.add(
                        "working diagnosis",
                        condition.value(),
                        catalogue.condition(condition).name(),
                        conclusion.confidence().isPresent()
                                ? conclusion.confidence().getAsDouble()
                                : "",
                        "",
                        "",
                        "",
                        conclusion.inWords(),
                        signed));
        if (conclusion.working().isEmpty() && !conclusion.inWords().isEmpty()) {
            rows.add("working diagnosis", "", "", "", "", "", "", conclusion.inWords(), signed);
        }
        conclusion
                .rivals()
                .forEach(rival -> rows.add(
                        "rival", rival.value(), catalogue.condition(rival).name(), "", "", "", "", "", signed));
        for (Standing standing : assessments.of(visit).ranking().standings()) {
            rows.add(
                    "ranked",
                    standing.condition().id().value(),
                    standing.condition().name(),
                    standing.now(),
                    standing.range().lower(),
                    standing.range().upper(),
                    standing.before(),
                    "",
                    signed);
        }
    }
}
