package lexicor.server.examinations.course;

import java.time.LocalDate;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import lexicor.server.page.CsvText;
import lexicor.server.words.Words;

/** A course as a table: one row for each measure, test and condition at each visit. */
final class CourseTable {

    private static final String[] HEADER = {
        "day", "date", "kind", "test", "what", "value", "at_least", "unit", "other_side", "not_compared_because"
    };

    private CourseTable() {}

    static String of(CourseJson course) {
        CsvText table = new CsvText(HEADER);
        for (CourseJson.MeasureJson measure : course.measures()) {
            for (CourseJson.PointJson point : measure.points()) {
                row(
                        table,
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
                        table,
                        course.visits().get(visit),
                        "test",
                        response.name(),
                        Words.of(response.results().get(visit)));
            }
        }
        for (CourseJson.ConditionJson condition : course.conditions()) {
            for (CourseJson.StandJson stand : condition.stands()) {
                row(table, course.visits().get(stand.visit()), "condition", "", condition.name(), stand.now());
            }
        }
        return table.toString();
    }

    private static void row(CsvText table, CourseJson.VisitJson visit, Object... cells) {
        List<Object> row =
                new ArrayList<>(List.of(visit.day(), LocalDate.ofInstant(visit.at(), ZoneId.systemDefault())));
        row.addAll(Arrays.asList(cells));
        table.row(row.toArray());
    }
}
