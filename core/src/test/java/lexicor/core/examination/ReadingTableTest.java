package lexicor.core.examination;

import static lexicor.core.Responses.attempt;
import static lexicor.core.Responses.chosen;
import static lexicor.core.Responses.degrees;
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
import lexicor.core.catalogue.TestId;
import lexicor.core.source.SourceNode;
import org.junit.jupiter.api.DynamicTest;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestFactory;

class ReadingTableTest {

    private static final String TABLE = "readings-shoulder.yaml";
    private static final Catalogue CATALOGUE = CatalogueReader.shipped();
    private static final SourceNode ROOT = SourceNode.parse(TABLE, SourceNode.resourceText("/" + TABLE));

    @TestFactory
    Stream<DynamicTest> a_response_is_read_as_the_table_says() {
        return ROOT.items().stream().flatMap(test -> test.list("cases").stream().map(row ->
                DynamicTest.dynamicTest(test.text("test") + ": " + row.text("name"), () -> check(test.text("test"), row))));
    }

    @Test
    void every_reading_has_a_positive_a_negative_and_a_voided_case() {
        Map<String, Set<String>> seen = new HashMap<>();
        for (SourceNode test : ROOT.items()) {
            for (SourceNode row : test.list("cases")) {
                for (SourceNode expected : row.list("expect")) {
                    List<String> words = expected.items().stream().map(SourceNode::asText).toList();
                    seen.computeIfAbsent(test.text("test") + " " + words.get(0), key -> new HashSet<>()).add(words.get(2));
                }
            }
        }
        for (ExaminationTest test : CATALOGUE.tests().values()) {
            test.reads().forEach(reads -> assertThat(seen.getOrDefault(test.id() + " " + reads.condition(), Set.of()))
                    .as("%s for %s", test.id(), reads.condition()).contains("positive", "negative", "not-interpretable"));
        }
    }

    private static void check(String test, SourceNode row) {
        List<Attempt> attempts = new ArrayList<>();
        attempts.add(attempt(test, Side.RIGHT, parts(row.child("this"))));
        row.optionalChild("other").ifPresent(other -> attempts.add(attempt(test, Side.LEFT, parts(other))));
        attempts.forEach(attempt -> assertThat(ResponseCheck.faults(CATALOGUE.test(TestId.of(test)), attempt)).isEmpty());
        TestReading reading = new ResponseReader(CATALOGUE.test(TestId.of(test))).read(Responses.history(attempts.toArray(Attempt[]::new)), Side.RIGHT);
        for (SourceNode expected : row.list("expect")) {
            List<SourceNode> words = expected.items();
            Reading actual = reading.reading(ConditionId.of(words.get(0).asText()), CriterionId.of(words.get(1).asText()));
            assertThat(actual.result()).as("%s:%d %s (%s)", TABLE, expected.line(), row.text("name"), actual.phrase())
                    .isEqualTo(words.get(2).asOneOf(Reading.Result.class));
        }
    }

    private static Part[] parts(SourceNode node) {
        List<Part> parts = new ArrayList<>();
        node.fields().forEach((key, value) -> {
            if (key.startsWith("angle-")) {
                parts.add(degrees(key, Double.parseDouble(value.asText())));
            } else if (key.equals("quality")) {
                value.items().forEach(tick -> parts.add(chosen(key, tick.asText())));
            } else {
                parts.add(chosen(key, value.asText()));
            }
        });
        return parts.toArray(Part[]::new);
    }
}
