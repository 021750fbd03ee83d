package lexicor.server.vignettes;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Stream;
import lexicor.server.Asking;
import lexicor.server.ServerTest;
import lexicor.server.accounts.Role;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.assertj.MockMvcTester;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Invented stories with what a competent examiner expects of the ranking, the plan, what is closed, the readings and
 * the words. The number of stories that hold in full is written down and may only rise. With
 * {@code -Dlexicor.stories=id,id} only those are told, and all of them are to hold.
 */
@ServerTest
class VignettesTest {

    @Autowired
    private MockMvcTester server;

    private static InputStream resource(String file) {
        return VignettesTest.class.getResourceAsStream("/vignettes/" + file);
    }

    /** Mean share of tests that plans for two different stories of one region have in common (Jaccard). */
    private static double shared(List<JsonNode> stories, Map<String, List<String>> plans) {
        return stories.stream()
                .flatMap(one -> stories.stream()
                        .filter(other -> one.get("id")
                                                .asString()
                                                .compareTo(other.get("id").asString())
                                        < 0
                                && one.get("region").equals(other.get("region")))
                        .map(other -> shared(
                                plans.get(one.get("id").asString()),
                                plans.get(other.get("id").asString()))))
                .mapToDouble(Double::doubleValue)
                .average()
                .orElse(0);
    }

    private static double shared(List<String> one, List<String> other) {
        Set<String> all = new HashSet<>(one);
        all.addAll(other);
        return all.isEmpty() ? 0 : (double) one.stream().filter(other::contains).count() / all.size();
    }

    @Test
    void as_many_stories_hold_as_ever_did() throws IOException {
        Asking therapist = Asking.as(server, "elm", Role.THERAPIST);
        VignetteLibrary library = new VignetteLibrary(therapist);
        int least;
        List<JsonNode> stories = new ArrayList<>();
        try (InputStream holds = resource("holds.txt");
                InputStream cases = resource("cases.json");
                InputStream more = resource("more.json")) {
            least = Integer.parseInt(new String(holds.readAllBytes()).trim());
            JsonMapper.shared().readTree(cases).forEach(stories::add);
            JsonMapper.shared().readTree(more).forEach(stories::add);
        }
        List<String> chosen = List.of(System.getProperty("lexicor.stories", "").split(","));
        if (!chosen.contains("")) {
            stories.removeIf(story -> !chosen.contains(story.get("id").asString()));
            least = stories.size();
        }
        Map<String, List<String>> plans = new HashMap<>();
        List<String> failed = new ArrayList<>();
        List<Runnable> later = new ArrayList<>();
        int[] held = new int[1];
        for (JsonNode story : stories) {
            TreeMap<Integer, VignetteState> states = new TreeMap<>();
            List<String> contradictions = play(therapist, library, story, states);
            plans.put(story.get("id").asString(), states.get(0).planned());
            later.add(() -> {
                VignetteJudge judge = new VignetteJudge(library, states, contradictions, plans);
                List<String> wrong = story.get("expect")
                        .valueStream()
                        .filter(each -> !judge.holds(each))
                        .map(each -> story.get("id").asString() + ": " + each)
                        .toList();
                failed.addAll(wrong);
                held[0] += wrong.isEmpty() ? 1 : 0;
            });
        }
        later.forEach(Runnable::run);
        System.out.printf("%d of %d stories hold; not: %s%n", held[0], stories.size(), failed);
        System.out.printf("plans of two stories of one region share %.2f of their tests%n", shared(stories, plans));
        assertThat(held[0])
                .as("what does not hold:\n%s\nplanned: %s", String.join("\n", failed), chosen.contains("") ? "" : plans)
                .isGreaterThanOrEqualTo(least);
    }

    /**
     * Tells and records a story; the states after the findings that an expectation asks for, and the sentences that
     * contradict.
     */
    private static List<String> play(
            Asking therapist, VignetteLibrary library, JsonNode story, TreeMap<Integer, VignetteState> states) {
        VignetteCase played = new VignetteCase(therapist, library, story);
        List<JsonNode> expected =
                story.get("expect").valueStream().flatMap(VignettesTest::flat).toList();
        int all = story.path("findings").size();
        TreeSet<Integer> stops = new TreeSet<>(List.of(0, all));
        expected.stream()
                .filter(each -> each.has("after"))
                .forEach(each -> stops.add(each.get("after").asInt()));
        boolean follow = expected.stream().anyMatch(each -> each.has("sentenceAgrees"));
        List<String> contradictions = new ArrayList<>();
        states.put(0, played.state(notes(expected, 0, all)));
        JsonNode before = follow ? played.weighing() : null;
        int number = 0;
        for (JsonNode finding : story.path("findings")) {
            number++;
            if (follow) {
                List<String> tests = finding.has("quiet")
                        ? finding.get("quiet")
                                .valueStream()
                                .map(JsonNode::asString)
                                .toList()
                        : List.of(finding.get("test").asString());
                for (String test : tests) {
                    if (finding.has("quiet")) {
                        played.quiet(test);
                    } else {
                        played.record(finding);
                    }
                    JsonNode after = played.weighing();
                    contradictions.addAll(VignetteJudge.contradictions(library, test, before, after));
                    before = after;
                }
            } else {
                played.record(finding);
            }
            if (stops.contains(number)) {
                states.put(number, played.state(notes(expected, number, all)));
            }
        }
        return contradictions;
    }

    private static Stream<JsonNode> flat(JsonNode expected) {
        JsonNode inner = expected.has("either") ? expected.get("either") : expected.get("all");
        return inner == null ? Stream.of(expected) : inner.valueStream().flatMap(VignettesTest::flat);
    }

    private static List<String> notes(List<JsonNode> expected, int number, int all) {
        return expected.stream()
                .filter(each -> each.has("noteSays") || each.has("noteNot"))
                .filter(each -> each.path("after").asInt(all) == number)
                .map(each -> each.path("length").asString("full"))
                .distinct()
                .toList();
    }
}
