package lexicor.server.vignettes;

import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import lexicor.server.Asking;
import tools.jackson.databind.JsonNode;

/** One examination, told and recorded as a vignette says, over the server's own interface. */
final class VignetteCase {

    private final Asking therapist;
    private final JsonNode vignette;
    private final Map<String, JsonNode> tests;
    private final VignetteLibrary library;
    private final String involved;
    private final String other;
    private final String id = UUID.randomUUID().toString();
    private final String client = UUID.randomUUID().toString();
    private final Map<String, String> last = new HashMap<>();
    private int commands;

    VignetteCase(Asking therapist, VignetteLibrary library, JsonNode vignette) {
        this.therapist = therapist;
        this.library = library;
        this.vignette = vignette;
        tests = library.tests(text("region", ""));
        String side = text("side", "RIGHT");
        boolean both = side.equals("BOTH");
        involved = both ? text("worse", "RIGHT") : side;
        other = involved.equals("RIGHT") ? "LEFT" : "RIGHT";
        Map<String, Object> visit = new LinkedHashMap<>(Map.of(
                "id", id, "region", text("region", ""), "side", side, "setting", text("setting", "FIRST_CONTACT")));
        if (both) {
            visit.put("worse", involved);
        }
        Map<String, Object> details = Map.of(
                "birthYear",
                LocalDate.now().getYear() - vignette.get("age").asInt(),
                "dominance",
                text("dominance", "RIGHT"),
                "occupation",
                text("occupation", ""));
        therapist.post(
                "/api/cases",
                Map.of(
                        "id",
                        UUID.randomUUID().toString(),
                        "code",
                        "VG-" + id.substring(0, 8),
                        "details",
                        details,
                        "visit",
                        visit),
                201);
        tell();
    }

    private String text(String field, String otherwise) {
        return vignette.path(field).asString(otherwise);
    }

    private void command(
            String kind, String stand, List<Map<String, Object>> attempts, List<Map<String, Object>> answers) {
        Map<String, Object> command = new LinkedHashMap<>();
        command.put("id", UUID.randomUUID().toString());
        command.put("clientId", client);
        command.put("order", ++commands);
        command.put("at", Instant.now().toString());
        command.put("kind", kind);
        command.put("standAt", stand);
        command.put("attempts", attempts);
        command.put("answers", answers);
        therapist.post("/api/examinations/" + id + "/commands", Map.of("commands", List.of(command)), 200);
    }

    private void tell() {
        List<Map<String, Object>> answers = new ArrayList<>();
        for (Map.Entry<String, JsonNode> each : vignette.path("tell").properties()) {
            JsonNode value = each.getValue();
            Map<String, Object> answer = new LinkedHashMap<>(Map.of("question", each.getKey(), "values", List.of()));
            if (value.has("daysAgo")) {
                answer.put(
                        "on",
                        LocalDate.now().minusDays(value.get("daysAgo").asInt()).toString());
            } else if (value.isObject()) {
                answer.put("words", value.get("words").asString());
            } else if (value.isNumber() || library.scales(text("region", "")).contains(each.getKey())) {
                answer.put("number", value.asDouble());
            } else {
                answer.put(
                        "values",
                        value.isArray()
                                ? value.valueStream().map(JsonNode::asString).toList()
                                : List.of(value.asString()));
            }
            answers.add(answer);
        }
        command("TELL", tests.keySet().iterator().next(), List.of(), answers);
    }

    /** Records one finding, or the whole answer "nothing" of some tests. */
    void record(JsonNode finding) {
        for (JsonNode quiet : finding.path("quiet")) {
            quiet(quiet.asString());
        }
        if (finding.has("test")) {
            String test = finding.get("test").asString();
            List<Map<String, Object>> attempts = new ArrayList<>();
            for (String[] side : new String[][] {{other, "well"}, {involved, "hurt"}}) {
                if (finding.has(side[1])) {
                    attempts.add(attempt(
                            test,
                            side[0],
                            parts(test, finding.get(side[1])),
                            finding.path("variant").asString("usual"),
                            finding.path("try").asInt(1)));
                }
            }
            command("RECORD", test, attempts, List.of());
        }
    }

    void quiet(String test) {
        JsonNode definition = tests.get(test);
        List<String> wellSide = definition
                .path("wellSideParts")
                .valueStream()
                .map(JsonNode::asString)
                .toList();
        List<Object> all = new ArrayList<>();
        List<Object> well = new ArrayList<>();
        definition.get("nothing").forEach(part -> {
            all.add(part);
            if (wellSide.contains(part.get("key").asString())) {
                well.add(part);
            }
        });
        List<Map<String, Object>> attempts = new ArrayList<>();
        if (!well.isEmpty()) {
            attempts.add(attempt(test, other, well, "usual", 1));
        }
        attempts.add(attempt(test, involved, all, "usual", 1));
        command("RECORD", test, attempts, List.of());
    }

    private Map<String, Object> attempt(String test, String side, List<?> parts, String variant, int number) {
        String fresh = UUID.randomUUID().toString();
        String before = last.put(test + side + number, fresh);
        return Map.of(
                "id",
                fresh,
                "testId",
                test,
                "variant",
                variant,
                "side",
                side,
                "tryNumber",
                number,
                "supersedes",
                before == null ? List.of() : List.of(before),
                "parts",
                parts);
    }

    private List<Map<String, Object>> parts(String test, JsonNode answers) {
        Map<String, JsonNode> definitions = new HashMap<>();
        tests.get(test)
                .get("parts")
                .forEach(each -> definitions.put(each.get("key").asString(), each));
        List<Map<String, Object>> parts = new ArrayList<>();
        for (Map.Entry<String, JsonNode> each : answers.properties()) {
            String[] key = each.getKey().split("#");
            String unit = definitions.get(key[0]).path("unit").asString("");
            Map<String, JsonNode> placed = new LinkedHashMap<>();
            if (each.getValue().isObject()) {
                each.getValue().properties().forEach(place -> placed.put(place.getKey(), place.getValue()));
            } else {
                placed.put("", each.getValue());
            }
            placed.forEach((place, given) -> (given.isArray()
                            ? given.valueStream().toList()
                            : List.of(given))
                    .forEach(one -> {
                        Map<String, Object> part = new LinkedHashMap<>();
                        part.put("key", key[0]);
                        if (unit.isEmpty()) {
                            part.put("choice", one.asString());
                        } else {
                            part.put("measure", one.asDouble());
                            part.put("unit", unit);
                        }
                        if (!place.isEmpty()) {
                            part.put("position", place);
                        }
                        if (key.length > 1) {
                            part.put("repeat", Integer.parseInt(key[1]));
                        }
                        parts.add(part);
                    }));
        }
        return parts;
    }

    JsonNode weighing() {
        return therapist.get("/api/examinations/" + id + "/weighing", 200);
    }

    /** Where things stand now, with the plan and whatever notes are asked for. */
    VignetteState state(List<String> notes) {
        Map<String, String> written = new HashMap<>();
        notes.forEach(
                length -> written.put(length, therapist.text("/api/examinations/" + id + "/note?length=" + length)));
        return new VignetteState(
                library,
                weighing(),
                therapist.get(
                        "/api/examinations/" + id + "/plan?minutes="
                                + vignette.path("minutes").asInt(10),
                        200),
                therapist.get("/api/examinations/" + id + "/intake", 200),
                written);
    }
}
