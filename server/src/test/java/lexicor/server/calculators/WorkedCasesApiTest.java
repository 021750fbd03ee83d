package lexicor.server.calculators;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.TreeMap;
import java.util.stream.Stream;
import lexicor.server.ServerTest;
import org.assertj.core.data.Offset;
import org.junit.jupiter.api.Named;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import org.springframework.test.web.servlet.assertj.MvcTestResult;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Answers of the calculators against the worked cases that the mathematics is held to. */
@ServerTest
class WorkedCasesApiTest {

    private static final JsonMapper MAPPER = new JsonMapper();

    @Autowired
    private MockMvcTester server;

    private static JsonNode read(String file) {
        try {
            return MAPPER.readTree(Files.readString(Path.of("../core/src/test/resources/worked", file)));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    static Stream<Named<JsonNode>> joint() {
        return read("joint.json")
                .valueStream()
                .map(each -> Named.of(each.get("name").asString(), each));
    }

    static Stream<Named<JsonNode>> syntheses() {
        return read("synthesis.json")
                .get("cases")
                .valueStream()
                .map(each -> Named.of(each.get("id").asString(), each));
    }

    static Stream<Named<JsonNode>> pools() {
        return read("synthesis.json")
                .get("pool")
                .valueStream()
                .map(each -> Named.of(each.get("id").asString(), each));
    }

    @ParameterizedTest
    @MethodSource("joint")
    void a_joint_differential(JsonNode worked) throws Exception {
        JsonNode answer = json(post("joint", worked.get("request").toString()), 200);
        same(answer, worked.get("response"), 1e-8, "");
        assertThat(answer.propertyNames())
                .containsExactlyInAnyOrderElementsOf(worked.get("response").propertyNames());
    }

    @ParameterizedTest
    @MethodSource("syntheses")
    void a_synthesis(JsonNode worked) throws Exception {
        same(json(post("synthesis", worked.get("input").toString()), 200), worked.get("expected"), 1e-6, "");
    }

    @ParameterizedTest
    @MethodSource("pools")
    void a_pooled_test(JsonNode worked) throws Exception {
        same(json(post("pool", worked.get("input").toString()), 200), worked.get("expected"), 1e-3, "");
    }

    @ParameterizedTest
    @CsvSource(delimiter = '|', textBlock = """
            joint | {"conditions":[{"id":"a","start":1}],"findings":[]} | conditions[0].start | between 0 and 1
            joint | {"conditions":[{"id":"a","start":0.2},{"id":"a","start":0.2}],"findings":[]} | conditions | twice
            joint | {"conditions":[{"id":"a","start":0.2,"within":"b"},{"id":"b","start":0.2,"within":"a"}],"findings":[]} | conditions | within itself
            joint | {"conditions":[{"id":"a","start":0.2}],"link":0.6,"findings":[]} | link | 0 to 0.5
            joint | {"conditions":[{"id":"a","start":0.2}],"groups":[{"id":"g","rho":0.96}],"findings":[]} | groups[0].rho | 0 to 0.95
            joint | {"conditions":[{"id":"a","start":0.2}],"findings":[{"id":"f","answer":"positive","group":"g","targets":[{"condition":"a","sensitivity":0.8,"specificity":0.9}]}]} | findings[0].group | unknown
            joint | {"conditions":[{"id":"a","start":0.2}],"findings":[{"id":"f","answer":"maybe","targets":[{"condition":"a","sensitivity":0.8,"specificity":0.9}]}]} | findings[0].answer | positive, negative or open
            joint | {"conditions":[{"id":"a","start":0.2}],"findings":[{"id":"f","answer":"positive","targets":[{"condition":"a","sensitivity":1,"specificity":0.9}]}]} | findings[0].targets[0].sensitivity | between 0 and 1
            joint | {"conditions":[{"id":"a","start":0.2}],"findings":[{"id":"f","answer":"positive","targets":[{"condition":"a","sensitivity":0.9,"specificity":0.9,"with":20}]}]} | findings[0].targets[0].without | both sizes or none
            joint | {"conditions":[{"id":"a","start":0.2}],"findings":[{"id":"f","answer":"positive","targets":[{"condition":"a","borrowed":true}]}]} | findings[0].targets | at least one
            joint | {"conditions":[{"id":"a","start":0.2}],"findings":[{"id":"f","ratio":{"condition":"a","value":0}}]} | findings[0].ratio.value | above 0
            synthesis | {"records":[{"id":"r","test":"t","criterion":"c","condition":"d","study":"s","originator":false,"tp":0,"fn":0,"tn":4,"fp":1}]} | records[0].tp | at least one patient
            synthesis | {"records":[{"id":"r","test":"t","criterion":"c","condition":"d","study":"s","originator":false,"tp":-1,"fn":0,"tn":4,"fp":1}]} | records[0].tp | whole number
            synthesis | {"records":[{"id":"r","criterion":"c","condition":"d","study":"s","originator":false,"tp":1,"fn":0,"tn":4,"fp":1}]} | records[0].test | 1 to 200
            pool | {"studies":[]} | studies | 1 to 200
            pool | {"studies":[{"tp":3,"fn":1,"tn":0,"fp":0}]} | studies[0].tn | at least one patient without""")
    void what_cannot_be_names_the_field_and_what_is_allowed(
            String calculator, String body, String field, String allowed) throws Exception {
        JsonNode fault = json(post(calculator, body), 400).at("/errors/0");
        assertThat(fault.get("field").asString()).isEqualTo(field);
        assertThat(fault.get("message").asString()).contains(allowed);
    }

    @ParameterizedTest
    @CsvSource({"70, within one", "3000, allowed: 1 to 200"})
    void more_states_than_can_be_counted_are_refused(int children, String why) throws Exception {
        StringBuilder conditions = new StringBuilder("{\"id\":\"root\",\"start\":0.5}");
        for (int c = 0; c < children; c++) {
            conditions.append(",{\"id\":\"c").append(c).append("\",\"within\":\"root\",\"start\":0.1}");
        }
        StringBuilder targets = new StringBuilder();
        for (int c = 0; c < 45; c++) {
            targets.append(c == 0 ? "" : ",")
                    .append("{\"condition\":\"c")
                    .append(c)
                    .append("\",\"sensitivity\":0.8,\"specificity\":0.8}");
        }
        JsonNode answer = json(
                post(
                        "joint",
                        "{\"conditions\":[" + conditions
                                + "],\"findings\":[{\"id\":\"f\",\"answer\":\"positive\",\"targets\":[" + targets
                                + "]}]}"),
                400);
        assertThat(answer.toString())
                .contains("conditions")
                .satisfiesAnyOf(
                        text -> assertThat(text).contains(why),
                        text -> assertThat(text).contains("states; allowed"));
    }

    /** What is expected and no less; lists of named things by their names, others by their place. */
    private static void same(JsonNode actual, JsonNode expected, double tolerance, String at) {
        if (expected.isObject()) {
            expected.properties().forEach(each -> {
                assertThat(actual.has(each.getKey()))
                        .as(at + "/" + each.getKey())
                        .isTrue();
                same(actual.get(each.getKey()), each.getValue(), tolerance, at + "/" + each.getKey());
            });
        } else if (expected.isArray()) {
            assertThat(actual.size()).as(at).isEqualTo(expected.size());
            TreeMap<String, JsonNode> wanted = named(expected);
            TreeMap<String, JsonNode> found = named(actual);
            if (!at.endsWith("/fitted") && wanted.size() == expected.size()) {
                assertThat(found.keySet()).as(at).isEqualTo(wanted.keySet());
                wanted.forEach((name, each) -> same(found.get(name), each, tolerance, at + "/" + name));
            } else {
                for (int i = 0; i < expected.size(); i++) {
                    same(actual.get(i), expected.get(i), tolerance, at + "/" + i);
                }
            }
        } else if (expected.isNumber()) {
            assertThat(actual.asDouble())
                    .as(at)
                    .isCloseTo(
                            expected.asDouble(), Offset.offset(tolerance * Math.max(1, Math.abs(expected.asDouble()))));
        } else {
            assertThat(actual).as(at).isEqualTo(expected);
        }
    }

    private static TreeMap<String, JsonNode> named(JsonNode list) {
        TreeMap<String, JsonNode> named = new TreeMap<>();
        for (JsonNode each : list) {
            if (each.isObject()) {
                named.put(
                        String.join(
                                " ",
                                Stream.of("id", "test", "criterion", "finding", "condition", "one", "other")
                                        .map(key -> each.path(key).asString(""))
                                        .toList()),
                        each);
            }
        }
        return named;
    }

    private MvcTestResult post(String calculator, String body) {
        return server.post()
                .uri("/api/calculate/" + calculator)
                .contentType(MediaType.APPLICATION_JSON)
                .content(body)
                .exchange();
    }

    private static JsonNode json(MvcTestResult result, int status) throws Exception {
        assertThat(result.getResponse().getStatus())
                .as(result.getResponse().getContentAsString())
                .isEqualTo(status);
        return MAPPER.readTree(result.getResponse().getContentAsString());
    }
}
