package lexicor.server.vignettes;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;
import java.util.regex.Pattern;
import lexicor.server.Asking;
import tools.jackson.databind.JsonNode;

/** What the server knows: tests with their parts, conditions by name, and what is wider than what. */
final class VignetteLibrary {

    private final Asking therapist;
    private final Map<String, JsonNode> kept = new HashMap<>();
    private final Map<String, String> conditionsByName = new LinkedHashMap<>();

    VignetteLibrary(Asking therapist) {
        this.therapist = therapist;
        Map<String, String> names = new HashMap<>();
        for (JsonNode each : once("/api/library").get("conditions")) {
            names.put(
                    each.get("name").asString().toLowerCase(Locale.ROOT),
                    each.get("id").asString());
            names.put(
                    each.path("shortName").asString(each.get("name").asString()).toLowerCase(Locale.ROOT),
                    each.get("id").asString());
        }
        names.entrySet().stream()
                .sorted(Comparator.comparingInt(
                        (Map.Entry<String, String> each) -> -each.getKey().length()))
                .forEach(each -> conditionsByName.put(each.getKey(), each.getValue()));
    }

    private JsonNode once(String address) {
        return kept.computeIfAbsent(address, each -> therapist.get(each, 200));
    }

    Map<String, JsonNode> tests(String region) {
        Map<String, JsonNode> tests = new LinkedHashMap<>();
        once("/api/library/regions/" + region)
                .get("tests")
                .forEach(each -> tests.put(each.get("id").asString(), each));
        return tests;
    }

    /** Questions of a region's intake that are answered by a number. */
    Set<String> scales(String region) {
        Set<String> scales = new HashSet<>();
        once("/api/library/regions/" + region + "/intake").get("questions").forEach(each -> {
            if (each.get("options").isEmpty()) {
                scales.add(each.get("id").asString());
            }
        });
        return scales;
    }

    /** All conditions that are wider than one. */
    Set<String> wider(String condition) {
        Set<String> found = new HashSet<>();
        List<String> ahead = new ArrayList<>(List.of(condition));
        while (!ahead.isEmpty()) {
            for (JsonNode each :
                    once("/api/library/conditions/" + ahead.remove(0)).path("wider")) {
                if (found.add(each.get("id").asString())) {
                    ahead.add(each.get("id").asString());
                }
            }
        }
        return found;
    }

    /** The conditions that a sentence names, longer names before shorter ones. */
    Set<String> namedIn(String words) {
        String rest = words.toLowerCase(Locale.ROOT);
        Set<String> found = new HashSet<>();
        for (Map.Entry<String, String> each : conditionsByName.entrySet()) {
            Pattern name = Pattern.compile("(?<![\\w-])" + Pattern.quote(each.getKey()) + "(?![\\w-])");
            if (name.matcher(rest).find()) {
                found.add(each.getValue());
                rest = name.matcher(rest).replaceAll("#");
            }
        }
        return found;
    }
}
