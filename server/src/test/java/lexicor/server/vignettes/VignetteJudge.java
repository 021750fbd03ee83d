package lexicor.server.vignettes;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.function.DoublePredicate;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;

/** Whether what a clinician expects of a vignette holds. */
final class VignetteJudge {

    private final VignetteLibrary library;
    private final TreeMap<Integer, VignetteState> states;
    private final List<String> contradictions;
    private final Map<String, List<String>> plans;

    /**
     * @param states by how many findings were recorded
     * @param contradictions sentences that said the opposite of what the chance did
     * @param plans of the vignettes played so far
     */
    VignetteJudge(
            VignetteLibrary library,
            TreeMap<Integer, VignetteState> states,
            List<String> contradictions,
            Map<String, List<String>> plans) {
        this.library = library;
        this.states = states;
        this.contradictions = contradictions;
        this.plans = plans;
    }

    boolean holds(JsonNode expected) {
        if (expected.has("either")) {
            return expected.get("either").valueStream().anyMatch(this::holds);
        }
        if (expected.has("all")) {
            return expected.get("all").valueStream().allMatch(this::holds);
        }
        boolean ofPlan = expected.propertyNames().stream().anyMatch(each -> each.startsWith("plan"));
        VignetteState state = states.get(expected.path("after").asInt(ofPlan ? 0 : states.lastKey()));
        String kind = expected.propertyNames().stream()
                .filter(each -> !Set.of("because", "after", "within", "min", "max", "anyOf", "share", "first", "length")
                        .contains(each))
                .findFirst()
                .orElseThrow();
        JsonNode value = expected.get(kind);
        List<String> ids =
                value.isArray() ? value.valueStream().map(JsonNode::asString).toList() : List.of();
        return switch (kind) {
            case "above" -> above(ids, state);
            case "top" ->
                ids.stream()
                        .allMatch(each ->
                                ahead(each, state) < expected.path("within").asInt(1));
            case "chance" ->
                state.ranked(value.asString())
                        && state.now(value.asString()) >= expected.path("min").asDouble(0)
                        && state.now(value.asString()) <= expected.path("max").asDouble(1);
            case "rises" -> moved(ids, state, step -> step > 0.05);
            case "falls" -> moved(ids, state, step -> step < -0.05);
            case "unmoved" -> moved(ids, state, step -> Math.abs(step) <= 0.15);
            case "coherent" -> coherent(state);
            case "fits" -> fits(value, state);
            case "refer" ->
                ids.stream()
                        .allMatch(
                                each -> state.ranked(each) && zone(state, each).equals("REFER"));
            case "notRefer" ->
                ids.stream()
                        .noneMatch(
                                each -> state.ranked(each) && zone(state, each).equals("REFER"));
            case "suspended" -> state.suspended() == value.asBoolean();
            case "planIncludes" ->
                ids.stream().filter(state.planned()::contains).count()
                        >= expected.path("anyOf").asInt(ids.size());
            case "planExcludes" -> ids.stream().noneMatch(state.planned()::contains);
            case "planOrder" ->
                state.planned().stream()
                        .filter(ids::contains)
                        .toList()
                        .equals(ids.stream().filter(state.planned()::contains).toList());
            case "planDiffers" ->
                ids.stream()
                        .allMatch(each -> plans.containsKey(each)
                                && alike(state.planned(), plans.get(each))
                                        <= expected.path("share").asDouble(0.6));
            case "closed" -> ids.stream().allMatch(each -> state.closed(each).isPresent());
            case "open" -> ids.stream().allMatch(each -> state.closed(each).isEmpty());
            case "nextAmong" ->
                ids.stream().anyMatch(state.proposed(expected.path("first").asInt(5))::contains);
            case "nextNotAmong" ->
                ids.stream().noneMatch(state.proposed(expected.path("first").asInt(5))::contains);
            case "reading" ->
                results(value.get("result"))
                        .contains(state.reading(
                                value.get("test").asString(),
                                value.get("condition").asString()));
            case "sentenceAgrees" -> contradictions.isEmpty();
            case "noteSays" -> found(value, expected, state);
            case "noteNot" -> !found(value, expected, state);
            default -> throw new IllegalArgumentException("no such expectation: " + kind);
        };
    }

    private static boolean found(JsonNode pattern, JsonNode expected, VignetteState state) {
        return Pattern.compile(pattern.asString(), Pattern.CASE_INSENSITIVE | Pattern.DOTALL)
                .matcher(state.note(expected.path("length").asString("full")))
                .find();
    }

    private static List<String> results(JsonNode wanted) {
        return wanted.isArray() ? wanted.valueStream().map(JsonNode::asString).toList() : List.of(wanted.asString());
    }

    private static String zone(VignetteState state, String condition) {
        return state.standing(condition).get("zone").asString();
    }

    private static double alike(List<String> one, List<String> other) {
        Set<String> both = new HashSet<>(one);
        both.retainAll(other);
        Set<String> all = new HashSet<>(one);
        all.addAll(other);
        return (double) both.size() / Math.max(1, all.size());
    }

    private static boolean above(List<String> chain, VignetteState state) {
        if (!chain.subList(0, chain.size() - 1).stream().allMatch(state::ranked)) {
            return false;
        }
        List<String> order = state.order();
        List<Integer> places = chain.stream()
                .map(each -> order.contains(each) ? order.indexOf(each) : order.size())
                .toList();
        return places.equals(places.stream().sorted().toList());
    }

    /** How many families stand before a condition that are not its own. */
    private int ahead(String condition, VignetteState state) {
        if (!state.ranked(condition)) {
            return Integer.MAX_VALUE;
        }
        List<String> order = state.order();
        Set<String> kin = new HashSet<>(library.wider(condition));
        kin.add(condition);
        order.stream().filter(each -> library.wider(each).contains(condition)).forEach(kin::add);
        Set<String> families = new HashSet<>();
        int ahead = 0;
        for (String other : order.subList(0, order.indexOf(condition))) {
            List<String> roots = Stream.concat(Stream.of(other), library.wider(other).stream())
                    .filter(each -> library.wider(each).isEmpty())
                    .toList();
            if (!kin.contains(other)
                    && roots.stream().noneMatch(each -> families.contains(each) || kin.contains(each))) {
                families.addAll(roots);
                ahead++;
            }
        }
        return ahead;
    }

    private boolean moved(List<String> conditions, VignetteState state, DoublePredicate step) {
        VignetteState before = states.get(0);
        return conditions.stream()
                .allMatch(each -> state.ranked(each)
                        && before.ranked(each)
                        && step.test(logit(state.now(each)) - logit(before.now(each))));
    }

    static double logit(double chance) {
        double inside = Math.min(1 - 1e-9, Math.max(1e-9, chance));
        return Math.log(inside / (1 - inside));
    }

    private boolean coherent(VignetteState state) {
        for (JsonNode each : state.standings()) {
            for (String wide : library.wider(each.get("conditionId").asString())) {
                JsonNode wider = state.standing(wide);
                if (wider != null
                        && (each.get("now").asDouble() > wider.get("now").asDouble() + 0.005
                                || each.get("lower").asDouble()
                                        > wider.get("lower").asDouble() + 0.02
                                || each.get("upper").asDouble()
                                        > wider.get("upper").asDouble() + 0.02)) {
                    return false;
                }
            }
        }
        return true;
    }

    private static boolean fits(JsonNode asked, VignetteState state) {
        JsonNode standing = state.standing(asked.get(0).asString());
        return standing != null
                && standing.at("/pattern/present").size() >= asked.get(1).asInt()
                && standing.at("/pattern/missing").size()
                                + standing.at("/pattern/against").size()
                        <= asked.get(2).asInt() - asked.get(1).asInt();
    }

    /** Sentences about the test just recorded that say the opposite of what its chance did. */
    static List<String> contradictions(VignetteLibrary library, String test, JsonNode before, JsonNode after) {
        List<String> found = new ArrayList<>();
        Map<String, Double> was = chances(before);
        Map<String, Double> now = chances(after);
        after.get("tests")
                .valueStream()
                .filter(each -> each.get("testId").asString().equals(test))
                .flatMap(each -> each.get("statements").valueStream())
                .forEach(said -> {
                    String kind = said.get("kind").asString();
                    boolean speaksFor = kind.equals("FOR") || kind.equals("BORROWED_FOR");
                    if (speaksFor || kind.equals("AGAINST") || kind.equals("BORROWED_AGAINST")) {
                        library.namedIn(said.get("lead").asString()).stream()
                                .filter(each -> was.containsKey(each) && now.containsKey(each))
                                .forEach(each -> {
                                    double step = logit(now.get(each)) - logit(was.get(each));
                                    if (speaksFor ? step < -0.005 : step > 0.005) {
                                        found.add(test + ": " + said.get("lead").asString());
                                    }
                                });
                    }
                });
        return found;
    }

    private static Map<String, Double> chances(JsonNode weighing) {
        Map<String, Double> chances = new TreeMap<>();
        weighing.get("standings")
                .forEach(each -> chances.put(
                        each.get("conditionId").asString(), each.get("now").asDouble()));
        return chances;
    }
}
