package lexicor.server.examinations.course;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;

/** A course as a table: one row for each measure, test and condition at each visit. */
final class CourseTable {

    private static final String[] HEADER = {
        "day", "date", "kind", "test", "what", "value", "at_least", "unit", "other_side", "not_compared_because"
    };

    private CourseTable() {}

    static String of(CourseJson course) {
        StringBuilder text = new StringBuilder();
        try (CSVPrinter rows = new CSVPrinter(
                text, CSVFormat.RFC4180.builder().setHeader(HEADER).get())) {
            for (CourseJson.MeasureJson measure : course.measures()) {
                for (CourseJson.PointJson point : measure.points()) {
                    row(
                            rows,
                            course.visits().get(point.visit()),
                            "measure",
                            measure.name(),
                            measure.label(),
                            point.value(),
                            point.atLeast() ? "yes" : "",
                            measure.unit(),
                            point.well(),
                            point.because());
                }
            }
            for (CourseJson.ResponseJson response : course.responses()) {
                for (int visit = 0; visit < response.results().size(); visit++) {
                    row(
                            rows,
                            course.visits().get(visit),
                            "test",
                            response.name(),
                            response.results()
                                    .get(visit)
                                    .name()
                                    .toLowerCase(Locale.ROOT)
                                    .replace('_', ' '));
                }
            }
            for (CourseJson.ConditionJson condition : course.conditions()) {
                for (CourseJson.StandJson stand : condition.stands()) {
                    row(rows, course.visits().get(stand.visit()), "condition", "", condition.name(), stand.now());
                }
            }
        } catch (IOException impossible) {
            throw new UncheckedIOException(impossible);
        }
        return text.toString();
    }

    private static void row(CSVPrinter rows, CourseJson.VisitJson visit, Object... cells) throws IOException {
        List<Object> row =
                new ArrayList<>(List.of(visit.day(), LocalDate.ofInstant(visit.at(), ZoneId.systemDefault())));
        Arrays.stream(cells).map(CourseTable::harmless).forEach(row::add);
        while (row.size() < HEADER.length) {
            row.add("");
        }
        rows.printRecord(row);
    }

    /** Words that a spreadsheet would take for a formula are kept from being one. */
    private static Object harmless(Object cell) {
        return cell instanceof String words && words.matches("(?s)[=+\\-@\\t\\r].*") ? "'" + words : cell;
    }
}
