package lexicor.server.vignettes;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;

/** What the server says of a vignette after some of its findings. */
final class VignetteState {

    private final VignetteLibrary library;
    private final JsonNode weighing;
    private final JsonNode plan;
    private final JsonNode intake;
    private final Map<String, String> notes;
    private final Map<String, JsonNode> standings = new LinkedHashMap<>();

    VignetteState(
            VignetteLibrary library, JsonNode weighing, JsonNode plan, JsonNode intake, Map<String, String> notes) {
        this.library = library;
        this.weighing = weighing;
        this.plan = plan;
        this.intake = intake;
        this.notes = notes;
        weighing.get("standings")
                .forEach(each -> standings.put(each.get("conditionId").asString(), each));
    }

    boolean ranked(String condition) {
        return standings.containsKey(condition);
    }

    JsonNode standing(String condition) {
        return standings.get(condition);
    }

    Iterable<JsonNode> standings() {
        return standings.values();
    }

    double now(String condition) {
        return standings.get(condition).get("now").asDouble();
    }

    String note(String length) {
        return notes.get(length);
    }

    boolean suspended() {
        return weighing.at("/safety/state").asString().equals("SUSPENDED");
    }

    /**
     * Conditions in the order shown; where weighed and unweighed ones are kept apart, pictures stand between them by
     * what fits.
     */
    List<String> order() {
        List<JsonNode> listed = new ArrayList<>(standings.values());
        List<Boolean> weighed = listed.stream()
                .filter(each -> !each.get("shelf").asString().equals("UNLIKELY"))
                .map(each -> each.get("informed").asBoolean())
                .toList();
        boolean mixed = weighed.contains(false)
                && weighed.subList(weighed.indexOf(false), weighed.size()).contains(true);
        if (mixed) {
            return List.copyOf(standings.keySet());
        }
        Map<JsonNode, Integer> places = new HashMap<>();
        listed.forEach(each -> places.put(each, place(each)));
        return listed.stream()
                .sorted(Comparator.<JsonNode>comparingInt(places::get)
                        .thenComparingInt(each -> List.of(2, 4, 7).contains(places.get(each)) ? -fit(each) : 0)
                        .thenComparingDouble(each -> -each.get("now").asDouble()))
                .map(each -> each.get("conditionId").asString())
                .toList();
    }

    private static int fit(JsonNode standing) {
        return found(standing) - missed(standing);
    }

    private static int found(JsonNode standing) {
        return standing.at("/pattern/present").size();
    }

    private static int missed(JsonNode standing) {
        return standing.at("/pattern/missing").size()
                + standing.at("/pattern/against").size();
    }

    private static int place(JsonNode standing) {
        if (standing.get("shelf").asString().equals("UNLIKELY")) {
            return 8;
        }
        if (standing.get("informed").asBoolean()) {
            return standing.get("zone").asString().equals("SET_ASIDE")
                    ? 6
                    : standing.get("now").asDouble() >= 0.25 ? 1 : 3;
        }
        return found(standing) > missed(standing) ? 2 : found(standing) > 0 ? 4 : missed(standing) > 0 ? 7 : 5;
    }

    /** Why a test may not be begun now; empty where it may. */
    Optional<String> closed(String test) {
        if (suspended()) {
            return Optional.of("testing is suspended");
        }
        Optional<JsonNode> state = test(test);
        Stream<JsonNode> locks = Stream.concat(
                state.stream().map(each -> each.path("lock")),
                intake.path("locked")
                        .valueStream()
                        .filter(each -> each.get("testId").asString().equals(test))
                        .map(each -> each.path("lock")));
        Optional<String> locked = locks.filter(
                        each -> each.isObject() && each.path("override").isMissingNode()
                                || each.isObject() && each.path("override").isNull())
                .map(JsonNode::toString)
                .findFirst()
                .or(() -> plan.path("locked")
                        .valueStream()
                        .filter(each -> each.get("testId").asString().equals(test))
                        .map(JsonNode::toString)
                        .findFirst());
        return locked.or(
                () -> state.map(each -> each.path("waits").asString("")).filter(waits -> !waits.isEmpty()));
    }

    private Optional<JsonNode> test(String test) {
        return weighing.get("tests")
                .valueStream()
                .filter(each -> each.get("testId").asString().equals(test))
                .findFirst();
    }

    List<String> planned() {
        return plan.get("steps")
                .valueStream()
                .map(each -> each.get("testId").asString())
                .toList();
    }

    List<String> proposed(int first) {
        return weighing.get("ahead")
                .valueStream()
                .filter(each -> each.get("worthDoing").asBoolean())
                .map(each -> each.get("testId").asString())
                .limit(first)
                .toList();
    }

    /** How a test is read for a condition: positive, negative, not interpretable or none. */
    String reading(String test, String condition) {
        JsonNode standing = standings.get(condition);
        if (standing != null) {
            for (String list : List.of("loads", "held")) {
                for (JsonNode load : standing.get(list)) {
                    if (load.get("testIds")
                            .valueStream()
                            .anyMatch(each -> each.asString().equals(test))) {
                        return load.get("positive").asBoolean() ? "positive" : "negative";
                    }
                }
            }
        }
        List<String> kinds = test(test).stream()
                .flatMap(each -> each.get("statements").valueStream())
                .filter(each -> library.namedIn(each.get("lead").asString()).contains(condition))
                .map(each -> each.get("kind").asString())
                .toList();
        if (kinds.contains("FOR") || kinds.contains("NOTED_FOR")) {
            return "positive";
        }
        if (kinds.contains("AGAINST") || kinds.contains("NOTED_AGAINST")) {
            return "negative";
        }
        if (kinds.contains("NOT_READ")) {
            return "not interpretable";
        }
        return standing == null
                ? "none"
                : standing.get("unweighed")
                        .valueStream()
                        .filter(each -> each.get("testId").asString().equals(test))
                        .map(each -> each.get("result")
                                .asString()
                                .toLowerCase(java.util.Locale.ROOT)
                                .replace('_', ' '))
                        .findFirst()
                        .orElse("none");
    }
}
