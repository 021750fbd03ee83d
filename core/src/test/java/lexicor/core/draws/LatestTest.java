package lexicor.core.draws;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import org.junit.jupiter.api.Test;

class LatestTest {

    private final List<String> made = new ArrayList<>();

    @Test
    void what_was_asked_for_last_is_kept_up_to_a_number() {
        Latest<String, String> latest = new Latest<>(2);
        for (String key : List.of("a", "b", "a", "c", "a", "b")) {
            assertThat(get(latest, key)).isEqualTo(key);
        }
        assertThat(made).containsExactly("a", "b", "c", "b");
    }

    @Test
    void what_was_asked_for_last_is_kept_up_to_a_size_in_all() {
        Latest<String, String> latest = new Latest<>(5L, String::length);
        for (String key : List.of("aa", "bb", "cccc", "cccc", "d", "aa", "longer", "d")) {
            assertThat(get(latest, key)).isEqualTo(key);
        }
        assertThat(made)
                .as("aa and bb make room for cccc, and one that is too large makes room for nothing")
                .containsExactly("aa", "bb", "cccc", "d", "aa", "longer", "d");
    }

    @Test
    void several_are_made_together_unless_they_are_kept() {
        Latest<String, String> latest = new Latest<>(5);
        get(latest, "b");
        List<List<Integer>> asked = new ArrayList<>();
        for (List<String> keys : List.of(List.of("a", "b", "c"), List.of("c", "a"), List.of("d", "a"))) {
            assertThat(latest.all(keys, missing -> {
                        asked.add(missing);
                        return missing.stream().map(keys::get).toList();
                    }))
                    .isEqualTo(keys);
        }
        assertThat(asked).containsExactly(List.of(0, 2), List.of(0));
    }

    private String get(Latest<String, String> latest, String key) {
        return latest.get(key, () -> {
            made.add(key);
            return key;
        });
    }
}
