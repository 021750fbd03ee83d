package lexicor.core.examination;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Stream;
import lexicor.core.Responses;
import lexicor.core.catalogue.Catalogue;
import lexicor.core.catalogue.CatalogueReader;
import lexicor.core.catalogue.ConditionId;
import lexicor.core.catalogue.CriterionId;
import lexicor.core.catalogue.ExaminationTest;
import lexicor.core.catalogue.PartDefinition;
import lexicor.core.catalogue.Schools;
import lexicor.core.catalogue.TestId;
import lexicor.core.source.SourceNode;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;

class ReadingTableTest {

    private static final List<String> TABLES = List.of(
            "readings-shoulder.yaml",
            "readings-first.yaml",
            "readings-cuff.yaml",
            "readings-labrum.yaml",
            "readings-instability.yaml",
            "readings-look-feel-move.yaml",
            "readings-neck.yaml",
            "readings-arm.yaml",
            "readings-wrist-ulnar.yaml",
            "readings-landmarks.yaml",
            "readings-elbow.yaml",
            "readings-wrist-radial.yaml",
            "readings-hand.yaml");
    private static final Catalogue CATALOGUE = CatalogueReader.shipped();

    private static Stream<SourceNode> tests() {
        return TABLES.stream()
                .flatMap(table -> SourceNode.parse(table, SourceNode.resourceText("/" + table)).items().stream());
    }

    @TestFactory
    Stream<DynamicTest> a_response_is_read_as_the_table_says() {
        return tests().flatMap(test -> test.list("cases").stream()
                .map(row -> DynamicTest.dynamicTest(
                        test.text("test") + ": " + row.text("name"),
                        () -> check(CATALOGUE.test(TestId.of(test.text("test"))), row))));
    }

    @Test
    void every_reading_has_a_positive_a_negative_and_a_voided_case() {
        Map<String, Set<String>> seen = new HashMap<>();
        tests().forEach(test -> test.list("cases")
                .forEach(row -> expected(CATALOGUE.test(TestId.of(test.text("test"))), row)
                        .forEach(wanted -> seen.computeIfAbsent(
                                        test.text("test") + " " + wanted.condition(), key -> new HashSet<>())
                                .add(wanted.result()))));
        for (ExaminationTest test : CATALOGUE.tests().values()) {
            test.reads()
                    .forEach(reads -> assertThat(seen.getOrDefault(test.id() + " " + reads.condition(), Set.of()))
                            .as("%s for %s", test.id(), reads.condition())
                            .contains("positive", "negative", "not-interpretable"));
        }
    }

    @Test
    void every_criterion_can_be_positive() {
        Set<String> positive = new HashSet<>();
        tests().forEach(test -> test.list("cases")
                .forEach(row -> expected(CATALOGUE.test(TestId.of(test.text("test"))), row).stream()
                        .filter(wanted -> wanted.result().equals("positive"))
                        .forEach(wanted -> positive.add(test.text("test") + " " + wanted.criterion()))));
        for (ExaminationTest test : CATALOGUE.tests().values()) {
            test.criteria().stream()
                    .filter(criterion ->
                            test.reads().stream().anyMatch(reads -> reads.by().contains(criterion.id())))
                    .forEach(criterion -> assertThat(positive).contains(test.id() + " " + criterion.id()));
        }
    }

    private record Wanted(ConditionId condition, CriterionId criterion, String result, int line) {}

    /** "expect" lists condition, criterion and result; "every" says the same of all readings of the test. */
    private static List<Wanted> expected(ExaminationTest test, SourceNode row) {
        List<Wanted> wanted = new ArrayList<>();
        row.list("expect")
                .forEach(line -> wanted.add(new Wanted(
                        ConditionId.of(line.items().get(0).asText()),
                        CriterionId.of(line.items().get(1).asText()),
                        line.items().get(2).asText(),
                        line.line())));
        row.optionalChild("every")
                .ifPresent(every -> test.reads()
                        .forEach(reads -> reads.by()
                                .forEach(criterion -> wanted.add(
                                        new Wanted(reads.condition(), criterion, every.asText(), every.line())))));
        return wanted;
    }

    private static void check(ExaminationTest test, SourceNode row) {
        row.allowing("name", "this", "other", "both", "schools", "expect", "every");
        List<Attempt> attempts = new ArrayList<>();
        attempts.add(attempt(test, Side.RIGHT, row.child("this")));
        row.optionalChild("other").ifPresent(other -> attempts.add(attempt(test, Side.LEFT, other)));
        attempts.forEach(
                attempt -> assertThat(ResponseCheck.faults(test, attempt)).isEmpty());
        Schools schools = CATALOGUE.usualSchools();
        if (row.has("schools")) {
            for (Map.Entry<String, SourceNode> chosen :
                    row.child("schools").fields().entrySet()) {
                schools = schools.with(chosen.getKey(), chosen.getValue().asText());
            }
        }
        OtherSide otherSide = row.text("both", "no").equals("yes") ? OtherSide.INVOLVED : OtherSide.WELL;
        TestReading reading = new ResponseReader(test, schools)
                .read(Responses.history(attempts.toArray(Attempt[]::new)), Side.RIGHT, otherSide);
        assertThat(expected(test, row)).as("a case expects something").isNotEmpty();
        for (Wanted wanted : expected(test, row)) {
            Reading actual = reading.reading(wanted.condition(), wanted.criterion());
            assertThat(actual.result().name().toLowerCase().replace('_', '-'))
                    .as(
                            "%s:%d %s, %s by %s (%s)",
                            row.file(),
                            wanted.line(),
                            row.text("name"),
                            wanted.condition(),
                            wanted.criterion(),
                            actual.phrase())
                    .isEqualTo(wanted.result());
        }
    }

    private static Attempt attempt(ExaminationTest test, Side side, SourceNode answers) {
        List<Part> parts = new ArrayList<>();
        answers.fields().forEach((key, value) -> parts.addAll(parts(test, key, value)));
        return Responses.attempt(test.id().value(), side, parts.toArray(Part[]::new));
    }

    /** "part", "part@position" or "part#2" for the second go. */
    private static List<Part> parts(ExaminationTest test, String key, SourceNode value) {
        String position = key.contains("@") ? key.substring(key.indexOf('@') + 1) : "";
        int repeat = key.contains("#") ? Integer.parseInt(key.substring(key.indexOf('#') + 1)) : 1;
        String part = key.replaceAll("[@#].*", "");
        Part.Context context = new Part.Context(position, repeat, "");
        PartDefinition definition =
                test.part(part).orElseThrow(() -> value.fault("'" + test.id() + "' does not record '" + part + "'"));
        if (definition instanceof PartDefinition.Measure measure) {
            return List.of(new Part.Measured(part, Double.parseDouble(value.asText()), measure.unit(), context));
        }
        List<SourceNode> chosen = value.isList() ? value.items() : List.of(value);
        return chosen.stream()
                .map(choice -> (Part) new Part.Chosen(part, choice.asText(), context))
                .toList();
    }
}
