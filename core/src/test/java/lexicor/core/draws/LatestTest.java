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

    private String get(Latest<String, String> latest, String key) {
        return latest.get(key, () -> {
            made.add(key);
            return key;
        });
    }
}
